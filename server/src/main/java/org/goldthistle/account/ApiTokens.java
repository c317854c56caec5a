package org.goldthistle.account;

import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.ScriptCallers;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Sha256;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tokens for an observer's own scripts: shown once, only their prints are kept. A token does what its observer may do now,
 * within its scope, and never anything about accounts.
 */
@Service
class ApiTokens implements ScriptCallers {
    private static final int TOKEN_BYTES = 32;
    private static final String SURVEYS = "/api/surveys/";
    private static final List<String> READ_BY_EVERY_TOKEN = List.of("/api/surveys", "/api/sheets", "/api/taxa");

    /** How exactly it is told when a token was used last. */
    private static final Duration COARSE = Duration.ofMinutes(1);

    private final JdbcClient jdbc;
    private final SurveyMemberships surveys;
    private final Turns turns;
    private final AuditTrail audit;
    private final int most;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    ApiTokens(
            JdbcClient jdbc, SurveyMemberships surveys, Turns turns, AuditTrail audit, Settings settings, Clock clock) {
        this.jdbc = jdbc;
        this.surveys = surveys;
        this.turns = turns;
        this.audit = audit;
        this.most = settings.limits().tokensOfAnObserver();
        this.clock = clock;
    }

    /**
     * A token without its secret.
     *
     * @param surveyId that it is for; null: it reads
     * @param lastUsedAt to the minute; null: never
     */
    record Token(
            UUID id,
            String name,
            TokenScope scope,
            @Nullable UUID surveyId,
            Instant madeAt,
            @Nullable Instant lastUsedAt) {}

    /** An observer's tokens, the oldest first. */
    @Transactional(readOnly = true)
    List<Token> of(UUID observerId) {
        return jdbc.sql("select * from api_token where observer_id = ? order by made_at, id")
                .param(observerId)
                .query((row, i) -> new Token(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        Coded.find(TokenScope.values(), row.getString("scope")).orElseThrow(),
                        row.getObject("survey_id", UUID.class),
                        row.getTimestamp("made_at").toInstant(),
                        row.getTimestamp("last_used_at") == null
                                ? null
                                : row.getTimestamp("last_used_at").toInstant()))
                .list();
    }

    /**
     * Makes a token. Sent again with the same id, it makes a new secret, and the one before works no more.
     *
     * @return the secret, which is shown this once
     * @throws Problem if the scope is none, the observer does not belong to the survey, they have as many as there may be,
     *     or the id is another observer's
     */
    @Transactional
    String make(UUID id, UUID observerId, String name, String scope, @Nullable UUID surveyId) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, observerId));
        TokenScope asked = Coded.find(TokenScope.values(), scope)
                .filter(one -> (one == TokenScope.SURVEY) == (surveyId != null))
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_SCOPE,
                        "A token is for reading, or for one survey, which is then named. None was made."));
        if (surveyId != null) {
            surveys.requireMember(List.of(surveyId), observerId);
        }
        List<Token> there = of(observerId);
        boolean known = there.stream().anyMatch(one -> one.id().equals(id));
        if (!known && there.size() >= most) {
            throw Problem.unfit(
                    ProblemType.TOO_MANY_TOKENS,
                    "You have " + most + " tokens, and that many there may be. None was made; take one back first.");
        }
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        int stored = jdbc.sql("insert into api_token (id, observer_id, name, scope, survey_id, token_sha256, made_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?) on conflict (id) do update set name = excluded.name,"
                        + " scope = excluded.scope, survey_id = excluded.survey_id, token_sha256 = excluded.token_sha256,"
                        + " made_at = excluded.made_at, last_used_at = null"
                        + " where api_token.observer_id = excluded.observer_id")
                .params(
                        id,
                        observerId,
                        name.strip(),
                        asked.code(),
                        surveyId,
                        Sha256.of(secret),
                        Timestamp.from(clock.instant()))
                .update();
        if (stored == 0) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN, "The id of this token belongs to another one. None was made; make it anew.");
        }
        audit.note(Optional.of(observerId), "made a token", Place.NOWHERE, null, name.strip());
        return secret;
    }

    /** Takes a token back; nothing happens if there is none. */
    @Transactional
    void takeBack(UUID id, UUID observerId) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, observerId));
        Optional<String> name = jdbc.sql("delete from api_token where id = ? and observer_id = ? returning name")
                .params(id, observerId)
                .query(String.class)
                .optional();
        name.ifPresent(one -> audit.note(Optional.of(observerId), "took a token back", Place.NOWHERE, one, null));
    }

    /** Ends every token of an observer, whose account may have been in other hands. */
    void endAll(UUID observerId) {
        jdbc.sql("delete from api_token where observer_id = ?")
                .param(observerId)
                .update();
    }

    @Override
    @Transactional
    public Authentication caller(String secret, HttpServletRequest request) {
        Known known = jdbc.sql("select t.id, t.survey_id, t.observer_id, o.call_sign, o.role from api_token t"
                        + " join observer o on o.id = t.observer_id and o.disabled_at is null where t.token_sha256 = ?")
                .param(Sha256.of(secret))
                .query((row, i) -> new Known(
                        row.getObject("id", UUID.class),
                        row.getObject("survey_id", UUID.class),
                        new SignedInObserver(
                                row.getObject("observer_id", UUID.class),
                                row.getString("call_sign"),
                                Coded.find(Role.values(), row.getString("role")).orElseThrow())))
                .optional()
                .orElseThrow(() -> Problem.unknownCaller(
                        ProblemType.UNKNOWN_TOKEN,
                        "This token is not known, was taken back, or its observer is kept out. Nothing was stored;"
                                + " make another one under your call sign."));
        if (!covers(known, request.getMethod(), request.getRequestURI())) {
            throw Problem.forbidden(
                    ProblemType.BEYOND_TOKEN,
                    "This token is not for that: one for reading reads what its observer may read of surveys, sheets and"
                            + " taxa, one for a survey does what its observer may do there as well. Nothing was stored.");
        }
        Instant now = clock.instant();
        jdbc.sql("update api_token set last_used_at = ? where id = ? and (last_used_at is null or last_used_at < ?)")
                .params(Timestamp.from(now), known.id(), Timestamp.from(now.minus(COARSE)))
                .update();
        return UsernamePasswordAuthenticationToken.authenticated(
                known.observer(),
                null,
                List.of(new SimpleGrantedAuthority(
                        "ROLE_" + known.observer().role().name())));
    }

    private record Known(UUID id, @Nullable UUID surveyId, SignedInObserver observer) {}

    private static boolean covers(Known token, String method, String address) {
        boolean reads = method.equals("GET")
                && READ_BY_EVERY_TOKEN.stream().anyMatch(one -> address.equals(one) || address.startsWith(one + "/"));
        String own = SURVEYS + token.surveyId();
        return token.surveyId() == null
                ? reads
                : address.startsWith(own + "/") || reads && (!address.startsWith(SURVEYS) || address.equals(own));
    }
}
