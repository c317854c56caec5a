package org.goldthistle.platform;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.goldthistle.call.CallRefusedException;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * Something the caller must hear about, as an RFC 9457 problem detail. The detail says what is wrong, what was kept
 * and what to do next.
 */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final ProblemType type;
    private final transient List<Refusal> refusals;
    private final transient Optional<Object> kept;

    private Problem(HttpStatus status, ProblemType type, String detail, List<Refusal> refusals, Optional<Object> kept) {
        super(detail);
        if (!type.statuses().contains(status)) {
            throw new IllegalArgumentException(type.code() + " is not told under " + status);
        }
        this.status = status;
        this.type = type;
        this.refusals = List.copyOf(refusals);
        this.kept = kept;
    }

    private Problem(HttpStatus status, ProblemType type, String detail, List<Refusal> refusals) {
        this(status, type, detail, refusals, Optional.empty());
    }

    /** 404: there is no such thing, or not for this caller. */
    public static Problem missing(ProblemType type, String detail) {
        return new Problem(HttpStatus.NOT_FOUND, type, detail, List.of());
    }

    /** 409: it does not go with what is stored. */
    public static Problem conflict(ProblemType type, String detail) {
        return new Problem(HttpStatus.CONFLICT, type, detail, List.of());
    }

    /** 409 with what is there in its stead. */
    public static Problem conflict(ProblemType type, String detail, Object kept) {
        return new Problem(HttpStatus.CONFLICT, type, detail, List.of(), Optional.of(kept));
    }

    /** 409: somebody else changed it in the meantime; carries what is kept now, so that the caller can choose. */
    public static Problem stale(String what, Object kept) {
        return new Problem(
                HttpStatus.CONFLICT,
                ProblemType.STALE,
                "Somebody changed this " + what + " after you opened it. Yours was not stored and is still on your"
                        + " page. Compare the two and choose.",
                List.of(),
                Optional.of(kept));
    }

    /** 422: well-formed, but it breaks a rule. */
    public static Problem unfit(ProblemType type, String detail) {
        return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, type, detail, List.of());
    }

    /** 422: what a person typed breaks rules; each refusal is shown at its field. */
    public static Problem unfit(ProblemType type, RefusedException refused) {
        return unfit(
                type,
                "This does not fit: " + refused.getMessage() + ". It was not stored; what was stored before is kept."
                        + " Correct it and send again.",
                refused.refusals());
    }

    /** 422 with every place that breaks a rule. */
    public static Problem unfit(ProblemType type, String detail, List<Refusal> refusals) {
        return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, type, detail, refusals);
    }

    /** What a call refuses, under the status of its kind. */
    static Problem ofCall(CallRefusedException refused) {
        ProblemType type = ProblemType.of(refused.type());
        HttpStatus status = type.statuses().iterator().next(); // a call's refusal has one
        return new Problem(status, type, refused.getMessage(), refused.refusals());
    }

    /** 401: sign in first. */
    public static Problem unknownCaller(ProblemType type, String detail) {
        return new Problem(HttpStatus.UNAUTHORIZED, type, detail, List.of());
    }

    /** 403: not for this caller. */
    public static Problem forbidden(ProblemType type, String detail) {
        return new Problem(HttpStatus.FORBIDDEN, type, detail, List.of());
    }

    /** 429: too many tries. */
    public static Problem tooMany(ProblemType type, String detail) {
        return new Problem(HttpStatus.TOO_MANY_REQUESTS, type, detail, List.of());
    }

    /** 400: a sign in a text that no text has, such as NUL. */
    static Problem noText() {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                ProblemType.CONTROL_CHARACTER,
                "A text holds a sign that no text has, such as NUL or half of a pair. Nothing was stored; take it out and"
                        + " send again.",
                List.of());
    }

    /** 429: more at once than there is room for. */
    public static Problem busy() {
        return tooMany(
                ProblemType.BUSY,
                "More was sent at once than the server works on. Nothing of this was stored; send it again in a moment.");
    }

    /** 408: sent more slowly than is waited for. */
    static Problem tooSlow() {
        return new Problem(
                HttpStatus.REQUEST_TIMEOUT,
                ProblemType.TOO_SLOW,
                "This came too slowly to be waited for. Nothing was stored; send it again when the network is better.",
                List.of());
    }

    /** 413: more than is read. */
    static Problem tooLarge(long mostBytes) {
        return new Problem(
                HttpStatus.PAYLOAD_TOO_LARGE,
                ProblemType.TOO_LARGE,
                "This is larger than " + mostBytes / 1024 + " kB, and no request of this kind needs that much. Nothing"
                        + " was stored; send less at once.",
                List.of());
    }

    /** 503: the database does not answer. */
    static ProblemDetail databaseAway() {
        return detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                ProblemType.DATABASE_AWAY,
                "The database does not answer, so nothing can be looked up or stored just now. What you entered is kept on"
                        + " your device and is sent once it answers again.");
    }

    /** 507: the disk of the database is full. */
    static ProblemDetail diskFull() {
        return detail(
                HttpStatus.INSUFFICIENT_STORAGE,
                ProblemType.DISK_FULL,
                "The server's disk is full, so nothing can be stored. What you entered is kept on your device and is sent"
                        + " once there is room; tell whoever runs the server.");
    }

    ProblemDetail toDetail() {
        ProblemDetail problem = detail(status, type, getMessage());
        if (!refusals.isEmpty()) {
            problem.setProperty("refusals", refusals);
        }
        kept.ifPresent(there -> problem.setProperty("kept", there));
        return problem;
    }

    /** The same with the id of the request, under which the log tells of it. */
    static ProblemDetail numbered(ProblemDetail problem) {
        RequestIds.current().ifPresent(id -> problem.setProperty("request", id));
        return problem;
    }

    static ProblemDetail detail(HttpStatus status, ProblemType type, String detail) {
        return detail(status, type.code(), detail);
    }

    /** What the framework refuses by itself has a type too: /problems/method-not-allowed. */
    static ProblemDetail ofFramework(HttpStatus status, String detail) {
        return detail(status, codeOf(status), detail);
    }

    static String codeOf(HttpStatus status) {
        return status.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static ProblemDetail detail(HttpStatus status, String code, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(address(code));
        problem.setTitle(status.getReasonPhrase());
        return numbered(problem);
    }

    static URI address(String code) {
        return URI.create("/problems/" + code);
    }
}
