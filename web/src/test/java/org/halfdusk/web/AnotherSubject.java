package org.halfdusk.web;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Map;

/** Walks through a shoot of the subject that only {@link AnotherSubjectTest} has, in a process of its own. */
final class AnotherSubject {
    private AnotherSubject() {}

    /** @param arguments the data folder */
    public static void main(String[] arguments) throws Exception {
        try (App app = App.started(Path.of(arguments[0]))) {
            page(app, "/shoots/new?subject=NOCTILUCENT&place=1&from=2027-06-20", "Noctilucent clouds");
            page(app, "/nights?subject=NOCTILUCENT&place=1", "When are they lit");
            HttpResponse<String> made =
                    app.post("/shoots/new", Map.of("subject", "NOCTILUCENT", "place", "1", "night", "2027-06-20"));
            String shoot = made.headers().firstValue("Location").orElseThrow().replaceAll(".*(/shoots/\\d+)/.*", "$1");
            page(app, shoot + "/night", "Lit ");
            page(app, shoot + "/frame", "");
            page(app, shoot + "/expose", "As they are commonly taken.");
            page(app, shoot + "/sequence", "While they are lit.");
            page(app, shoot + "/pack", "");
            page(app, "/shoots", "Clouds of the high summer");
            HttpResponse<String> wished =
                    app.post(shoot + "/sequence", Map.of("was.NOCTILUCENT_SECONDS", "30", "NOCTILUCENT_SECONDS", "1"));
            String said = "Seconds between frames 1 s is outside 5 to 600 s";
            if (!wished.body().contains(said)) {
                throw new IllegalStateException("the wish was not refused: " + wished.statusCode());
            }
            page(app, "/api/v1" + shoot + "/plan", "\"iso\":400");
            page(app, "/api/v1" + shoot + "/programme", "TIME_LAPSE");
            System.out.println("walked");
        }
        System.exit(0);
    }

    private static void page(App app, String path, String holds) throws Exception {
        HttpResponse<String> r = app.get(path);
        if (r.statusCode() != 200 || !r.body().contains(holds)) {
            throw new IllegalStateException(path + " answered " + r.statusCode() + " without “" + holds + "”");
        }
    }
}
