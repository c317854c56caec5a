package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The walk around the Bench: plots, trees, people and files on screen. */
class PlotTest extends BrowserTest {

    @Override
    protected boolean playsMonths() {
        return true;
    }

    @Test
    void a_plot_is_recorded_walked_and_not_closed_before_its_calls_are_signed() {
        Page dipper = signedIn("Dipper");
        dipper.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plots"))
                .click();
        assertAccessible(dipper);
        dipper.getByText("New plot").click();
        dipper.getByLabel("Code", new Page.GetByLabelOptions().setExact(true)).fill("Kettle Moss 08");
        dipper.getByLabel("Position of the centre").fill("by the beck");
        assertThat(dipper.getByText("This cannot be read as a position.")).isVisible();
        dipper.getByText("From the receiver").click();
        assertThat(dipper.getByText("made up by the simulated receiver")).isVisible();
        assertAccessible(dipper);
        dipper.getByText("Record the plot").click();

        PlotOnScreen plot = new PlotOnScreen(dipper);
        plot.type("1 10 3.5 214 wild silver birch?");
        assertThat(plot.parse()).containsText("contested: silver birch or another of the birches");
        plot.enter("1 10 3.5 214 wild silver birch?", 1);
        plot.enter("2 120 7.2 287 pole beech", 2);
        plot.enter("#3 11° 3.9m 12cm =1", 3);
        assertThat(plot.chosen()).containsText("stem of tree 1");
        plot.type("4 120 77.2 9000 beech");
        assertThat(plot.parse()).containsText("77.2 m is outside the plot, whose radius is 15 m");
        plot.type("4 121 7.2 9000 beech");
        dipper.keyboard().press("Enter");
        assertThat(plot.parse()).containsText("9000 mm thick: 1 to 2500 mm");
        assertThat(plot.line()).hasValue("4 121 7.2 9000 beech");

        dipper.getByText("Close the plot").click();
        assertThat(dipper.getByText("tree 1: no signature")).isVisible();
        assertThat(dipper.getByText("tree 2:")).hasCount(0);
        assertAccessible(dipper);
    }

    @Test
    void how_a_tree_does_is_noted_in_its_line_and_what_presses_it_is_on_the_map() {
        Page siskin = signedIn("Siskin");
        PlotOnScreen plot = PlotOnScreen.open(siskin, "Kettle Moss 07");
        plot.type("41 90 5.2 160 beech l240/180/60 d2 sub browsed favoured");
        assertThat(plot.parse()).containsText("leaders 240, 180, 60 mm, the youngest first");
        assertThat(plot.parse()).containsText("crown dieback 2");
        plot.enter("41 90 5.2 160 beech l240/180/60 d2 sub browsed favoured", 41);
        assertThat(plot.chosen()).containsText("suppressed, leaders 240, 180, 60 mm, dieback 2, browsed");
        assertThat(plot.chosen()).containsText("to be favoured; competition 1.01, pressed by tree 11");
        siskin.getByLabel("What presses the stems to be favoured").check();
        assertThat(siskin.locator("[data-favoured='41'] [data-presses='11']")).hasCount(1);
        assertAccessible(siskin);
        siskin.reload();

        siskin.getByText("Change", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(siskin.getByLabel("Last leaders, mm")).hasValue("240/180/60");
        siskin.getByLabel("Last leaders, mm").fill("100/200/300/400");
        assertThat(siskin.getByText("at most three years")).isVisible();
        siskin.getByLabel("Last leaders, mm").fill("60/180/400");
        siskin.getByLabel("Crown class").selectOption("codominant");
        siskin.getByText("Keep the changes").dblclick();
        assertThat(plot.chosen()).containsText("codominant, leaders 60, 180, 400 mm");
        assertThat(plot.chosen()).containsText("or the years turned round?");
        siskin.getByText("History", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(siskin.getByRole(AriaRole.DIALOG)).containsText("vigour: ");
    }

    @Test
    void map_and_table_choose_together_by_mouse_and_by_keys() {
        Page siskin = signedIn("Siskin");
        PlotOnScreen plot = PlotOnScreen.open(siskin, "Kettle Moss 07");

        plot.row(24).click();
        assertThat(plot.mark(24)).hasAttribute("aria-selected", "true");
        plot.map().focus();
        siskin.keyboard().press("ArrowUp");
        siskin.keyboard().press("ArrowRight");
        assertThat(plot.row(24)).hasAttribute("aria-pressed", "false");
        plot.mark(38).click();
        assertThat(plot.row(38)).hasAttribute("aria-pressed", "true");
        assertThat(plot.chosen()).containsText("one of the larches");
        plot.map().focus();
        siskin.keyboard().press("Enter");

        siskin.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("tree 38$")))
                .waitFor();
    }

