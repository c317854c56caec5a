package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A sheet is changed by somebody who knows the trees. */
class EditorTest extends BrowserTest {
    private static final LocatorAssertions.ContainsTextOptions PATIENTLY =
            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);

    @Test
    void a_character_is_changed_its_season_and_its_calls_are_seen_and_a_version_is_saved() {
        Page nuthatch = signedIn("Nuthatch");
        edit(nuthatch, "limes");
        Locator apart = nuthatch.getByLabel("How well they are told apart");
        nuthatch.getByLabel("Month of the visit").selectOption("November");
        Locator large =
                apart.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("large-leaved"));
        assertThat(large).containsText("(", PATIENTLY);
        String before = large.innerText();
        assertAccessible(nuthatch);

        part(nuthatch, "Hairs on this year");
        nuthatch.getByLabel("Weight", exact()).fill("0.05");
        assertThat(kept(nuthatch)).containsText("Kept.", PATIENTLY);
        assertThat(large).not().hasText(before, new LocatorAssertions.HasTextOptions().setTimeout(30_000));
        Locator thumb = nuthatch.getByRole(AriaRole.SLIDER).first();
        thumb.focus();
        thumb.press("ArrowLeft");
        thumb.press("ArrowLeft");
        org.assertj.core.api.Assertions.assertThat(sumOf(nuthatch, "small-leaved lime: "))
                .isEqualTo(100);
        Locator january =
                nuthatch.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("January$")));
        january.click();
        assertThat(january).hasAttribute("aria-pressed", "false");
        assertAccessible(nuthatch);

        part(nuthatch, "Published functions");
        nuthatch.getByText("Another function").click();
        nuthatch.getByLabel("Its name").fill("Leaf and flowers");
        nuthatch.getByLabel("Published in").fill("worked out in this district");
        assertThat(kept(nuthatch)).containsText("Kept.", PATIENTLY);
        assertAccessible(nuthatch);

        part(nuthatch, "What would change");
        Locator effects = nuthatch.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What would change"));
        assertThat(effects).containsText("were read again", PATIENTLY);
        assertThat(effects).containsText("weight: 0.7");
        assertThat(effects).containsText("months: all year");
        assertThat(effects).containsText("Leaf and flowers");
        assertAccessible(nuthatch);
        nuthatch.getByLabel("Why, for whoever").fill("Twigs weather bald by midwinter.");
        nuthatch.getByText("Save this version").click();
        assertThat(nuthatch.getByText("Twigs weather bald by midwinter.")).isVisible();
        assertThat(nuthatch.getByText("made by Nuthatch")).isVisible();
        assertThat(nuthatch.getByLabel("What is different")).containsText("0.05", PATIENTLY);
        assertAccessible(nuthatch);
    }

    @Test
    void shares_stand_as_they_are_typed_and_what_is_left_over_is_said() {
        Page redpoll = signedIn("Redpoll");
        edit(redpoll, "hawthorns");
        part(redpoll, "Bark of the stem");
        Locator boxes =
                redpoll.getByLabel(Pattern.compile("^common hawthorn: ")).and(redpoll.getByRole(AriaRole.TEXTBOX));
        List<String> shares = List.of("3", "17", "80");

        for (int i = 0; i < shares.size(); i++) {
            boxes.nth(i).fill(shares.get(i));
            boxes.nth(i).press("Tab");
        }
        for (int i = 0; i < shares.size(); i++) {
            assertThat(boxes.nth(i)).hasValue(shares.get(i));
        }

        boxes.nth(2).fill("60");
        assertThat(redpoll.getByText("20 % left over")).isVisible();
        assertThat(boxes.nth(0)).hasValue("3");
        redpoll.getByText("Make it 100").click();
        assertThat(redpoll.getByText("left over")).isHidden();
    }

    @Test
    void what_is_drawn_is_chosen_from_pictures_and_ids_follow_names_until_they_are_saved() {
        Page nuthatch = signedIn("Nuthatch");
        nuthatch.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Groups"))
                .click();
        nuthatch.getByText("New group", new Page.GetByTextOptions().setExact(true))
                .click();
        nuthatch.getByLabel("What a crew calls it").fill("Rowans");
        nuthatch.getByLabel("Where its figures hold").fill("Tarnholt");
        nuthatch.getByText("Begin", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(nuthatch.getByLabel("Its id")).hasValue("rowans");
        nuthatch.getByLabel("What a crew calls it").fill("Rowans of the hills");
        assertThat(nuthatch.getByLabel("Its id")).hasValue("rowans-of-the-hills");

        part(nuthatch, "Taxa");
        for (String name : List.of("rowan", "wild service tree")) {
            nuthatch.getByText("Another taxon").click();
            nuthatch.getByLabel("Common name").last().fill(name);
        }
        nuthatch.getByText("Another character").click();
        nuthatch.getByLabel("What to look at").fill("How the leaf is cut");
        nuthatch.getByLabel("State 1").fill("leaflets");
        nuthatch.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^leaflets ?: Choose a drawing")))
                .click();
        Locator chooser = nuthatch.getByRole(AriaRole.DIALOG);
        assertAccessible(nuthatch);
        chooser.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Leaf"))
                .getByText("lobed leaf")
                .click();
        assertThat(nuthatch.getByLabel("lobes", exact()).first()).hasValue("5"); // as it is drawn, not the least
        nuthatch.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("rounded"))
                .first()
                .click();
        assertThat(kept(nuthatch)).containsText("Kept.", PATIENTLY);
        assertAccessible(nuthatch);

        String draft = nuthatch.url().replaceAll(".*/drafts/", "");
        String sheet =
                (String) nuthatch.evaluate("(id) => fetch('/api/drafts/' + id).then((answer) => answer.text())", draft);
        org.assertj.core.api.Assertions.assertThat(sheet)
                .contains("\"id\":\"rowan\"", "\"id\":\"wild-service-tree\"", "\"id\":\"how-the-leaf-is-cut\"")
                .contains("\"id\":\"leaflets\"", "\"sinus\":\"rounded\"")
                .doesNotContain("\"id\":\"new");
    }

    @Test
    void a_state_shows_a_picture_of_ones_own_and_what_is_none_is_refused() {
        Page redpoll = signedIn("Redpoll");
        edit(redpoll, "limes");
        part(redpoll, "Where the tree stands");
        Locator file =
                redpoll.getByLabel(Pattern.compile("file of the picture$")).first();

        file.setInputFiles(new FilePayload("notes.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
        assertThat(redpoll.getByRole(AriaRole.ALERT)).containsText("is not a JPEG, PNG or WebP picture");
        file.setInputFiles(new FilePayload(
                "avenue.png", "image/png", redpoll.screenshot(new Page.ScreenshotOptions().setClip(0, 0, 120, 120))));

        Locator picture = redpoll.locator("svg.drawing image").first();
        assertThat(picture).hasAttribute("href", Pattern.compile("^/api/sheet-pictures/[0-9a-f]{64}$"));
        assertThat(kept(redpoll)).containsText("Kept.", PATIENTLY);
        redpoll.reload();
        part(redpoll, "Where the tree stands");
        assertThat(picture).isVisible();
        assertAccessible(redpoll);
    }

    @Test
    void how_a_number_is_taken_is_said_in_the_words_that_a_crew_reads() {
        Page redpoll = signedIn("Redpoll");
        edit(redpoll, "oaks");
        part(redpoll, "Length of the end bud over its width");
        Locator taken = redpoll.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("How it is taken"));
        assertThat(taken.getByLabel("the line above")).hasValue("length of the end bud");
        taken.getByLabel("the line below").fill("width of the end bud");
        assertThat(kept(redpoll)).containsText("Kept.", PATIENTLY);

        taken.getByLabel("Asked for").selectOption("how far along an axis something stands");
        taken.getByLabel("where the axis begins and ends: first").fill("foot");
        taken.getByLabel("where the axis begins and ends: second").fill("tip");
        assertThat(taken).containsText("what stands there"); // still to be said, and told so
        assertAccessible(redpoll);
        taken.getByLabel("what stands there").fill("widest place of the bud");
        assertThat(kept(redpoll)).containsText("Kept.", PATIENTLY);
        redpoll.reload();
        part(redpoll, "Length of the end bud over its width");
        assertThat(taken.getByLabel("what stands there")).hasValue("widest place of the bud");
        assertThat(taken.getByLabel("where the axis begins and ends: second")).hasValue("tip");

        taken.getByLabel("Asked for").selectOption("the number itself");
        assertThat(taken.getByLabel("what stands there")).hasCount(0);
        assertThat(kept(redpoll)).containsText("Kept.", PATIENTLY);
    }

    @Test
    void a_draft_outlasts_a_lost_connection_and_a_closed_tab() {
        Page redpoll = signedIn("Redpoll");
        edit(redpoll, "alders");
        String address = redpoll.url();
        assertThat(kept(redpoll)).containsText("Kept.", PATIENTLY);
        BrowserContext browser = redpoll.context();
        browser.setOffline(true);
        redpoll.getByLabel("What a crew calls it").fill("Alders of the carr");
        assertThat(kept(redpoll)).containsText("Kept in this browser", PATIENTLY);
        redpoll.close();
        // another page of the same browser, when the connection is there again
        Page again = browser.newPage();
        browser.setOffline(false);
        again.navigate(address);

        assertThat(again.getByLabel("What a crew calls it")).hasValue("Alders of the carr");
        assertThat(kept(again)).containsText("Kept.", PATIENTLY);
        Page treecreeper = signedIn("Treecreeper");
        treecreeper.navigate("/groups");
        treecreeper.getByText("Alders of the carr").click();
        assertThat(treecreeper.getByText("Redpoll’s draft")).isVisible();
        assertThat(treecreeper.getByLabel("What a crew calls it")).isDisabled();
        assertAccessible(treecreeper);
        Page dipper = signedIn("Dipper");
        dipper.navigate("/groups/alders/versions");
        assertThat(dipper.getByText("came with the application")).isVisible();
        assertThat(dipper.getByText("Edit this sheet")).hasCount(0);
    }

    @Test
    void a_sheet_made_elsewhere_is_taken_in_and_a_broken_one_is_refused_with_its_place() {
        Page nuthatch = signedIn("Nuthatch");
        nuthatch.navigate("/groups");
        String version = nuthatch.request()
                .get("/api/sheets")
                .text()
                .replaceAll("(?s).*\"groupId\":\"firs\".*?\"versionId\":\"([^\"]+)\".*", "$1");
        String sheet = nuthatch.request()
                .get("/api/sheets/" + version + "/file")
                .text()
                .replace("\"id\" : \"firs\"", "\"id\" : \"firs-of-the-nursery\"")
                .replaceFirst("\"title\" : \"", "\"title\" : \"Nursery: ");
        nuthatch.getByText("New group", new Page.GetByTextOptions().setExact(true))
                .click();
        nuthatch.getByText("from a file").click();
        assertAccessible(nuthatch);

        take(nuthatch, sheet.replaceFirst("\"weight\" : [0-9.]+", "\"weight\" : 3"));
        assertThat(nuthatch.getByRole(AriaRole.ALERT)).containsText("characters[0].weight: found 3");
        take(nuthatch, "not a sheet at all");
        assertThat(nuthatch.getByRole(AriaRole.ALERT)).containsText("line 1");
        take(nuthatch, sheet);

        assertThat(nuthatch.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("Nursery: ");
        part(nuthatch, "What would change");
        nuthatch.getByText("Save this version").click();
        assertThat(nuthatch.getByText("made by Nuthatch")).isVisible();
        nuthatch.navigate("/groups");
        assertThat(nuthatch.getByText("Nursery: ")).isVisible();
    }

    @Test
    void a_new_group_begins_with_nothing_and_says_what_is_still_missing() {
        Page treecreeper = signedIn("Treecreeper");
        treecreeper.navigate("/groups");
        treecreeper
                .getByText("New group", new Page.GetByTextOptions().setExact(true))
                .click();
        treecreeper.getByLabel("What a crew calls it").fill("Elms");
        treecreeper.getByLabel("Where its figures hold").fill("Tarnholt Forest");
        treecreeper
                .getByText("Begin", new Page.GetByTextOptions().setExact(true))
                .click();
        part(treecreeper, "What would change");
        assertThat(treecreeper.getByText("must be put right first")).isVisible();
        treecreeper.getByText("what is recorded otherwise, common name").click();
        assertThat(treecreeper.getByLabel("Its id")).hasValue("elms");
        part(treecreeper, "Taxa");
        treecreeper.getByText("Another taxon").click();
        treecreeper.getByLabel("Common name").fill("wych elm");
        assertThat(treecreeper.getByText("wych elm").first()).isVisible();
        treecreeper.getByText("Discard …").click();
        treecreeper.getByText("Discard it").click();
        assertThat(treecreeper.getByText("Groups").first()).isVisible();
    }

    @Test
    void which_group_is_found_from_quick_entry_in_a_few_looks() {
        Page siskin = signedIn("Siskin", 390, 844);
        siskin.navigate("/plots");
        siskin.getByText("Kettle Moss 07").first().click();
        siskin.getByText("which group?").click();
        Locator dialog = siskin.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("groups remain");
        assertAccessible(siskin);
        dialog.getByText("capsules that let wool go").click();
        assertThat(dialog).containsText("It can only be");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add to the line"))
                .click();
        assertThat(siskin.getByLabel("New tree, in one line")).hasValue("sallows");
        assertThat(siskin.getByLabel("What the line is taken for")).containsText("one of the sallows");
    }

    private static void edit(Page page, String group) {
        page.navigate("/groups/" + group + "/versions");
        page.getByText("Edit this sheet").click();
        page.getByLabel("Parts of the sheet").waitFor();
    }

    private static void part(Page page, String name) {
        page.getByLabel("Parts of the sheet")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    private static Locator kept(Page page) {
        return page.getByRole(AriaRole.STATUS).first();
    }

    private static void take(Page page, String text) {
        page.getByLabel("The file")
                .setInputFiles(
                        new FilePayload("sheet.json", "application/json", text.getBytes(StandardCharsets.UTF_8)));
    }

    private static int sumOf(Page page, String whose) {
        int sum = 0;
        for (Locator box : page.getByRole(AriaRole.TEXTBOX).all()) {
            String name = (String) box.evaluate("box => box.labels?.[0]?.textContent ?? ''");
            if (name.startsWith(whose)) {
                sum += (int) Math.round(Double.parseDouble(box.inputValue()));
            }
        }
        return sum;
    }

    private static Page.GetByLabelOptions exact() {
        return new Page.GetByLabelOptions().setExact(true);
    }
}
