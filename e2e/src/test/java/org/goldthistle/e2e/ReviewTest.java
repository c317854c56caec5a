package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Two and three observers at once: blind readings, the table, and what stands in the end. */
class ReviewTest extends BrowserTest {
    private static final String SURVEY = "/surveys/" + BenchOnScreen.demoId("survey Tarnholt");

    /** Reads a bird cherry in September and signs it, as the application's own page would send it. */
    private static final String READ_AND_SIGN = """
            async ({ tree, outcome, taxon, teeth }) => {
              const token = () => decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1])
              const put = async (path, body) => {
                const answer = await fetch(tree + path, { method: 'PUT', body: JSON.stringify(body),
                  headers: { 'content-type': 'application/json', 'x-xsrf-token': token() } })
                if (!answer.ok) throw new Error(await answer.text())
                return answer.json()
              }
              await put('/circumstances', { month: 9, stage: 'pole', origin: 'wild', habitat: ['edge'] })
              let bench
              for (const [character, state] of [['fruit-collar', 'star-collar'], ['midrib-hairs', 'rusty-fringe'],
                  ['tooth-shape', teeth]]) {
                bench = await put(`/readings/${crypto.randomUUID()}`,
                  { character, states: Array(8).fill(state), certainty: 'sure', notSeen: false })
              }
              const sheet = await (await fetch(`/api/sheets/${bench.sheetVersionId}`)).json()
              for (const { id } of sheet.gate) await put(`/gate/${crypto.randomUUID()}`, { item: id, mark: 'fits' })
              await put(`/determinations/${crypto.randomUUID()}`, { outcome, taxonId: taxon, note: 'seen by day',
                confirming: [], reasons: {}, voucher: 'twig 11', readingIds: bench.readings.map((one) => one.id) })
            }""";

    private static final String ANOTHER_CHERRY = """
            async ({ path }) => {
              const answer = await fetch(path, { method: 'PUT', body: JSON.stringify({ tag: 61, azimuthDegrees: 77,
                  distanceMetres: 5.5, diameterMillimetres: 120, stage: 'pole', origin: 'wild', conditionNotes: '',
                  groupId: 'bird-cherries' }), headers: { 'content-type': 'application/json',
                  'x-xsrf-token': decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]) } })
              if (!answer.ok) throw new Error(await answer.text())
            }""";

    private static final UUID PLOT = BenchOnScreen.demoId("plot Kettle Moss 07");

    @Test
    void a_blind_reading_is_taken_signed_and_agreed_on_before_everybodys_eyes() {
        Page siskin = signedIn("Siskin");
        sign(siskin, 11, "taxon", "serotina", "incurved");
        Page redpoll = signedIn("Redpoll");
        Page nuthatch = signedIn("Nuthatch");
        String address = caseOf(redpoll, 11);

        redpoll.navigate(address);
        assertThat(redpoll.getByText("Read it without knowing")).isVisible();
        assertAccessible(redpoll);
        nuthatch.navigate(address);
        redpoll.getByText("Take it and open the Bench").click();
        assertThat(redpoll.getByText("Blind reading.")).isVisible();
        assertThat(region(redpoll, "Signed calls")).hasCount(0);
        // whoever has the case open learns of it without a reload
        assertThat(nuthatch.getByText("Redpoll is reading it blind")).isVisible();
        assertThat(nuthatch.getByText("Take it and open the Bench")).isDisabled();

        siskin.navigate(address);
        assertThat(siskin.getByText("Redpoll is reading it blind; then it can be decided."))
                .isVisible();
        sign(redpoll, 11, "taxon", "serotina", "incurved");
        assertThat(siskin.getByRole(AriaRole.ARTICLE)).hasCount(2);
        assertThat(siskin.getByText("somebody else decides")).isVisible();

        redpoll.navigate(address);
        assertAccessible(redpoll);
        redpoll.getByLabel("About").selectOption("fruit-collar");
        redpoll.getByLabel("Your words").fill("The collar is on every fruit.");
        redpoll.getByText("Say it").click();
        assertThat(siskin.getByText("The collar is on every fruit.")).isVisible();
        redpoll.getByText("Agree: Siskin").click();
        redpoll.getByText("Decide", new Page.GetByTextOptions().setExact(true)).click();

        Locator stands = region(siskin, "What stands");
        assertThat(stands).containsText("Redpoll and Siskin signed black cherry");
        assertThat(stands.getByText("Case file, to print")).isVisible();
        printed(redpoll, address);
    }