    @Test
    void a_pasted_plot_is_stored_but_for_the_lines_that_cannot_be() {
        Page siskin = signedIn("Siskin");
        PlotOnScreen plot = PlotOnScreen.open(siskin, "Long Ride 03");
        plot.paste("61 12 3 120 beech\n62 13 4 xyzzy\n63 14 5 90 limes");

        assertThat(siskin.getByText("“xyzzy” is neither a taxon")).isVisible();
        assertThat(plot.row(63)).isVisible();
        assertThat(siskin.getByLabel("Pasted lines that are still to be stored"))
                .hasValue("62 13 4 xyzzy");
        siskin.getByLabel("Pasted lines that are still to be stored").fill("62 13 4 80 beech");
        siskin.getByText("Store these lines").click();
        plot.row(62).waitFor();
    }

    @Test
    void lines_that_are_pasted_without_a_network_are_in_the_plot_at_once_and_handed_in_later() {
        Page siskin = signedIn("Siskin");
        PlotOnScreen plot = PlotOnScreen.open(siskin, "Long Ride 03").named();
        siskin.context().setOffline(true);
        plot.paste("71 12 3 120 beech\n72 13 4 90 limes\n71 14 5 80 beech");

        plot.row(71).waitFor();
        plot.row(72).waitFor();
        assertThat(siskin.getByLabel("Pasted lines that are still to be stored"))
                .hasValue("71 14 5 80 beech");
        assertThat(siskin.getByText("2 to hand in")).isVisible();
        siskin.context().setOffline(false);
        new BenchOnScreen(siskin).settled();
        siskin.reload();
        plot.row(71).waitFor();
        plot.row(72).waitFor();
    }

    @Test
    void of_two_who_change_one_tree_the_second_chooses() {
        PlotOnScreen first = edit(signedIn("Siskin"), "301");
        Page redpoll = signedIn("Redpoll");
        PlotOnScreen second = edit(redpoll, "302");

        first.chosen().page().getByText("Keep the changes").click();
        assertThat(first.chosen()).containsText("301 mm");
        redpoll.getByText("Keep the changes").click();

        Locator row =
                redpoll.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^diameter, mm")));
        assertThat(row).containsText("302");
        assertThat(row).containsText("301");
        assertAccessible(redpoll);
        redpoll.getByText("Store mine instead").click();
        assertThat(second.chosen()).containsText("302 mm");
        second.chosen().getByText("History").click();
        assertThat(redpoll.getByText("diameter millimetres: 301 → 302")).isVisible();
    }

    private static PlotOnScreen edit(Page page, String diameter) {
        PlotOnScreen plot = PlotOnScreen.open(page, "Kettle Moss 07");
        plot.row(40).click();
        plot.chosen().getByText("Change").click();
        page.getByLabel("Diameter, mm").fill(diameter);
        return plot;
    }

