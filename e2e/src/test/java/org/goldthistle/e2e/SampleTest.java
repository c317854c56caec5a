package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.goldthistle.standins.Laboratory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** From a sample that is wanted to a case that its result settles, with the laboratory's stand-in on the line. */
class SampleTest extends BrowserTest {
    private static final String SECRET = "for-the-tests-alone";

    private Laboratory laboratory;

    @Override
    protected Application started() {
        try {
            Duration atOnce = Duration.ofMillis(10);
            laboratory = Laboratory.on(0, SECRET, Clock.systemUTC(), atOnce, atOnce.multipliedBy(2), 4);
        } catch (IOException taken) {
            throw new UncheckedIOException(taken);
        }
        return Application.startWithLaboratory(laboratory.address(), SECRET);
    }

    @AfterAll
    void closeLaboratory() {
        laboratory.close();
    }

    @Test
    void what_came_back_is_weighed_at_the_table_and_settles_the_case() {
        Page reviewer = signedIn("Redpoll");
        Locator today = region(reviewer, "Samples");
        assertThat(today).containsText("Came back:");
        today.getByText("Heron Carr 02, tree 19").click();

        Locator laboratoryPart = region(reviewer, "Laboratory");
        assertThat(laboratoryPart).containsText("HC02-19-A, came back");
        assertThat(laboratoryPart).containsText("fits ");
        assertThat(laboratoryPart).containsText("wrong in 0.8 %");
        assertThat(region(reviewer, "Together")).containsText("and the laboratory say together");
        assertAccessible(reviewer);
        reviewer.getByLabel("The laboratory’s result").check();
        assertThat(reviewer.getByLabel("Its report")).hasValue(Pattern.compile("^HC02-19-A: "));
        reviewer.getByRole(AriaRole.BUTTON, named("Decide", reviewer)).dblclick();

        assertThat(region(reviewer, "Decision")).isHidden();
        reviewer.navigate("/samples");
        assertThat(region(reviewer, "Ended")).containsText("HC02-19-A");
    }

    @Test
    void a_crew_takes_a_sample_on_a_phone_and_what_the_laboratory_says_comes_by_itself() throws IOException {
        Page phone = signedInByTouch("Siskin");
        phone.navigate("/samples");
        assertAccessible(phone);
        Locator asked =
                region(phone, "To be taken").getByRole(AriaRole.LISTITEM).first();
        String code = asked.locator("strong").first().textContent();
        asked.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Taken"))).dblclick(); // a hasty finger takes it once
        Locator atHand = region(phone, "At hand");
        assertThat(atHand).containsText(code);
        Download labels =
                phone.waitForDownload(() -> phone.getByText("Labels to print").tap());
        org.assertj.core.api.Assertions.assertThat(Files.readString(labels.path(), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF");
        phone.reload();
        atHand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Make a parcel of 2 samples"))
                .dblclick();

        assertThat(atHand).isHidden();
        assertThat(phone.getByText(", receipt R-P").first()).isVisible(soon());
        assertThat(region(phone, "Came back"))
                .containsText(code, new LocatorAssertions.ContainsTextOptions().setTimeout(40_000));
        assertThat(region(phone, "Said, and counted for nothing")).containsText("too little DNA of use");
    }

    @Test
    void two_who_say_different_things_of_a_sample_are_told_and_a_note_is_kept() {
        Page siskin = signedIn("Siskin");
        siskin.navigate("/surveys/" + BenchOnScreen.demoId("survey Tarnholt") + "/plots/"
                + BenchOnScreen.demoId("plot Kettle Moss 07"));
        siskin.getByRole(AriaRole.BUTTON, named("Tree 23", siskin)).click();
        siskin.getByText("Sample …").click();
        siskin.getByLabel("What the laboratory is to find").selectOption("markers");
        siskin.getByText("Ask for the sample").dblclick();
        Page dipper = signedIn("Dipper");
        for (Page page : List.of(siskin, dipper)) {
            page.navigate("/samples");
            assertThat(wanted(page)).hasCount(1);
        }
        wanted(dipper)
                .getByRole(AriaRole.BUTTON, named(Pattern.compile("not wanted")))
                .click();
        dipper.getByLabel("What happened").fill("its leaves have fallen");
        wanted(siskin)
                .getByRole(AriaRole.BUTTON, named(Pattern.compile("not wanted")))
                .click();
        siskin.getByLabel("What happened").fill("the tree was settled");
        siskin.getByText("Record it").click();
        assertThat(region(siskin, "Ended")).containsText("the tree was settled");
        dipper.getByText("Record it").click();

        assertThat(dipper.getByText("Somebody changed this sample").first()).isVisible();
        assertThat(dipper.getByLabel("What happened")).hasValue("its leaves have fallen");
    }

    private static Locator wanted(Page page) {
        return region(page, "To be taken")
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("KM07-23-A"));
    }

    private static LocatorAssertions.IsVisibleOptions soon() {
        return new LocatorAssertions.IsVisibleOptions().setTimeout(30_000);
    }
}
