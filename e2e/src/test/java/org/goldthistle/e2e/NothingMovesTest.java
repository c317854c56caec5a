package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** No entry moves anything that can be touched: what a finger finds once it finds again. */
class NothingMovesTest extends BrowserTest {
    private static final int TAPS = 10;
    private static final int ENTRIES = Integer.getInteger("goldthistle.entries", 8); // for each group and width
    private static final int ENTRIES_A_CHECK = 4;

    /** Where everything that a finger reaches now lies in the window; each is known by an attribute that it keeps. */
    private static final String TARGETS = "() => Object.fromEntries([...document.querySelectorAll("
            + "'button, a, input, textarea, summary, [role=radio]')].map((one, i) => {"
            + " one.dataset.target ??= crypto.randomUUID();"
            + " const box = one.getBoundingClientRect();"
            + " return [one.dataset.target, [box.x, box.y, box.bottom, one.textContent.slice(0, 40)]] })"
            + ".filter(([id, [x, y]]) => { const one = document.querySelector(`[data-target='${id}']`);"
            + " const box = one.getBoundingClientRect();"
            + " const hit = document.elementFromPoint(x + box.width / 2, y + box.height / 2);"
            + " return hit !== null && one.contains(hit) }))";

    /** The names of those that lie elsewhere than before. */
    private static final String MOVED = "(before) => { const now = (" + TARGETS + ")();"
            + " return Object.keys(before).filter((one) => now[one]"
            + " && (Math.abs(now[one][0] - before[one][0]) > 0.5 || Math.abs(now[one][1] - before[one][1]) > 0.5))"
            + ".map((one) => before[one][3] + ' from ' + before[one][0] + ',' + before[one][1] + ' to ' + now[one][0]"
            + " + ',' + now[one][1]) }";

    static DemoTree[] trees() {
        return DemoTree.ofEachGroup();
    }

    /** Touches of one place go the same way whatever the group; a third of them shows it. */
    static Stream<DemoTree> everyThirdTree() {
        return IntStream.range(0, trees().length).filter(i -> i % 3 == 0).mapToObj(i -> trees()[i]);
    }

    @Test
    void the_pages_in_the_bar_stay_where_they_are_when_the_survey_comes_and_what_waits_is_counted() {
        Page lead = stranger(1280, 800);
        List<Route> held = new ArrayList<>();
        lead.route("**/api/surveys", held::add);
        signIn(lead, "Treecreeper");
        Locator quality = lead.getByRole(AriaRole.BANNER).getByRole(AriaRole.LINK, named("Quality"));
        BoundingBox before = quality.boundingBox();
        assertThat(held).isNotEmpty();

        held.forEach(Route::resume);

        lead.getByRole(AriaRole.BANNER).getByText("for you").waitFor();
        lead.getByRole(AriaRole.BANNER)
                .getByRole(AriaRole.LINK, named("Control"))
                .waitFor();
        assertThat(quality.boundingBox().x).isEqualTo(before.x);
    }

    @Test
    void the_bar_of_a_lead_fits_every_width() {
        Page lead = signedIn("Treecreeper");
        lead.getByRole(AriaRole.BANNER).getByText("for you").waitFor();
        for (int width = 640; width <= 1280; width += 64) {
            lead.setViewportSize(width, 800);
            assertThat(lead.evaluate("() => document.documentElement.scrollWidth - window.innerWidth"))
                    .as(width + " px")
                    .isEqualTo(0);
        }
    }

    @ParameterizedTest
    @MethodSource("everyThirdTree")
    void ten_touches_of_one_place_on_a_phone_are_ten_of_one_state(DemoTree tree) {
        Page phone = signedInByTouch("Nuthatch");
        BenchOnScreen bench = inSummer(tree.open(phone));
        Locator card = firstCards(phone, bench);
        String state = name(card);
        card.scrollIntoViewIfNeeded();
        BoundingBox box = card.boundingBox();

        for (int i = 0; i < TAPS; i++) {
            phone.touchscreen().tap(box.x + box.width / 2, box.y + box.height / 2);
        }
        bench.settled();

        assertThat(counted(phone)).as(state).isEqualTo(TAPS);
    }