    private static void printed(Page redpoll, String address) {
        redpoll.navigate(address + "/file");
        assertThat(redpoll.getByText("SHA-256 of the data")).isVisible();
        assertThat(redpoll.getByText("from the centre of the plot")).isVisible();
        assertAccessible(redpoll);
        redpoll.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        String pdf =
                new String(redpoll.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        org.assertj.core.api.Assertions.assertThat(pdf).containsPattern("/Count 2\\b");
    }

    @Test
    void those_who_differ_ask_for_a_third_look_that_is_overruled_with_reasons() {
        Page dipper = signedIn("Dipper");
        dipper.evaluate(ANOTHER_CHERRY, Map.of("path", "/api" + SURVEY + "/plots/" + PLOT + "/trees/" + treeId(61)));
        sign(dipper, 61, "taxon", "serotina", "incurved");
        Page redpoll = signedIn("Redpoll");
        String address = caseOf(redpoll, 61);
        sign(redpoll, 61, "group", null, null);
        Page lead = signedIn("Treecreeper");
        lead.navigate(address);
        lead.getByText("Third look", new Page.GetByTextOptions().setExact(true)).click();
        lead.getByText("Decide", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(lead.getByText("Not yours to read blind")).isVisible(); // the lead saw both calls at the table

        Page nuthatch = signedIn("Nuthatch");
        nuthatch.navigate(address);
        nuthatch.getByText("Take it and open the Bench").click();
        assertThat(nuthatch.getByText("Blind reading.")).isVisible();
        sign(nuthatch, 61, "group", null, null);
        nuthatch.navigate(address);
        assertThat(nuthatch.getByRole(AriaRole.ARTICLE)).hasCount(3);
        nuthatch.getByText("Overrule", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(nuthatch.getByText("Whoever overrules a call says why.")).isVisible();
        assertThat(nuthatch.getByText("Decide", new Page.GetByTextOptions().setExact(true)))
                .isDisabled();
        nuthatch.getByLabel("Reasons", new Page.GetByLabelOptions().setExact(true))
                .fill("Nothing to be read from below.");
        nuthatch.getByText("Decide", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(region(nuthatch, "What stands")).containsText("Nuthatch recorded the group");
    }

    @Test
    void what_the_laboratory_found_stands_with_its_report() {
        Page nuthatch = signedIn("Nuthatch");
        nuthatch.navigate("/review");
        nuthatch.getByText("all open").click();
        region(nuthatch, "Cases")
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("the laboratory"))
                .getByRole(AriaRole.LINK)
                .first()
                .click();

        nuthatch.getByLabel("The laboratory’s result").check();
        nuthatch.getByLabel("It found").selectOption(""); // what came back stands there already
        assertThat(nuthatch.getByText("Choose what it found")).isVisible();
        nuthatch.getByLabel("It found").selectOption(new SelectOption().setIndex(2));
        nuthatch.getByLabel("Its report").fill("");
        assertThat(nuthatch.getByText("Write which report says so.")).isVisible();
        nuthatch.getByLabel("Its report").fill("Report 12 of the seed laboratory");
        assertAccessible(nuthatch);
        nuthatch.getByText("Decide", new Page.GetByTextOptions().setExact(true)).click();

        assertThat(region(nuthatch, "What stands")).containsText("Report 12 of the seed laboratory");
        assertThat(nuthatch.getByText("named by the laboratory").first()).isVisible();
    }

    @Test
    void the_queue_is_narrowed_and_says_who_may_do_what() {
        Page redpoll = signedIn("Redpoll");
        redpoll.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Review")))
                .click();
        Locator rows = region(redpoll, "Cases").getByRole(AriaRole.LISTITEM);
        assertThat(rows.first()).isVisible();
        assertAccessible(redpoll);
        redpoll.getByText("all open").click();
        assertThat(rows.filter(new Locator.FilterOptions().setHasText("what was read is kept from you"))
                        .first())
                .isVisible();
        redpoll.getByLabel("Reason").selectOption("control");
        assertThat(redpoll.getByText("No case;")).isVisible();
        redpoll.getByLabel("Reason").selectOption("");
        redpoll.getByText("settled", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(rows.filter(new Locator.FilterOptions().setHasText("overruled"))
                        .first())
                .isVisible();
    }

    @Test
    void agreement_is_told_by_group_with_its_interval() {
        Page lead = signedIn("Treecreeper");
        lead.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Quality"))
                .click();
        Locator first = lead.getByRole(AriaRole.REGION).filter(new Locator.FilterOptions().setHasText("kappa"));
        assertThat(first.first()).containsText("agree");
        first.first().getByText("By observers and characters").click();
        assertThat(first.first().getByText("Pairs of observers")).isVisible();
        assertAccessible(lead);
    }

    private static void sign(Page page, int tag, String outcome, String taxon, String teeth) {
        String tree = "/api" + SURVEY + "/trees/" + treeId(tag);
        if (taxon == null) {
            page.evaluate("""
                    async (path) => {
                      const answer = await fetch(path, { method: 'PUT', body: JSON.stringify({ outcome: 'group',
                          note: 'out of reach', confirming: [], reasons: {}, voucher: '', readingIds: [] }),
                        headers: { 'content-type': 'application/json',
                          'x-xsrf-token': decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]) } })
                      if (!answer.ok) throw new Error(await answer.text())
                    }""", tree + "/determinations/" + UUID.randomUUID());
        } else {
            page.evaluate(READ_AND_SIGN, Map.of("tree", tree, "outcome", outcome, "taxon", taxon, "teeth", teeth));
        }
    }

    private static UUID treeId(int tag) {
        return BenchOnScreen.demoId("tree " + PLOT + " " + tag);
    }

    private static String caseOf(Page page, int tag) {
        Object id = page.evaluate(
                "async (path) => (await (await fetch(path)).json()).id",
                "/api" + SURVEY + "/trees/" + treeId(tag) + "/review");
        return SURVEY + "/review/" + id;
    }
}
