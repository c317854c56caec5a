package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Two instances on one database give the same answers: they keep nothing between requests. */
class TwoInstancesTest extends BrowserTest {
    private static final String SURVEY = "/api/surveys/" + BenchOnScreen.demoId("survey Tarnholt");

    @Test
    void whoever_signs_in_at_one_works_on_at_the_other() {
        try (Application other = application.another()) {
            Page siskin = signedIn("Siskin"); // a cookie is the host's, whichever port

            PlotOnScreen plot = PlotOnScreen.open(siskin, "Kettle Moss 07");
            plot.enter("51 33 9.1 150 birches", 51);
            siskin.navigate(siskin.url().replace(application.url(), other.url()));
            plot.row(51).waitFor();
            plot.row(51).click();
            plot.chosen().getByText("Bench").click();
            BenchOnScreen bench = new BenchOnScreen(siskin);
            bench.takeUp("Rough black bark").see("thick black bosses").settled();

            for (String path :
                    List.of("/today", "/plots", "/plots/" + BenchOnScreen.demoId("plot Kettle Moss 07") + "/trees")) {
                assertThat(answer(siskin, application, path)).isEqualTo(answer(siskin, other, path));
            }
            siskin.navigate(siskin.url().replace(other.url(), application.url()));
            assertThat(bench.points("Rough black bark")).hasCount(1);
        }
    }

    private static String answer(Page page, Application instance, String path) {
        APIResponse answer = page.request().get(instance.url() + SURVEY + path);
        assertThat(answer.status()).isEqualTo(200);
        return answer.text();
    }
}