    @ParameterizedTest
    @MethodSource("everyThirdTree")
    void ten_clicks_on_one_place_of_a_laptop_are_ten_of_one_state(DemoTree tree) {
        Page laptop = signedIn("Redpoll");
        BenchOnScreen bench = inSummer(tree.open(laptop));
        Locator card = firstCards(laptop, bench);
        BoundingBox box = card.boundingBox();

        for (int i = 0; i < TAPS; i++) {
            laptop.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
        }
        bench.settled();

        assertThat(counted(laptop)).as(name(card)).isEqualTo(TAPS);
    }

    @ParameterizedTest
    @MethodSource("trees")
    void whatever_is_entered_everything_stays_where_it_is_on_a_laptop(DemoTree tree) {
        assertNothingMoves(signedIn("Dipper"), tree);
    }

    @ParameterizedTest
    @MethodSource("trees")
    void whatever_is_entered_everything_stays_where_it_is_on_a_phone(DemoTree tree) {
        assertNothingMoves(signedInByTouch("Siskin"), tree);
    }

    private static void assertNothingMoves(Page page, DemoTree tree) {
        BenchOnScreen bench = inSummer(tree.open(page));
        var random = new Random(tree.tag());
        for (int i = 0; i < ENTRIES; i++) {
            if (i % ENTRIES_A_CHECK == 0) {
                page.keyboard().press("j");
                page.waitForTimeout(60); // what was just opened is drawn
            }
            Object before = page.evaluate(TARGETS);
            String entry = enterSomething(page, random);
            bench.settled();
            page.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
            assertThat((List<?>) page.evaluate(MOVED, before))
                    .as(tree + ", " + bench.heading().innerText() + ", entry " + i + ": " + entry)
                    .isEmpty();
        }
    }

    /** A state, a number, how it was read, or that it was not seen: by key, as the place of the pointer must not matter. */
    private static String enterSomething(Page page, Random random) {
        boolean numbers = page.getByLabel(java.util.regex.Pattern.compile("^(Count|Measure)"))
                        .count()
                > 0;
        String key = switch (random.nextInt(8)) {
            case 0 -> "0";
            case 1 -> "u";
            case 2 -> "m";
            case 3 -> "a";
            case 4 -> "z";
            default -> String.valueOf(1 + random.nextInt(numbers ? 9 : 2));
        };
        page.keyboard().press(key);
        if (numbers && key.matches("[1-9]")) {
            page.keyboard().press("Enter");
            page.keyboard().press("Enter"); // it may be asked about
        }
        return key;
    }

    private static BenchOnScreen inSummer(BenchOnScreen bench) {
        return bench.month("September");
    }

    /** The second card of the first check that has states of which several are looked at. */
    private static Locator firstCards(Page page, BenchOnScreen bench) {
        for (int i = 0; i < 20; i++) {
            page.keyboard().press("j");
            page.waitForTimeout(60);
            Locator cards = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"))
                    .getByRole(AriaRole.BUTTON);
            if (cards.count() > 1 && page.getByText("all alike").count() > 0) {
                return cards.nth(1);
            }
        }
        throw new AssertionError(
                "no check with several looks on " + bench.heading().innerText());
    }

    private static String name(Locator card) {
        return card.innerText().replace('\n', ' ');
    }

    /** How many looks the chosen state has; fails when several are chosen. */
    private static int counted(Page page) {
        List<String> chosen =
                page.locator("[aria-label=States] [aria-pressed=true]").allInnerTexts();
        assertThat(chosen).as("states chosen").hasSize(1);
        return Integer.parseInt(chosen.get(0).replaceAll("(?s).*×(\\d+).*", "$1"));
    }
}
