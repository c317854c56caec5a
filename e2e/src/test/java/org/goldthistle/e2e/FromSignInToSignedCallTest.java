package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;

class FromSignInToSignedCallTest extends BrowserTest {
    private static final String NOTE = "Warts few, but the teeth are plain.";

    @Test
    void one_observer_reads_and_signs_a_tree_and_another_sees_why() {
        Page dipper = stranger(1280, 800);
        assertAccessible(dipper);
        dipper = signedIn("Dipper");
        assertAccessible(dipper);

        BenchOnScreen bench = BenchOnScreen.open(dipper, 23).month("September");
        bench.takeUp("How the outer twigs hang")
                .see("long thin twigs hang straight down")
                .settled()
                .certainty("fairly");
        bench.takeUp("Double or single leaf teeth")
                .see("big teeth")
                .settled()
                .see("big teeth")
                .settled();
        bench.takeUp("DFT").type("11").settled().type("9").settled().type("13").settled();
        bench.takeUp("Side lobes of the fruit-catkin scales").notSeen().settled();

        Balance core = coreSays();
        assertThat(bench.candidate("silver birch")).containsText(percent(core.posterior(0)));
        assertThat(bench.candidate("downy birch")).containsText(percent(core.posterior(1)));
        assertThat(bench.candidate("none of these")).containsText(percent(core.noneOfThese()));
        assertThat(bench.points("the surroundings"))
                .containsText(points(core.surroundingsPoints(core.lead(), core.rival())));
        assertThat(bench.points("How the outer twigs hang"))
                .containsText(points(core.points(0, core.lead(), core.rival())));
        assertThat(bench.points("DFT")).containsText(points(core.points(2, core.lead(), core.rival())));
        assertThat(bench.row("Side lobes")).containsText("not seen");
        assertAccessible(dipper);

        bench.sign("silver birch", NOTE);
        Page siskin = signedIn("Siskin");
        assertSignedCallIsThere(siskin);

        application.stop();
        application.start();
        assertSignedCallIsThere(signedIn("Redpoll"));
    }

    private void assertSignedCallIsThere(Page page) {
        BenchOnScreen.open(page, 23);
        page.getByText("Kettle Moss 07").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen tree")))
                .containsText("silver birch · signed");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Bench").setExact(true))
                .click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Signed calls"))
                .getByText(NOTE)
                .click();
        var reasons = page.getByRole(AriaRole.DIALOG);
        assertThat(reasons).containsText("Dipper signed silver birch");
        assertThat(reasons).containsText("version 1 of the sheet");
        assertThat(reasons).containsText("11, 9, 13 mm");
        assertThat(reasons).containsText("2 × ");
        assertThat(reasons).containsText("sure (assumed)");
        assertThat(reasons).containsText("The same figures come out of this record today.");
        assertAccessible(page);
    }

    /** The same tree through the core. */
    private static Balance coreSays() {
        GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches")));
        List<Observation> observations = List.of(
                reading("crown-twigs", new StatesObserved(List.of("hanging")), Certainty.FAIRLY),
                reading("leaf-teeth", new StatesObserved(List.of("double", "double")), Certainty.ASSUMED),
                reading("dft", new ValuesObserved(List.of(11.0, 9.0, 13.0)), Certainty.ASSUMED),
                new NotSeen("catkin-scale-lobes"));
        var context = new Context(
                9,
                LifeStage.MATURE,
                TreeOrigin.UNKNOWN,
                EnumSet.of(Habitat.DRY, Habitat.EDGE),
                Optional.empty(),
                Optional.empty(),
                Map.of());
        return Weighing.of(model, Evidence.of(model.sheet(), context, observations), Optional.empty())
                .withSurroundings();
    }

    /** What nobody said of material and position is not stored. */
    private static Reading reading(String character, Observed observed, Certainty certainty) {
        return new Reading(character, observed, certainty, Optional.empty(), Optional.empty());
    }

    /** As the screen writes a share. */
    private static String percent(double share) {
        double figure = share * 100;
        if (figure < 0.1) {
            return "< 0.1 %";
        }
        if (figure > 99.9) {
            return "> 99.9 %";
        }
        return String.format(Locale.ROOT, "%.1f %%", figure);
    }

    /** As the screen writes points. */
    private static String points(double value) {
        return String.format(Locale.ROOT, "%+.1f", value).replace('-', '−');
    }
}
