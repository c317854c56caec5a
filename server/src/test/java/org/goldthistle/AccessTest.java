package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.http.MediaType.APPLICATION_OCTET_STREAM;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.goldthistle.platform.ForAnybody;
import org.goldthistle.platform.ForContractors;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.platform.ForReviewers;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Walks every endpoint as every kind of caller; a new endpoint is walked without being named here. */
class AccessTest extends ServerTest {
    @Autowired
    @Qualifier("requestMappingHandlerMapping") private RequestMappingHandlerMapping mappings;

    @Test
    void every_endpoint_states_who_may_call_it() {
        List<String> silent = endpoints().stream()
                .filter(one -> one.admits() == null)
                .map(Endpoint::toString)
                .toList();

        assertThat(silent).isEmpty();
        assertThat(endpoints()).hasSizeGreaterThan(40);
    }

    @Test
    void whoever_is_not_signed_in_reaches_only_what_is_for_anybody() {
        List<String> wrong = new ArrayList<>();
        Caller stranger = stranger();
        stranger.get("/api/session"); // hands out the token, so that only the missing session stands in the way
        for (Endpoint one : endpoints()) {
            boolean refused = stranger.send(one.method(), one.path(UUID.randomUUID()), "{}")
                            .status()
                    == 401;
            if (refused == (one.admits() == ForAnybody.class)) {
                wrong.add(one + " refused: " + refused);
            }
        }

        assertThat(wrong).isEmpty();
    }

    @Test
    void each_role_reaches_just_what_is_for_it() {
        List<String> wrong = new ArrayList<>();
        for (String callSign : List.of("Woodcock", "Dipper", "Redpoll", "Treecreeper")) {
            boolean isLead = callSign.equals("Treecreeper");
            Caller caller = signedIn(callSign);
            for (Endpoint one : endpoints()) {
                if (one.endsTheSession()) {
                    continue;
                }
                boolean refused = one.sentBy(caller, UUID.randomUUID(), "{}") == 403;
                boolean contractor = callSign.equals("Woodcock");
                boolean tooHigh = one.admits() == ForLeads.class && !isLead
                        || one.admits() == ForReviewers.class && (contractor || callSign.equals("Dipper"))
                        || one.admits() == ForObservers.class && contractor;
                if (refused != tooHigh) {
                    wrong.add(callSign + " " + one + " refused: " + refused);
                }
            }
        }

        assertThat(wrong).isEmpty();
    }

    @Test
    void a_contractor_reaches_the_cards_and_what_they_need_and_nothing_else() {
        assertThat(endpoints().stream()
                        .filter(one -> one.admits() == ForContractors.class)
                        .map(Endpoint::name))
                .containsExactlyInAnyOrder(
                        "GET /api/control/cards",
                        "PUT /api/surveys/{surveyId}/control/looks/{lookId}",
                        "PUT /api/surveys/{surveyId}/control/works/{workId}",
                        "GET /api/sheets/{versionId}",
                        "GET /api/sheets/{versionId}/file",
                        "GET /api/sheet-pictures/{image}",
                        "DELETE /api/session/everywhere");
    }

    @Test
    void nobody_reaches_anything_of_a_survey_that_is_not_theirs() {
        List<String> wrong = new ArrayList<>();
        UUID dippersOwn = demoId("survey Long Ride");
        Caller lead = signedIn("Treecreeper"); // who may call every endpoint, but does not belong to that survey
        for (Endpoint one : endpoints()) {
            if (!one.pattern().contains("{surveyId}")) {
                continue;
            }
            int status = one.sentBy(lead, dippersOwn, one.fitBody());
            if (status != 404 && status != 400 || one.method().equals("GET") && status != 404) {
                wrong.add(one + " answered " + status);
            }
        }

        assertThat(wrong).isEmpty();
    }

    private List<Endpoint> endpoints() {
        List<Endpoint> found = new ArrayList<>();
        mappings.getHandlerMethods().forEach((info, handler) -> {
            if (handler.getBeanType().getPackageName().startsWith("org.goldthistle")) {
                for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                    found.add(endpoint(info, handler, method));
                }
            }
        });
        return found;
    }

    private static Endpoint endpoint(RequestMappingInfo info, HandlerMethod handler, RequestMethod method) {
        Class<?> admits = Stream.of(
                        ForAnybody.class, ForContractors.class, ForLeads.class, ForReviewers.class, ForObservers.class)
                .filter(handler::hasMethodAnnotation)
                .findFirst()
                .orElse(null);
        String pattern = info.getPatternValues().iterator().next();
        boolean takesBytes =
                info.getConsumesCondition().getConsumableMediaTypes().contains(APPLICATION_OCTET_STREAM);
        return new Endpoint(method.name(), pattern, admits, takesBytes);
    }

    /** An endpoint, and the annotation that says who may call it; null: none does. */
    private record Endpoint(String method, String pattern, Class<?> admits, boolean takesBytes) {
        private static final Set<String> ENDING =
                Set.of("DELETE /api/session", "DELETE /api/session/everywhere", "POST /api/session");

        boolean endsTheSession() {
            return ENDING.contains(method + " " + pattern);
        }

        String name() {
            return method + " " + pattern;
        }

        /** The status that a caller gets, with a made-up id for everything but the survey. */
        int sentBy(Caller caller, UUID survey, String body) {
            Caller.Answer answer = takesBytes
                    ? caller.putBytes(path(survey) + "?name=x", new byte[] {1})
                    : caller.send(method, path(survey), body);
            return answer.status();
        }

        private String path(UUID survey) {
            String filled = pattern.replace("{surveyId}", survey.toString())
                    .replace("{groupId}", "birches")
                    .replace("{characterId}", "no-such")
                    .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
            return filled.endsWith("/trees") ? filled + "?find=1" : filled;
        }

        /** Bodies that pass the first look, where an empty one would be sent back before the survey is asked for. */
        String fitBody() {
            return pattern.endsWith("/closed") ? "{\"closed\":true}" : "{}";
        }
    }
}
