package org.halfdusk.web.door.refusal;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.Shell;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** What the server or a filter refuses before any page of ours is asked, said like every other refusal. */
@Controller
class FailuresController implements ErrorController {
    private final Shell shell;

    FailuresController(Shell shell) {
        this.shell = shell;
    }

    @RequestMapping("${server.error.path:/error}")
    ModelAndView failed(HttpServletRequest request) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = Optional.ofNullable(
                        code instanceof Integer c ? HttpStatus.resolve(c) : HttpStatus.NOT_FOUND)
                .orElse(HttpStatus.BAD_REQUEST);
        String path = Optional.ofNullable((String) request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI))
                .orElse(request.getRequestURI());
        String said = String.valueOf(request.getAttribute(RequestDispatcher.ERROR_MESSAGE));
        boolean ours = !said.isBlank() && !said.equals("null") && !status.is5xxServerError();
        return Refusal.of(status, ours ? said : usual(status, path)).answer(request, path, shell);
    }

    private static String usual(HttpStatus status, String path) {
        if (status.is5xxServerError()) {
            return Problems.OURS;
        }
        return status == HttpStatus.NOT_FOUND
                ? "There is no page " + TypedNumber.shown(path) + "."
                : "The request to " + TypedNumber.shown(path)
                        + " cannot be used; an address and a form as the pages send them are allowed.";
    }
}
