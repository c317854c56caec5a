package org.goldthistle.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container refuses before anything of ours sees it, as a problem detail too; asked for by itself it is nothing. */
@Controller
class ErrorPage implements ErrorController {

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> refused(HttpServletRequest request) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus known = code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
        HttpStatus status = known == null ? HttpStatus.BAD_REQUEST : known;
        ProblemDetail problem = Problem.ofFramework(
                status, "This was refused before it was read: " + status.getReasonPhrase() + ". Nothing was stored.");
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
