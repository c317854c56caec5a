package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class OutcomesTest extends BrowserTest {

    @Test
    void a_contested_tree_is_signed_to_come_back() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 24).month("January");
        bench.takeUp("How the outer twigs hang").see("long thin twigs").settled();
        look(bench.takeUp("Hairs on one-year twigs"), "scattered hairs", 2);
        bench.takeUp("Rough black bark").see("thick black bosses").settled();
        look(bench.takeUp("Resin warts"), "warts thick on the twig", 2);
        assertThat(bench.contested()).containsText("those who trust close characters more would name another taxon");

        Locator sheet = bench.openSigning("come back");
        sheet.getByLabel(Pattern.compile("^July")).check();
        assertAccessible(siskin);
        BenchOnScreen.sign(sheet);
        assertThat(sheet).containsText(Pattern.compile("Signed: back in July 20\\d\\d"));
        assertThat(sheet).containsText("on your list again in July");
        bench.stay();

        assertThat(bench.signedCalls()).containsText("Siskin comes back in July 20");
        siskin.getByText("Kettle Moss 07").click();
        assertThat(siskin.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen tree")))
                .containsText("come back in July");
    }

    @Test
    void a_hybrid_is_a_record_and_is_signed_with_a_photo() throws IOException {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, "Long Ride", "Long Ride 02", 1)
                .month("September")
                .fitTheGate();
        bench.takeUp("Where the tree stands").see("street, avenue or row").settled();
        bench.takeUp("Burrs and sprouts").see("thickets of shoots").settled();
        look(bench.takeUp("Colour of the hair tufts"), "whitish or pale buff tufts", 5);
        look(bench.takeUp("Colour of the leaf underside"), "green, paler than above", 5);
        look(bench.takeUp("Finest cross veins"), "just felt or seen raised", 4);
        bench.takeUp("Length of the leaf blade");
        for (String length : "75 88 70 95 80 66 84 91".split(" ")) {
            bench.type(length).settled();
        }
        look(bench.takeUp("Ribs on the ripe fruit"), "faint ribs", 6);
        dipper.getByLabel("Photo").setInputFiles(photo());
        dipper.getByAltText("No. 1 of this check").waitFor();
        assertThat(bench.candidate("common lime")).containsText(Pattern.compile("9\\d\\.\\d %"));
        assertThat(dipper.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Ancestry")))
                .containsText("Hybrid index");

        Locator sheet = bench.openSigning("Sign common lime");
        assertThat(sheet).containsText("a photo on this call, or the label of a voucher that is kept, met");
        BenchOnScreen.sign(sheet);
        bench.stay();

        assertThat(bench.signedCalls()).containsText("Dipper signed common lime");
    }

    private static void look(BenchOnScreen bench, String state, int times) {
        for (int i = 0; i < times; i++) {
            bench.see(state).settled();
        }
    }

    /** A small photo. */
    static FilePayload photo() throws IOException {
        var picture = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
        var content = new ByteArrayOutputStream();
        ImageIO.write(picture, "jpg", content);
        return new FilePayload("ribs.jpg", "image/jpeg", content.toByteArray());
    }

    @Test
    void a_control_call_names_what_is_missing_and_cannot_be_signed() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 24).month("September").tier("control");
        bench.takeUp("Hairs on one-year twigs").see("velvety all along").settled();

        assertThat(bench.button(Pattern.compile("^Not yet: 99 % for downy birch")))
                .isVisible();
        Locator sheet = bench.openSigning("Not yet");
        Locator conditions = sheet.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Conditions"));
        assertThat(conditions)
                .containsText("a second observer’s blind agreement, asked for once this is signed, still missing");
        assertThat(conditions).containsText("one character read, met");
        assertThat(conditions).containsText("three organs that agree, none against: one agrees so far");
        assertThat(sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true)))
                .isDisabled();
    }

    @Test
    void what_to_look_at_next_is_offered_with_its_reason() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23).month("September");

        bench.takeUp("Ground right under the stem");

        assertThat(redpoll.getByText(Pattern.compile("^Look next: .+ minutes? · ")))
                .isVisible();
        bench.button(Pattern.compile("^take it up")).click();
        assertThat(redpoll.getByText(Pattern.compile("^Look next: this one\\.")))
                .isVisible();
    }

    @Test
    void a_check_that_wounds_is_off_where_the_survey_says_nothing() {
        BenchOnScreen bench = BenchOnScreen.open(signedIn("Treecreeper"), 23);

        assertThat(bench.row("Orange clouding")).isDisabled();
        assertThat(bench.row("Orange clouding")).containsText("wounds the tree; off in this survey");
    }
}
