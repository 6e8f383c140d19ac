package org.halfdusk.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Errors as pages: what is wrong, what is allowed, where to go. Never a stack trace. */
@ControllerAdvice
public class Problems {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    private final Shell shell;

    Problems(Shell shell) {
        this.shell = shell;
    }

    @ExceptionHandler
    ModelAndView missing(NotFound e, HttpServletRequest request) {
        return page(request, HttpStatus.NOT_FOUND, "Not here", String.valueOf(e.getMessage()));
    }

    @ExceptionHandler
    ModelAndView noPage(NoResourceFoundException e, HttpServletRequest request) {
        return page(request, HttpStatus.NOT_FOUND, "Not here", "There is no page " + request.getRequestURI() + ".");
    }

    @ExceptionHandler
    ModelAndView badInput(IllegalArgumentException e, HttpServletRequest request) {
        return page(request, HttpStatus.BAD_REQUEST, "That cannot be used", sentence(String.valueOf(e.getMessage())));
    }

    @ExceptionHandler
    ModelAndView badParameter(MethodArgumentTypeMismatchException e, HttpServletRequest request) {
        boolean path = request.getRequestURI().endsWith("/" + e.getValue())
                || request.getRequestURI().contains("/" + e.getValue() + "/");
        return page(
                request,
                path ? HttpStatus.NOT_FOUND : HttpStatus.BAD_REQUEST,
                path ? "Not here" : "That cannot be used",
                "\u201c" + e.getValue() + "\u201d is not a valid " + e.getName() + ".");
    }

    @ExceptionHandler
    ModelAndView missingParameter(MissingServletRequestParameterException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.BAD_REQUEST,
                "That cannot be used",
                "\u201c" + e.getParameterName() + "\u201d is missing.");
    }

    @ExceptionHandler
    ModelAndView wrongMethod(HttpRequestMethodNotSupportedException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.METHOD_NOT_ALLOWED,
                "Not this way",
                "This address takes a form, not a link. Go back and use the button.");
    }

    @ExceptionHandler
    ModelAndView unexpected(Exception e, HttpServletRequest request) {
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
        return page(
                request,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "This went wrong",
                "The fault is the application's, not yours. What was saved before is safe; the log has the details.");
    }

    private ModelAndView page(HttpServletRequest request, HttpStatus status, String title, String message) {
        String theme = cookie(request, "theme", "desk");
        String keys = cookie(request, "keys", "on");
        return new ModelAndView(
                "layout/problem",
                Map.of("title", title, "message", message, "frame", shell.frame(request, theme, keys)),
                status);
    }

    private static String cookie(HttpServletRequest request, String name, String otherwise) {
        if (request.getCookies() != null) {
            for (var c : request.getCookies()) {
                if (c.getName().equals(name)) {
                    return c.getValue();
                }
            }
        }
        return otherwise;
    }

    /** A core message as a sentence: capital first, full stop last. */
    public static String sentence(String message) {
        String m = message.isBlank() || message.equals("null") ? "this value cannot be used" : message;
        return Character.toUpperCase(m.charAt(0)) + m.substring(1) + (m.endsWith(".") ? "" : ".");
    }
}
