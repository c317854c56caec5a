package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.StateScale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From an opened tree to a signed call in five checks, each look taken, nothing skipped; every press is counted. */
class WalkTest extends BrowserTest {
    private static final int CHECKS = 5;

    private final List<String> read = new ArrayList<>();
    private int presses;
    private int pressesOneByOne; // with a press for each look, each item of the gate and each way out of a field

    @ParameterizedTest(name = "{0}")
    @CsvSource({"birches, 23, pendula, Dipper", "larches, 38, decidua, Dipper", "sallows, 9, caprea, Dipper"})
    void by_keys(String group, int tag, String taxon, String observer) {
        var tree = new TypicalTree(group, taxon);
        Page page = signedIn(observer);
        BenchOnScreen bench = BenchOnScreen.open(page, tag).month("September");
        presses = 0;
        pressesOneByOne = tree.sheet().gate().size();
        read.clear();

        press(page, "a");
        for (int i = 0; i < CHECKS; i++) {
            press(page, "n");
            pressesOneByOne++;
            readByKeys(page, tree, tree.check(bench));
            bench.settled();
        }
        signByKeys(page);

        assertThat(read).as("checks that were read").doesNotHaveDuplicates().hasSize(CHECKS);
        report(group + " by keys");
        assertThat(presses).isLessThan(pressesOneByOne);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"birches, 23, pendula, Wren", "larches, 38, decidua, Wren", "sallows, 9, caprea, Wren"})
    void by_touch_on_a_phone(String group, int tag, String taxon, String observer) {
        var tree = new TypicalTree(group, taxon);
        Page phone = signedInByTouch(observer);
        BenchOnScreen bench = BenchOnScreen.open(phone, tag).month("September");
        presses = 0;
        pressesOneByOne = tree.sheet().gate().size();

        tap(bench.button(Pattern.compile("^All of it fits")));
        for (int i = 0; i < CHECKS; i++) {
            tap(bench.button(Pattern.compile("^take it up")));
            pressesOneByOne++;
            readByTouch(phone, bench, tree, tree.check(bench));
            bench.settled();
        }
        tap(bench.button(Pattern.compile("not yet|can be signed")));
        Locator sign = bench.button(Pattern.compile("^(Sign|Not yet)"));
        assertThat(sign).isInViewport(); // in the thumb's reach, without scrolling
        tap(sign);
        phone.getByRole(AriaRole.DIALOG).waitFor();
        pressesOneByOne += 2;

        report(group + " by touch");
        assertThat(presses).isLessThan(pressesOneByOne);
    }

    private void readByKeys(Page page, TypicalTree tree, DiagnosticCharacter character) {
        int looks = character.replication().replicates();
        read.add(character.id());
        if (character.scale() instanceof StateScale) {
            press(page, String.valueOf(1 + tree.likeliest(character)));
            if (looks > 1) {
                press(page, "a");
            }
            pressesOneByOne += looks;
        } else {
            for (char one : tree.typed(character).toCharArray()) {
                press(page, one == ' ' ? "Space" : String.valueOf(one)); // the letter that goes on takes them
            }
            pressesOneByOne += looks * (tree.middle(character).length() + 1);
        }
    }

    private void readByTouch(Page phone, BenchOnScreen bench, TypicalTree tree, DiagnosticCharacter character) {
        int looks = character.replication().replicates();
        if (character.scale() instanceof StateScale) {
            tap(phone.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"))
                    .getByRole(AriaRole.BUTTON)
                    .nth(tree.likeliest(character)));
            if (looks > 1) {
                tap(bench.button("all alike"));
            }
            pressesOneByOne += looks;
        } else {
            Locator ruler = phone.locator("main svg.cursor-crosshair");
            for (int i = 0; i < looks; i++) {
                tap(ruler); // its middle: a touch a leaf
            }
            pressesOneByOne += 1 + looks * (tree.middle(character).length() + 1); // into the field, digits, Enter
        }
    }

    private void signByKeys(Page page) {
        press(page, "g");
        page.getByRole(AriaRole.DIALOG).waitFor();
        press(page, "Control+Enter");
        pressesOneByOne += 2;
    }

    private void press(Page page, String key) {
        page.keyboard().press(key);
        presses++;
    }

    private void tap(Locator target) {
        target.tap();
        presses++;
    }

    private void report(String walk) {
        System.out.printf(
                Locale.ROOT,
                "%s: %d presses, %d one by one, %.0f %% fewer%n",
                walk,
                presses,
                pressesOneByOne,
                100.0 * (pressesOneByOne - presses) / pressesOneByOne);
    }
}
