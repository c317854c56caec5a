package org.goldthistle.platform;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.Optional;
import java.util.stream.Collectors;
import org.goldthistle.call.CallRefusedException;
import org.goldthistle.core.RefusedException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Every error as a problem detail that a person understands; no stack trace leaves the server. */
@RestControllerAdvice
class ProblemHandler extends ResponseEntityExceptionHandler {
    private static final URI NO_TYPE = URI.create("about:blank");
    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

    @ExceptionHandler(Problem.class)
    ProblemDetail problem(Problem problem) {
        return problem.toDetail();
    }

    /** What a call refuses says itself what was kept. */
    @ExceptionHandler(CallRefusedException.class)
    ProblemDetail callRefused(CallRefusedException refused) {
        return Problem.ofCall(refused).toDetail();
    }

    /** What the rules of the job refuse and nobody told in other words. */
    @ExceptionHandler(RefusedException.class)
    ProblemDetail refused(RefusedException refused) {
        return Problem.unfit(ProblemType.REFUSED, refused).toDetail();
    }

    /** Two wrote the same at one instant: the one that came second is told so, and finds the first when it looks. */
    @ExceptionHandler({DataIntegrityViolationException.class, ConcurrencyFailureException.class})
    ProblemDetail atOneInstant(RuntimeException collided) {
        if (collided instanceof DataIntegrityViolationException && !DatabaseTrouble.isCollision(collided)) {
            return told(collided); // a rule of the database that nobody told before
        }
        LOG.warn("two wrote the same at one instant: {}", collided.getMessage());
        return Problem.detail(
                HttpStatus.CONFLICT,
                ProblemType.AT_ONE_INSTANT,
                "Somebody changed the same thing at the same moment. Nothing of this request was stored; look at it again,"
                        + " then send it again if it is still wanted.");
    }

    /** What breaks in the middle of a file breaks the line, so that nobody takes what came for the whole. */
    @ExceptionHandler(RuntimeException.class)
    ProblemDetail unforeseen(RuntimeException unforeseen, HttpServletResponse response) {
        if (response.isCommitted()) {
            throw unforeseen;
        }
        Attachment.takeBack(response);
        return told(unforeseen);
    }

    private static ProblemDetail told(RuntimeException unforeseen) {
        Optional<DatabaseTrouble> trouble = DatabaseTrouble.of(unforeseen);
        if (trouble.isPresent()) {
            LOG.warn("the database is {}: {}", trouble.get(), unforeseen.getMessage());
            return trouble.get() == DatabaseTrouble.FULL ? Problem.diskFull() : Problem.databaseAway();
        }
        LOG.error("unforeseen", unforeseen);
        return Problem.detail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                ProblemType.UNFORESEEN,
                "The server met something it did not foresee. Nothing of this request was stored; try again, and tell"
                        + " whoever runs the server if it happens again.");
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        return answer(
                HttpStatus.BAD_REQUEST,
                ProblemType.UNREADABLE,
                "What was sent cannot be read: " + reason(unreadable)
                        + ". Nothing was stored; correct it and send again.",
                headers,
                request);
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String fields = invalid.getFieldErrors().stream()
                .map(error -> error.getField() + " " + error.getDefaultMessage())
                .sorted()
                .collect(Collectors.joining("; "));
        return answer(
                HttpStatus.BAD_REQUEST,
                ProblemType.INCOMPLETE,
                "What was sent is not complete: " + fields + ". Nothing was stored; correct it and send again.",
                headers,
                request);
    }

    /** What the framework refuses by itself has a type too. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception refused, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ResponseEntity<Object> answer = super.handleExceptionInternal(refused, body, headers, status, request);
        if (answer != null && answer.getBody() instanceof ProblemDetail problem && NO_TYPE.equals(problem.getType())) {
            HttpStatus known = HttpStatus.resolve(problem.getStatus());
            String code = known == null ? ProblemType.REFUSED.code() : Problem.codeOf(known);
            Problem.numbered(problem).setType(Problem.address(code));
        }
        return answer;
    }

    private ResponseEntity<Object> answer(
            HttpStatus status, ProblemType type, String detail, HttpHeaders headers, WebRequest request) {
        return createResponseEntity(Problem.detail(status, type, detail), headers, status, request);
    }

    private static String reason(HttpMessageNotReadableException unreadable) {
        if (unreadable.getCause() instanceof JsonMappingException mapping
                && !mapping.getPath().isEmpty()) {
            String path = mapping.getPath().stream()
                    .map(step -> step.getFieldName() == null ? "[" + step.getIndex() + "]" : "." + step.getFieldName())
                    .collect(Collectors.joining())
                    .substring(1);
            return path
                    + (mapping instanceof UnrecognizedPropertyException
                            ? ": nothing of that name belongs here"
                            : ": what stands there is missing or of another kind than belongs there");
        }
        if (unreadable.getCause() instanceof JsonProcessingException broken) {
            JsonLocation at = broken.getLocation();
            return "it is no JSON" + (at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr());
        }
        return "the body is missing";
    }
}
