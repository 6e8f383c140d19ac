package org.halfdusk.web.api;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** What cannot be used, as {@code application/problem+json} (RFC 9457). */
@RestControllerAdvice(
        assignableTypes = {SkyApi.class, NightsApi.class, EclipsesApi.class, ExposureApi.class, ShootsApi.class})
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiProblems {
    @ExceptionHandler
    ResponseEntity<Map<String, Object>> badQuery(BadQuery e) {
        String detail = e.parameters().stream()
                .map(w -> w.name() + " \u201c" + w.value() + "\u201d cannot be used; allowed is " + w.allowed())
                .collect(Collectors.joining("; "));
        Map<String, Object> body = problem("Parameters that cannot be used", detail);
        body.put("parameters", e.parameters());
        return answer(body);
    }

    @ExceptionHandler
    ResponseEntity<Map<String, Object>> refusedByTheCore(IllegalArgumentException e) {
        return answer(problem("Parameters that cannot be used", String.valueOf(e.getMessage())));
    }

    private static Map<String, Object> problem(String title, String detail) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("type", "about:blank");
        body.put("title", title);
        body.put("status", HttpStatus.BAD_REQUEST.value());
        body.put("detail", detail);
        return body;
    }

    private static ResponseEntity<Map<String, Object>> answer(Map<String, Object> body) {
        return ResponseEntity.badRequest()
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(body);
    }
}
