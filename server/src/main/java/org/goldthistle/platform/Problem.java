package org.goldthistle.platform;

import java.net.URI;
import java.util.List;
import org.goldthistle.core.Refusal;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * Something the caller must hear about, as an RFC 9457 problem detail. The detail says what is wrong, what was kept
 * and what to do next.
 */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String type;
    private final transient List<Refusal> refusals;

    private Problem(HttpStatus status, String type, String detail, List<Refusal> refusals) {
        super(detail);
        this.status = status;
        this.type = type;
        this.refusals = List.copyOf(refusals);
    }

    /** 404: there is no such thing, or not for this caller. */
    public static Problem missing(String type, String detail) {
        return new Problem(HttpStatus.NOT_FOUND, type, detail, List.of());
    }

    /** 409: it does not go with what is stored. */
    public static Problem conflict(String type, String detail) {
        return new Problem(HttpStatus.CONFLICT, type, detail, List.of());
    }

    /** 422: well-formed, but it breaks a rule. */
    public static Problem unfit(String type, String detail) {
        return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, type, detail, List.of());
    }

    /** 422 with every place that breaks a rule. */
    public static Problem unfit(String type, String detail, List<Refusal> refusals) {
        return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, type, detail, refusals);
    }

    /** 401: sign in first. */
    public static Problem unknownCaller(String type, String detail) {
        return new Problem(HttpStatus.UNAUTHORIZED, type, detail, List.of());
    }

    /** 403: not for this caller. */
    public static Problem forbidden(String type, String detail) {
        return new Problem(HttpStatus.FORBIDDEN, type, detail, List.of());
    }

    /** 429: too many tries. */
    public static Problem tooMany(String type, String detail) {
        return new Problem(HttpStatus.TOO_MANY_REQUESTS, type, detail, List.of());
    }

    ProblemDetail toDetail() {
        ProblemDetail problem = detail(status, type, getMessage());
        if (!refusals.isEmpty()) {
            problem.setProperty("refusals", refusals);
        }
        return problem;
    }

    static ProblemDetail detail(HttpStatus status, String type, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/problems/" + type));
        problem.setTitle(status.getReasonPhrase());
        return problem;
    }
}
