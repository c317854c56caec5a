package org.goldthistle.race;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** A new write is raced, or this fails. */
class EveryWriteIsRacedTest extends ServerTest {
    @Autowired
    @Qualifier("requestMappingHandlerMapping") private RequestMappingHandlerMapping mappings;

    @Test
    void no_write_is_left_out() {
        Set<String> raced = new TreeSet<>();
        for (RaceCase some : List.of(
                new SurveyRaceTest(),
                new BenchRaceTest(),
                new PeopleRaceTest(),
                new FileRaceTest(),
                new PracticeRaceTest(),
                new ControlRaceTest(),
                new SampleRaceTest())) {
            some.races().forEach(race -> raced.add(race.endpoint()));
        }
        Set<String> writes = new TreeSet<>();
        mappings.getHandlerMethods().forEach((info, handler) -> {
            if (handler.getBeanType().getPackageName().startsWith("org.goldthistle")) {
                for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                    if (method != RequestMethod.GET) {
                        writes.add(method + " "
                                + info.getPatternValues().iterator().next());
                    }
                }
            }
        });

        assertThat(raced).containsAll(writes);
    }
}
