package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A leaf is measured on a photo: by the card however the camera was held, by a ruler from straight above. */
class PhotoMeasuringTest extends BrowserTest {
    private static final int BIRCH = 23;
    private static final String DFT = "DFT, stalk to first tooth";
    private static final double LONG = 24; // mm, on the leaf of the photo
    private static final int NEARER = 8; // turns of the wheel

    @Test
    void a_slanted_photo_with_the_card_is_measured_to_a_hundredth_and_kept_as_evidence() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, BIRCH).month("July").takeUp(DFT);
        SlantedPhoto photo = new SlantedPhoto(30);

        wren.getByLabel("Picture to measure on").setInputFiles(new FilePayload("leaf.jpg", "image/jpeg", photo.jpeg()));
        Locator dialog = wren.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Tap the card’s crosses: 0 of 4.");
        for (double[] cross : SlantedPhoto.CROSSES) {
            tap(wren, photo.sees(cross));
        }
        tap(wren, photo.sees(new double[] {20, 30}));
        tap(wren, photo.sees(new double[] {20 + LONG, 30}));
        assertThat(dialog.getByRole(AriaRole.STATUS)).containsText(Pattern.compile("± 0[.]\\d+ mm"));
        assertAccessible(wren);
        dialog.getByText("Keep 1").click();

        double value = Double.parseDouble(values(wren)
                .getByRole(AriaRole.LISTITEM)
                .first()
                .textContent()
                .replaceAll(" *±.*", "")
                .trim());
        org.assertj.core.api.Assertions.assertThat(value)
                .isCloseTo(LONG, org.assertj.core.api.Assertions.within(LONG / 100));
        assertThat(wren.getByAltText("No. 1 of this check")).isVisible();
        bench.settled();
        wren.reload();
        assertThat(wren.getByAltText("No. 1 of this check")).isVisible();
        assertThat(values(wren)).containsText("± 0");
    }

    @Test
    void the_next_character_is_measured_on_the_same_photo_without_its_card_being_tapped_again() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, BIRCH).month("July").takeUp(DFT);
        SlantedPhoto photo = new SlantedPhoto(30);
        assertThat(siskin.getByText("On the same photo")).hasCount(0);
        Locator dialog = laidOn(siskin, photo);
        for (double[] cross : SlantedPhoto.CROSSES) {
            tap(siskin, photo.sees(cross));
        }
        tap(siskin, photo.sees(new double[] {20, 30}));
        tap(siskin, photo.sees(new double[] {20 + LONG, 30}));
        dialog.getByText("Keep 1").click();

        bench.takeUp("LTW, leaf tip width");
        siskin.getByText("On the same photo").click();
        assertThat(dialog).containsText("Tap: ");
        tap(siskin, photo.sees(new double[] {20, 30}));
        tap(siskin, photo.sees(new double[] {20 + LONG, 30}));
        tap(siskin, photo.sees(new double[] {20 + LONG / 4, 24}));
        tap(siskin, photo.sees(new double[] {20 + LONG / 4, 36}));
        Locator told = dialog.getByRole(AriaRole.STATUS);
        assertThat(told).containsText(Pattern.compile("1[12]([.]\\d+)? ± 0[.]\\d+ mm"));
        String near = told.textContent();
        siskin.mouse().wheel(0, -100); // looked at from nearer, it is no better than it was tapped
        siskin.waitForTimeout(300);
        assertThat(told).hasText(near);
        dialog.getByText("Keep 1").dblclick();
        assertThat(values(siskin).getByRole(AriaRole.LISTITEM)).hasCount(1);
        assertThat(siskin.getByAltText("No. 1 of this check")).isVisible();

        siskin.getByText("On the same photo").click(); // for one leaf more: the first is shown, and asked for no more
        assertThat(dialog.getByText("Close", new Locator.GetByTextOptions().setExact(true))
                        .last())
                .isVisible();
        assertAccessible(siskin);
    }

    @Test
    void a_photo_without_its_card_and_what_is_no_photo_are_told() {
        Page wren = signedIn("Wren");
        BenchOnScreen.open(wren, BIRCH).month("July").takeUp(DFT);
        Locator file = wren.getByLabel("Picture to measure on");

        file.setInputFiles(new FilePayload("notes.jpg", "image/jpeg", new byte[] {1, 2, 3}));
        assertThat(wren.getByText("“notes.jpg” is no picture that can be shown here."))
                .isVisible();
        SlantedPhoto photo = new SlantedPhoto(0);
        file.setInputFiles(new FilePayload("leaf.jpg", "image/jpeg", photo.jpeg()));
        Locator dialog = wren.getByRole(AriaRole.DIALOG);
        for (double[] onOneLine : new double[][] {{0, 0}, {30, 0}, {60, 0}, {90, 60}}) {
            tap(wren, photo.sees(onOneLine));
        }
        assertThat(dialog).containsText("the four crosses of the card, each once");
        dialog.getByText("Take the last point back").click();
        assertThat(dialog).containsText("Tap the card’s crosses: 3 of 4.");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Scale, point 3"))
                .focus();
        for (int i = 0; i < 40; i++) {
            wren.keyboard().press("ArrowDown");
        }
        dialog.getByText("Close", new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        assertThat(values(wren).getByRole(AriaRole.LISTITEM)).hasCount(0);
    }

    @Test
    void the_bar_on_the_card_tells_whether_it_lies_flat() {
        Page wren = signedIn("Wren");
        BenchOnScreen.open(wren, BIRCH).month("July").takeUp(DFT);
        SlantedPhoto photo = new SlantedPhoto(30);
        Locator dialog = laidOn(wren, photo);
        for (double[] cross : SlantedPhoto.CROSSES) {
            tap(wren, photo.sees(cross));
        }

        dialog.getByText("Check it by the bar on the card").click();
        assertThat(dialog).containsText("Tap both ends of the card’s bar: 0 of 2.");
        tap(wren, photo.sees(SlantedPhoto.BAR[0]));
        tap(wren, photo.sees(SlantedPhoto.BAR[1]));
        assertThat(dialog).containsText(Pattern.compile("The bar comes out at (49[.][89]|50|50[.][12]) mm"));
        assertAccessible(wren);

        dialog.getByText("Take the last point back").click();
        tap(wren, photo.sees(new double[] {SlantedPhoto.BAR[1][0] - 3, SlantedPhoto.BAR[1][1]}));
        assertThat(dialog).containsText("lay the card flat and whole beside the leaf");
        assertThat(dialog.getByText("Next one on this photo")).isDisabled();
    }

    @Test
    void a_slant_that_a_ruler_cannot_mend_is_told_by_a_second_one_laid_across() {
        Page wren = signedIn("Wren");
        BenchOnScreen.open(wren, BIRCH).month("July").takeUp(DFT);

        assertThat(acrossOn(wren, new SlantedPhoto(30))).containsText("a slanted picture: the two stretches differ by");
        wren.keyboard().press("Escape");
        Locator fromAbove = acrossOn(wren, new SlantedPhoto(0));
        assertThat(fromAbove).not().containsText("slanted");
        assertThat(fromAbove).containsText("Tap: ");
    }

    /** A ruler's 50 mm tapped along the leaf, and 50 more across. */
    private static Locator acrossOn(Page page, SlantedPhoto photo) {
        Locator dialog = laidOn(page, photo);
        dialog.getByText("a ruler", new Locator.GetByTextOptions().setExact(true))
                .click();
        dialog.getByLabel("mm between the two taps").fill("50");
        tap(page, photo.sees(new double[] {0, 2}));
        tap(page, photo.sees(new double[] {50, 2}));
        dialog.getByText("Check it by the ruler laid across").click();
        dialog.getByLabel("mm between the two across").fill("50");
        tap(page, photo.sees(new double[] {2, 5}));
        tap(page, photo.sees(new double[] {2, 55}));
        return dialog;
    }

    private static Locator laidOn(Page page, SlantedPhoto photo) {
        page.getByLabel("Picture to measure on").setInputFiles(new FilePayload("leaf.jpg", "image/jpeg", photo.jpeg()));
        return page.getByRole(AriaRole.DIALOG);
    }

    /** Brings the photo nearer about a place of it, taps there, and goes back. */
    private static void tap(Page page, double[] onPhoto) {
        page.locator("[role=application] image").waitFor();
        double[] at = onScreen(page, onPhoto);
        page.mouse().move(at[0], at[1]);
        for (int i = 0; i < NEARER; i++) {
            page.mouse().wheel(0, -100);
        }
        page.waitForTimeout(60);
        double[] near = onScreen(page, onPhoto);
        page.mouse().move(near[0], near[1]);
        page.mouse().down();
        page.mouse().up();
        page.mouse().move(at[0], at[1]);
        for (int i = 0; i < NEARER; i++) {
            page.mouse().wheel(0, 100);
        }
        page.waitForTimeout(60);
    }

    @SuppressWarnings("unchecked")
    private static double[] onScreen(Page page, double[] onPhoto) {
        List<Number> at = (List<Number>) page.evaluate(
                "([x, y]) => { const at = new DOMPoint(x, y).matrixTransform(document.querySelector("
                        + "'[role=application] image').getScreenCTM()); return [at.x, at.y] }",
                List.of(onPhoto[0], onPhoto[1]));
        return new double[] {at.get(0).doubleValue(), at.get(1).doubleValue()};
    }

    private static Locator values(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Values"));
    }
}
