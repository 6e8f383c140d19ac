import java.lang.management.ManagementFactory;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.boot.SpringApplication;
import org.springframework.core.metrics.ApplicationStartup;
import org.springframework.core.metrics.StartupStep;

/**
 * Starts the application and says where the time goes, bean by bean: what each took itself, without those that it waited for
 * on the same thread. Arguments go to the application, which is ended once it has started.
 */
public final class Beans implements ApplicationStartup {
    private static final double NS_A_MS = 1e6;
    private static final int SHOWN = 30;

    private final Deque<Step> open = new ArrayDeque<>();
    private final Map<String, Double> own = new HashMap<>();
    private final Thread starting = Thread.currentThread();
    private long ids;

    private final class Step implements StartupStep {
        private final String name;
        private final long id = ids++;
        private final long from = System.nanoTime();
        private String bean = "";
        private long within;

        Step(String name) {
            this.name = name;
        }

        @Override
        public String getName() {
            return name;
        }

        @Override
        public long getId() {
            return id;
        }

        @Override
        public Long getParentId() {
            return null;
        }

        @Override
        public StartupStep tag(String key, String value) {
            if (key.equals("beanName")) {
                bean = value;
            }
            return this;
        }

        @Override
        public StartupStep tag(String key, Supplier<String> value) {
            return tag(key, value.get());
        }

        @Override
        public Tags getTags() {
            return new NoTags();
        }

        @Override
        public void end() {
            if (Thread.currentThread() == starting && open.remove(this)) {
                long took = System.nanoTime() - from;
                own.merge(bean.isEmpty() ? name : bean, (took - within) / NS_A_MS, Double::sum);
                if (!open.isEmpty()) {
                    open.peek().within += took;
                }
            }
        }
    }

    private static final class NoTags implements StartupStep.Tags {
        @Override
        public Iterator<StartupStep.Tag> iterator() {
            return List.<StartupStep.Tag>of().iterator();
        }
    }

    @Override
    public StartupStep start(String name) {
        Step step = new Step(name);
        if (Thread.currentThread() == starting) {
            open.push(step);
        }
        return step;
    }

    public static void main(String[] args) throws Exception {
        Class<?> main = Class.forName("org.halfdusk.web.HalfDusk");
        SpringApplication application = new SpringApplication(main);
        application.setMainApplicationClass(main);
        Beans beans = new Beans();
        application.setApplicationStartup(beans);
        long from = System.nanoTime();
        var context = application.run(args);
        double all = (System.nanoTime() - from) / NS_A_MS;
        double before = ManagementFactory.getRuntimeMXBean().getUptime() - all;
        System.out.printf("before the application: %.0f ms%nthe application: %.0f ms, of it%n", before, all);
        double told = 0;
        for (Map.Entry<String, Double> e : beans.largest()) {
            System.out.printf("%7.0f ms  %s%n", e.getValue(), e.getKey());
            told += e.getValue();
        }
        System.out.printf("%7.0f ms  all others, %d of them%n", all - told, beans.own.size() - SHOWN);
        System.exit(SpringApplication.exit(context));
    }

    private List<Map.Entry<String, Double>> largest() {
        List<Map.Entry<String, Double>> all = new ArrayList<>(own.entrySet());
        all.sort(Comparator.comparing(e -> -e.getValue()));
        return all.subList(0, Math.min(SHOWN, all.size()));
    }
}
