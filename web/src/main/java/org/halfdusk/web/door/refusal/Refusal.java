package org.halfdusk.web.door.refusal;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import org.halfdusk.web.layout.Shell;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.View;
import tools.jackson.databind.json.JsonMapper;

/**
 * Something that is not done: said as a page to people, as a problem document (RFC 9457) to programs that ask the JSON
 * interface, whatever they accept otherwise.
 */
record Refusal(HttpStatus status, String title, String message) {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    static Refusal of(HttpStatus status, String message) {
        return new Refusal(status, title(status), message);
    }

    private static String title(HttpStatus status) {
        return switch (status) {
            case NOT_FOUND -> "Not here";
            case METHOD_NOT_ALLOWED -> "Not this way";
            case FORBIDDEN -> "Not done";
            case UNAUTHORIZED -> "Who are you?";
            case TOO_MANY_REQUESTS -> "Wait a little";
            case SERVICE_UNAVAILABLE -> "Not saved";
            default -> status.is5xxServerError() ? "This went wrong" : "That cannot be used";
        };
    }

    static boolean toProgram(String path) {
        return path.startsWith("/api/");
    }

    ModelAndView answer(HttpServletRequest request, String path, Shell shell) {
        if (toProgram(path)) {
            ModelAndView json = new ModelAndView(new Document(this));
            json.setStatus(status);
            return json;
        }
        Map<String, Object> model = new LinkedHashMap<>();
        model.put("title", title);
        model.put("message", message);
        model.put("again", SentAgain.of(request));
        model.put("frame", shell.frame(request));
        ModelAndView page = new ModelAndView("layout/problem", model);
        page.setStatus(status);
        return page;
    }

    private record Document(Refusal refusal) implements View {
        @Override
        public String getContentType() {
            return MediaType.APPLICATION_PROBLEM_JSON_VALUE;
        }

        @Override
        public void render(@Nullable Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
                throws java.io.IOException {
            Map<String, Object> body = new LinkedHashMap<>();
            body.put("type", "about:blank");
            body.put("title", refusal.title);
            body.put("status", refusal.status.value());
            body.put("detail", refusal.message);
            response.setStatus(refusal.status.value());
            response.setCharacterEncoding((String) null);
            response.setContentType(getContentType());
            response.getOutputStream().write(JSON.writeValueAsBytes(body));
        }
    }
}
