package org.halfdusk.web.door.refusal;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.catalina.connector.ClientAbortException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.halfdusk.shoot.kept.Unreadable;
import org.halfdusk.store.sqlite.Trouble;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.ErrorResponse;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Errors as pages, or as documents to programs: what is wrong, what is allowed, where to go. Never a stack trace. */
@ControllerAdvice
public class Problems {
    static final String OURS =
            "The fault is the application's, not yours. What was saved before is safe; the log has the details.";

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    private final Shell shell;

    Problems(Shell shell) {
        this.shell = shell;
    }

    @ExceptionHandler
    ModelAndView missing(NotFound e, HttpServletRequest request) {
        return page(request, HttpStatus.NOT_FOUND, String.valueOf(e.getMessage()));
    }

    /** Neither a page nor, under the files' own address, a file. */
    @ExceptionHandler({NoHandlerFoundException.class, NoResourceFoundException.class})
    ModelAndView noPage(Exception e, HttpServletRequest request) {
        return page(
                request, HttpStatus.NOT_FOUND, "There is no page " + TypedNumber.shown(request.getRequestURI()) + ".");
    }

    /** Kept and not to be read: it stays as it is, everything else works. */
    @ExceptionHandler
    ModelAndView unreadable(Unreadable e, HttpServletRequest request) {
        return new Refusal(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "This cannot be read",
                        Words.sentence(String.valueOf(e.getMessage()))
                                + " It was left as it is; everything else works. The list it stands in offers to delete it.")
                .answer(request, request.getRequestURI(), shell);
    }

    @ExceptionHandler
    ModelAndView badInput(IllegalArgumentException e, HttpServletRequest request) {
        SentAgain.offerChecked(request);
        return page(request, HttpStatus.BAD_REQUEST, Words.sentence(String.valueOf(e.getMessage())));
    }

    @ExceptionHandler
    ModelAndView undecodable(InvalidParameterException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.BAD_REQUEST,
                "The form cannot be decoded; percent signs with two hexadecimal digits, in UTF-8, are allowed.");
    }

    @ExceptionHandler
    ModelAndView badParameter(MethodArgumentTypeMismatchException e, HttpServletRequest request) {
        String value = TypedNumber.shown(String.valueOf(e.getValue()));
        boolean path = e.getParameter().hasParameterAnnotation(PathVariable.class);
        return page(
                request,
                path ? HttpStatus.NOT_FOUND : HttpStatus.BAD_REQUEST,
                "“" + value + "” is not a valid " + e.getName() + "; " + allowed(e.getRequiredType()) + " is allowed.");
    }

    private static String allowed(@Nullable Class<?> type) {
        if (type != null && type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
        }
        if (type == boolean.class || type == Boolean.class) {
            return "true or false";
        }
        return "a number";
    }

    @ExceptionHandler
    ModelAndView missingParameter(MissingServletRequestParameterException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.BAD_REQUEST,
                "“" + e.getParameterName() + "” is missing; a value for it is needed, as the page's form sends it.");
    }

    @ExceptionHandler({MissingServletRequestPartException.class, MultipartException.class})
    ModelAndView noFile(Exception e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.BAD_REQUEST,
                "No file was sent with the form; one file is allowed, as the page's form sends it. Nothing was changed.");
    }

    @ExceptionHandler
    ModelAndView wrongMethod(HttpRequestMethodNotSupportedException e, HttpServletRequest request) {
        String allowed = Optional.ofNullable(e.getSupportedHttpMethods()).stream()
                .flatMap(m -> m.stream().map(Object::toString))
                .collect(Collectors.joining(", "));
        return page(
                request,
                HttpStatus.METHOD_NOT_ALLOWED,
                "This address does not take " + e.getMethod() + "; allowed: " + allowed
                        + ". Where it takes a form, go back and use the button.");
    }

    @ExceptionHandler
    ModelAndView notAcceptable(HttpMediaTypeNotAcceptableException e, HttpServletRequest request) {
        return page(
                request, HttpStatus.NOT_ACCEPTABLE, "This address gives " + types(e.getSupportedMediaTypes()) + ".");
    }

    @ExceptionHandler
    ModelAndView notSupported(HttpMediaTypeNotSupportedException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                "This address does not take “" + e.getContentType() + "”; allowed: " + types(e.getSupportedMediaTypes())
                        + ".");
    }

    private static String types(List<MediaType> types) {
        return types.isEmpty() ? "nothing of that kind" : MediaType.toString(types);
    }

    @ExceptionHandler
    ModelAndView unexpected(Exception e, HttpServletRequest request) {
        if (gone(e)) {
            LOG.debug("{} {}: who asked has gone", request.getMethod(), request.getRequestURI());
            return new ModelAndView();
        }
        Optional<Trouble> trouble = Trouble.in(e);
        if (trouble.isPresent()) {
            LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), trouble.get());
            SentAgain.offer(request);
            return page(
                    request, HttpStatus.SERVICE_UNAVAILABLE, words(trouble.get().kind(), request));
        }
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return page(
                    request,
                    status,
                    "The request cannot be used: "
                            + TypedNumber.shown(String.valueOf(known.getBody().getDetail()))
                            + "; what the page's form sends is allowed.");
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
        return page(request, HttpStatus.INTERNAL_SERVER_ERROR, OURS);
    }

    /** Whether who asked has gone, as browsers do that turn the page while its pictures come: there is nobody to answer. */
    private static boolean gone(Exception e) {
        return Stream.<Throwable>iterate(e, Objects::nonNull, Throwable::getCause)
                .limit(CAUSES)
                .anyMatch(c -> c instanceof AsyncRequestNotUsableException || c instanceof ClientAbortException);
    }

    private static final int CAUSES = 20;

    private static String words(Trouble.Kind kind, HttpServletRequest request) {
        String why = switch (kind) {
            case LOCKED -> "Another program holds the database.";
            case READ_ONLY -> "The database cannot be written at the moment.";
            case FULL -> "The disk is full: make room.";
            case DAMAGED -> "The disk does not give back what was written.";
            case NO_DATABASE -> "The database's file was replaced by something else.";
        };
        boolean change = request.getMethod().equals("POST");
        return why
                + (change
                        ? " Nothing of this was saved, and nothing of before is lost; then send it again."
                        : " Nothing is lost; try again in a moment.");
    }

    private ModelAndView page(HttpServletRequest request, HttpStatus status, String message) {
        return Refusal.of(status, message).answer(request, request.getRequestURI(), shell);
    }
}
