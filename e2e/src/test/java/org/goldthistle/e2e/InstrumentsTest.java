package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.goldthistle.standins.Caliper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What a caliper sends goes where somebody measures. */
class InstrumentsTest extends BrowserTest {
    private static final int SALLOW = 9;
    private static final String RATIO = "Leaf length divided by leaf width";
    private static final String WIDTH = "Greatest width of the blade";

    private Caliper caliper;

    @BeforeEach
    void a_caliper_lies_on_the_table() throws IOException {
        caliper = Caliper.on(0);
    }

    @AfterEach
    void it_is_put_away() {
        caliper.close();
    }

    @Test
    void what_it_sends_fills_the_parts_one_after_the_other_in_millimetres_or_inches() {
        Page siskin = connected("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, SALLOW).month("July").takeUp(RATIO);
        assertThat(pill(siskin)).containsText("connected");
        Page jaw = jaw(siskin);

        opened(jaw, 7, 0); // 7 times 5 mm more
        siskin.bringToFront();
        assertThat(part(siskin, "length of the blade")).hasValue("59.35");
        jaw.bringToFront();
        jaw.getByLabel("inches").check();
        opened(jaw, -7, -1); // 24.25 mm, which in inches has four decimals
        assertThat(values(siskin)).containsText("59.35 / 24.249");

        siskin.bringToFront();
        bench.takeUp(WIDTH);
        jaw.getByLabel("millimetres").check();
        press(jaw);
        assertThat(values(siskin)).containsText("24.25");
        assertThat(pill(siskin)).containsText("24.25 mm");
        bench.settled();
        siskin.reload();
        assertThat(values(siskin)).containsText("24.25");
    }

    @Test
    void what_nothing_asks_for_what_came_twice_and_what_came_broken_are_told_and_dropped() {
        Page wren = connected("Wren");
        Page jaw = jaw(wren);
        wren.bringToFront();
        press(jaw);
        assertThat(pill(wren)).containsText("24.35 mm, not taken");
        assertThat(lines(wren).first()).containsText("nothing open asks for a length");

        jaw.getByLabel("worn").check();
        press(jaw);
        press(jaw); // the third comes twice
        assertThat(lines(wren).first()).containsText("the same press once more");
        press(jaw);
        press(jaw); // the fifth is cut short
        assertThat(lines(wren).first()).containsText("perhaps it was cut short");
        assertThat(pill(wren)).containsText("no value");
        assertThat(lines(wren)).hasCount(6);
        assertAccessible(wren);
        wren.reload();
        assertThat(lines(wren)).hasCount(6); // what came is not forgotten
    }

    @Test
    void of_two_pages_the_one_in_front_takes_it() {
        Page wren = connected("Wren");
        BenchOnScreen.open(wren, SALLOW).month("July").takeUp(WIDTH);
        Page second = wren.context().newPage();
        BenchOnScreen.open(second, SALLOW).takeUp(WIDTH);
        assertThat(pill(second)).containsText("connected");
        assertThat(pill(wren)).containsText("elsewhere");

        press(jaw(wren));

        assertThat(values(second)).containsText("24.35");
        assertThat(values(second).getByRole(AriaRole.LISTITEM)).hasCount(1);
    }

    @Test
    void what_does_not_answer_is_told_and_taken_up_when_it_does() throws IOException {
        Page wren = signedIn("Wren");
        wren.navigate("/instruments");
        wren.getByLabel("Port of its service").fill("eight");
        wren.getByText("Connect", exact()).click();
        assertThat(wren.getByText("“eight” is no port.")).isVisible();
        int port = Integer.parseInt(caliper.address().replaceAll(".*:", ""));
        caliper.close();
        wren.getByLabel("Port of its service").fill("" + port);
        wren.getByText("Connect", exact()).click();
        assertThat(wren.getByText("Nothing answers on this port yet.")).isVisible();

        caliper = Caliper.on(port);

        assertThat(wren.getByText("Connected: what it sends goes where you measure."))
                .isVisible();
        wren.getByText("Stop listening").click();
        assertThat(wren.getByText("Not listening.")).isVisible();
        assertThat(pill(wren)).hasCount(0);
    }

    /** An observer's page of instruments, connected. */
    private Page connected(String callSign) {
        Page page = signedIn(callSign);
        page.navigate("/instruments");
        page.getByLabel("Port of its service").fill(caliper.address().replaceAll(".*:", ""));
        page.getByText("Connect", exact()).click();
        assertThat(page.getByText("Connected: what it sends goes where you measure."))
                .isVisible();
        return page;
    }

    /** The caliper's own page, in the same browser. */
    private Page jaw(Page page) {
        Page jaw = page.context().newPage();
        jaw.navigate(caliper.address());
        return jaw;
    }

    /** Moves the jaw by so many fives and tenths of a millimetre, and sends. */
    private static void opened(Page jaw, int fives, int tenths) {
        for (int i = 0; i < Math.abs(fives); i++) {
            jaw.getByLabel("Jaw").press(fives > 0 ? "PageUp" : "PageDown");
        }
        for (int i = 0; i < Math.abs(tenths); i++) {
            jaw.getByLabel("Jaw").press(tenths > 0 ? "ArrowRight" : "ArrowLeft");
        }
        press(jaw);
    }

    private static void press(Page jaw) {
        int sent = jaw.getByLabel("Sent").getByRole(AriaRole.LISTITEM).count();
        jaw.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Send"))
                .click();
        assertThat(jaw.getByLabel("Sent").getByRole(AriaRole.LISTITEM).nth(sent))
                .isVisible();
    }

    private static Locator pill(Page page) {
        return page.getByRole(AriaRole.BANNER)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^Caliper")));
    }

    private static Locator lines(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Lines"))
                .getByRole(AriaRole.LISTITEM);
    }

    private static Locator part(Page page, String words) {
        return page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Part by part"))
                .getByLabel(words);
    }

    private static Locator values(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Values"));
    }

    private static Page.GetByTextOptions exact() {
        return new Page.GetByTextOptions().setExact(true);
    }
}