    @Test
    void a_file_is_mapped_checked_and_stored() {
        Page redpoll = signedIn("Redpoll");
        redpoll.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plots"))
                .click();
        redpoll.getByText("Import and export").click();
        redpoll.getByLabel("File")
                .setInputFiles(new FilePayload(
                        "beck.csv",
                        "text/csv",
                        ("plot,tag,azimuth,distance,thickness,species\nSallow Beck 09,1,20,4,214,Quercus robur\n"
                                        + "Sallow Beck 09,2,400,5,90,Fagus sylvatica\n")
                                .getBytes(StandardCharsets.UTF_8)));
        redpoll.getByLabel("thickness is taken for").selectOption("diameter");
        assertAccessible(redpoll);
        redpoll.getByText("Check every row").click();
        assertThat(redpoll.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Problems")))
                .containsText("400 deg: it must be degrees from 0 to below 360");

        redpoll.getByLabel("azimuth is taken for").selectOption("not taken over");
        redpoll.getByText("Forget this file").click();
        redpoll.getByLabel("File")
                .setInputFiles(new FilePayload(
                        "bäche.csv",
                        "text/csv",
                        "plot,tag,azimuth,distance,BHD [cm],espèce\nSallow Beck 09,1,20,4,214,Quercus robur\n"
                                .getBytes(Charset.forName("windows-1252"))));
        assertThat(redpoll.getByLabel("Its letters are written as")).hasValue("Windows-1252");
        assertThat(redpoll.getByLabel("espèce is taken for")).hasValue("taxon");
        redpoll.getByLabel("BHD [cm] is taken for").selectOption("not taken over");
        redpoll.getByLabel("BHD [cm] is taken for").selectOption("diameter");
        redpoll.getByLabel("Unit of BHD [cm]").selectOption("cm");
        redpoll.getByText("Check every row").click();
        assertThat(redpoll.getByText("half of the trees would be thicker than 2140 mm"))
                .isVisible();
        assertAccessible(redpoll);
        redpoll.getByText("in mm", new Page.GetByTextOptions().setExact(true)).click();
        redpoll.getByText("Store all of it in Kettle Moss round, Tarnholt Forest, season 2026")
                .click();
        assertThat(redpoll.getByText("Stored: 1 new plot and 1 tree.")).isVisible();

        PlotOnScreen plot = PlotOnScreen.open(redpoll, "Sallow Beck 09");
        plot.row(1).click();
        assertThat(plot.chosen()).containsText("pedunculate oak");
        assertThat(plot.chosen()).containsText("214 mm");
    }

    @Test
    void today_tells_what_to_walk_and_to_settle_and_an_aid_is_kept_for_oneself() {
        Page siskin = signedIn("Siskin");
        Locator settle = siskin.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Settle"));
        assertThat(siskin.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Walk")))
                .containsText("Kettle Moss 07");
        siskin.getByText("still being played through")
                .waitFor(new Locator.WaitForOptions()
                        .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN)
                        .setTimeout(60_000));
        assertAccessible(siskin);
        settle.getByRole(AriaRole.LINK).first().click();
        siskin.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Checks"))
                .waitFor();

        BenchOnScreen.open(siskin, 4).takeUp("Bark at chest height");
        siskin.getByText("Note something for yourself").click();
        siskin.getByLabel("Your own note on this check").fill("like an old crocodile");
        siskin.getByText("Keep the note").click();
        assertThat(siskin.getByText("like an old crocodile")).isVisible();
        Page dipper = signedIn("Dipper");
        BenchOnScreen.open(dipper, 4).takeUp("Bark at chest height");
        assertThat(dipper.getByText("like an old crocodile")).hasCount(0);
    }

    @Test
    void a_lead_invites_somebody_who_comes_in_by_the_link() {
        Page lead = signedIn("Treecreeper");
        lead.getByText("People").click();
        assertAccessible(lead);
        lead.getByText("Invite somebody").click();
        lead.getByLabel("Call sign").fill("Linnet");
        lead.getByRole(AriaRole.DIALOG).getByLabel("Survey").selectOption("Kettle Moss round, Tarnholt Forest 2026");
        lead.getByText("Make the link").click();
        String link = lead.getByText(Pattern.compile("/welcome#")).innerText();

        Page linnet = stranger(390, 844);
        linnet.navigate(link);
        linnet.getByText("Welcome, Linnet").waitFor();
        assertAccessible(linnet);
        linnet.getByLabel("Passphrase").fill(Application.PASSPHRASE);
        linnet.getByLabel("The same again").fill(Application.PASSPHRASE);
        linnet.getByText("Choose it, and sign in").click();

        assertThat(linnet.getByText("Today, Linnet")).isVisible();
        assertThat(linnet.getByText("Kettle Moss round")).hasCount(1);
        Page again = stranger(390, 844);
        again.navigate(link);
        assertThat(again.getByText("This link does not work")).isVisible();
    }

    @Test
    void a_survey_is_set_up_and_a_closed_one_is_read_only() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/surveys/" + BenchOnScreen.demoId("survey Tarnholt 2025") + "/plots/"
                + BenchOnScreen.demoId("plot Kettle Moss 05"));
        assertThat(lead.getByText("The survey is closed: its trees can be read, not changed."))
                .isVisible();
        assertThat(lead.getByLabel("New tree, in one line")).hasCount(0);

        lead.keyboard().press("/");
        lead.getByPlaceholder("Where to?").fill("new survey");
        lead.keyboard().press("Enter");
        lead.getByLabel("Name").fill("Heron Carr spring round");
        lead.getByLabel("District").fill("Tarnholt");
        lead.getByText("Set the threshold by costs").click();
        assertThat(lead.getByText("sign at 90.0 %")).isVisible();
        assertAccessible(lead);
        lead.getByText("Set the survey up").click();
        lead.getByLabel("Survey")
                .selectOption(List.of("Heron Carr spring round " + java.time.Year.now())
                        .get(0));

        assertThat(lead.getByText("What comes first")).isVisible();
    }

    @Test
    void a_plot_fits_a_crew_s_small_screen() {
        Page dipper = signedIn("Dipper", 390, 844);
        PlotOnScreen plot = PlotOnScreen.open(dipper, "Churn Edge 05");

        plot.row(3).click();

        assertThat(plot.chosen()).isVisible();
        int wide = (int) dipper.evaluate("document.documentElement.scrollWidth");
        org.assertj.core.api.Assertions.assertThat(wide).isLessThanOrEqualTo(390);
        assertAccessible(dipper);
    }
}
