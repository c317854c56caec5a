package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;

/** The next season, seasons side by side, the end of a day, what goes out and what is printed. */
class SeasonsTest extends BrowserTest {
    @Test
    void a_lead_begins_the_next_season_and_a_tree_tells_what_it_was_to_whoever_asks() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/season");
        lead.getByText("Seasons compared, and the next one").click();
        assertThat(region(lead, "Season by season").getByRole(AriaRole.ROW))
                .not()
                .hasCount(1);
        assertThat(region(lead, "The same plots").getByText("Heron Carr 02")).isVisible();
        assertAccessible(lead);

        lead.getByText("Next season from this one").click();
        lead.getByLabel("Season", exactly()).fill("2026");
        lead.getByText("Begin it").click();
        assertThat(lead.getByText("a year after 2026")).isVisible();
        lead.getByLabel("Season", exactly()).fill("2027");
        lead.getByText("Begin it").dblclick();
        assertThat(lead.getByText("Season 2027 is begun")).isVisible();
        lead.reload();
        assertThat(region(lead, "Season by season").getByText("2027")).hasCount(1);

        lead.navigate("/plots");
        lead.getByLabel("Survey").selectOption(new SelectOption().setIndex(0)); // the newest season stands first
        PlotOnScreen.open(lead, "Heron Carr 02").row(11).click();
        lead.getByText("History", exact()).click();
        Locator before = region(lead, "Earlier seasons");
        assertThat(before).containsText("not counted as reading it blind");
        before.getByText("What was it called?").click();
        assertThat(before.getByRole(AriaRole.LISTITEM).first()).containsText("2026, Kettle Moss round");
    }

    @Test
    void a_crew_ends_its_day_on_a_phone_and_keeps_it_when_the_network_goes() {
        Page dipper = signedInByTouch("Dipper");
        dipper.navigate("/today");
        dipper.getByText("Day’s end").click();
        dipper.getByLabel("Survey").selectOption("Kettle Moss round 2026"); // whichever others were begun meanwhile
        dipper.getByLabel("Day", exactly()).fill("2026-09-01");
        assertThat(dipper.getByText("1 Sept 2026").first()).isVisible();
        assertThat(region(dipper, "Not signed yet, from before")
                        .getByRole(AriaRole.LINK)
                        .first())
                .isVisible();
        assertAccessible(dipper);
        dipper.getByLabel("Day", exactly()).fill("");
        assertThat(dipper.getByRole(AriaRole.ALERT)).hasCount(0);

        dipper.context().setOffline(true);
        dipper.getByLabel("Day", exactly()).fill("2026-08-01"); // which was never fetched
        assertThat(dipper.getByText("comes by itself once it answers")).isVisible();
        dipper.getByLabel("Day", exactly()).fill("2026-09-01");
        assertThat(dipper.getByText("This is how it stood when it was last fetched."))
                .isVisible();
        assertThat(region(dipper, "Not signed yet, from before")).isVisible();
        dipper.context().setOffline(false);
        dipper.getByLabel("Day", exactly()).fill("2026-08-01");
        assertThat(dipper.getByText("1 Aug 2026").first()).isVisible();
        assertThat(dipper.getByText("comes by itself once it answers")).hasCount(0);
    }

    @Test
    void a_page_that_is_opened_while_nobody_answers_says_so_and_comes_by_itself() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/today");
        lead.getByLabel("Survey").selectOption("Kettle Moss round 2026"); // whichever others were begun meanwhile
        lead.getByText("Heron Carr 02").first().waitFor();
        lead.context().setOffline(true);
        for (String[] one : new String[][] {{"Season", "Contested, by group"}, {"Quality", "Before the saw"}}) {
            lead.getByRole(AriaRole.BANNER)
                    .getByRole(AriaRole.LINK, named(one[0]))
                    .click();
            assertThat(lead.getByText("comes by itself once it answers")).isVisible();
            lead.context().setOffline(false);
            assertThat(lead.getByText("comes by itself once it answers")).hasCount(0);
            assertThat(lead.getByText(one[1]).first()).isVisible();
            lead.context().setOffline(true);
        }
    }

    @Test
    void the_archive_goes_out_under_the_rules_of_a_lead_and_a_second_lead_is_told() throws IOException {
        Page lead = signedIn("Treecreeper");
        Page tablet = signedIn("Treecreeper");
        for (Page page : List.of(lead, tablet)) {
            page.navigate("/plots");
            page.getByText("Import and export").click();
            page.getByText("What the archive says").click();
        }
        tablet.getByLabel("Rights holder").fill("The district");
        lead.getByLabel("Licence").fill("CC BY 4.0");
        lead.getByLabel("Squares in whose middle").fill("1000000");
        lead.getByText("Keep", exact()).click();
        assertThat(lead.getByRole(AriaRole.MAIN)).containsText("100000");
        lead.getByLabel("Squares in whose middle").fill("1000");
        lead.getByText("Keep", exact()).click();
        assertThat(lead.getByText("Kept.")).isVisible();
        assertAccessible(lead);
        tablet.getByText("Keep", exact()).click();
        assertThat(tablet.getByText("Kept.")).isVisible();
        tablet.reload();
        tablet.getByText("What the archive says").click();
        assertThat(tablet.getByLabel("Rights holder")).hasValue("The district");

        Download archive = lead.waitForDownload(
                () -> lead.getByText("Archive (Darwin Core)").click());
        assertThat(archive.suggestedFilename()).startsWith("Kettle Moss round, Tarnholt Forest 2026, ");
        List<String> entries = new ArrayList<>();
        try (InputStream file = archive.createReadStream();
                ZipInputStream zip = new ZipInputStream(file)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.add(entry.getName());
            }
        }
        assertThat(entries).contains("meta.xml", "eml.xml", "occurrence.txt");
    }

    @Test
    void sheets_labels_and_cards_are_printed_with_numbered_pages_on_two_sizes_of_paper() {
        Page wren = signedIn("Wren");
        wren.navigate("/plots");
        wren.getByText("Field cards").click();
        assertThat(wren.getByRole(AriaRole.REGION)).not().hasCount(0);
        assertThat(wren.getByText("Weighing the characters")).hasCount(0);
        assertThat(wren.getByText("Fetching a sheet")).hasCount(0);
        int cards = wren.getByRole(AriaRole.REGION).count();
        assertThat(pages(wren)).isGreaterThanOrEqualTo(cards);

        PlotOnScreen.open(wren, "Heron Carr 02");
        String plot = wren.url().replaceFirst("\\?.*", "");
        wren.getByText("Field sheet").click();
        assertThat(region(wren, "Where to begin").getByRole(AriaRole.LISTITEM).first())
                .isVisible();
        int large = pages(wren);
        wren.getByText("A5", exact()).click();
        assertThat(pages(wren)).isGreaterThan(large);
        assertAccessible(wren);

        wren.navigate(plot + "/labels");
        assertThat(wren.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM)).hasCount(31);
        assertThat(pages(wren)).isLessThanOrEqualTo(2);
    }

    /** How many pages a browser makes of it. */
    private static int pages(Page page) {
        String pdf =
                new String(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        return pdf.split("/Type /Page\\b", -1).length - 1;
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private static Page.GetByTextOptions exact() {
        return new Page.GetByTextOptions().setExact(true);
    }
}
