package org.goldthistle.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The pictures of the main views, made from the demo data; run by {@code ./goldthistle shots} alone. */
class Screenshots extends BrowserTest {
    private final Path folder = Path.of(System.getProperty("goldthistle.shots", "target/shots"));

    @Override
    protected boolean playsMonths() {
        return true;
    }

    @Test
    void main_views() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 23).month("September");
        bench.takeUp("How the outer twigs hang")
                .see("long thin twigs hang straight down")
                .settled();
        bench.takeUp("Rough black bark").see("thick black bosses").settled();
        bench.takeUp("Resin warts")
                .see("scattered warts")
                .settled()
                .see("scattered warts")
                .settled();
        bench.takeUp("DFT").type("11").settled().type("9").settled().type("13").settled();
        bench.takeUp("Double or single leaf teeth")
                .see("big teeth")
                .settled()
                .see("big teeth")
                .settled();
        shoot(dipper, "bench");
        bench.button("Side by side").click();
        dipper.getByText("% parted").first().waitFor();
        shoot(dipper, "side-by-side");
        dipper.getByText("Back to Kettle Moss").click();
        bench.sign("silver birch", "Slow-grown twigs, so fewer warts than usual.");
        walkAndLibrary();
        phone();
        practice();
        control();
        handingIn();
        review();
    }

    private void walkAndLibrary() {
        Page siskin = stranger(1280, 800, ServiceWorkerPolicy.ALLOW);
        signIn(siskin, "Siskin");
        siskin.getByText("A visit now settles it").first().waitFor();
        siskin.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
        siskin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take .*along$")))
                .click();
        siskin.getByText(Pattern.compile("^Along: ")).waitFor();
        shoot(siskin, "today");
        PlotOnScreen plot = PlotOnScreen.open(siskin, "Churn Edge 04");
        plot.enter("41 150 8.2 187 pole wild black cherry? l240/180/60 d2 sub favoured", 41);
        plot.type("42 204 7.2 287 pole wild black cherry?");
        siskin.getByText("What presses the stems").click();
        plot.mark(12).click();
        shoot(siskin, "plot");
        BenchOnScreen.open(siskin, 23);
        siskin.getByText("Slow-grown twigs").click();
        shoot(siskin, "signed-call");
        siskin.keyboard().press("Escape");
        siskin.navigate("/drawings");
        siskin.getByText("hawthorns").first().click();
        siskin.waitForTimeout(500);
        shoot(siskin, "drawings");
    }

    /** Handing in at the forest edge, one thing refused. */
    private void handingIn() {
        Page page = stranger(1280, 800, ServiceWorkerPolicy.ALLOW);
        signIn(page, "Wren");
        BenchOnScreen bench = BenchOnScreen.open(page, 24);
        page.context().setOffline(true);
        bench.button(Pattern.compile("^All of it fits")).click();
        page.getByText("take it up").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        Locator sheet = bench.openSigning("group only");
        BenchOnScreen.sign(sheet);
        bench.stay();
        BenchOnScreen elsewhere = BenchOnScreen.open(signedIn("Wren"), 24);
        elsewhere.takeUp("How the outer twigs hang").see("long thin twigs hang").settled();
        page.context().setOffline(false);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("1 refused"))
                .click(new Locator.ClickOptions().setTimeout(60_000));
        shoot(page, "handing-in");
    }

    private void phone() {
        Page small = signedIn("Redpoll", 390, 844);
        BenchOnScreen phone = BenchOnScreen.open(small, 24);
        small.getByText("Stations").click();
        phone.takeUp("Rough black bark");
        shoot(small, "bench-390");
        PracticeTest.birch(small, "Redpoll", "dft");
        small.getByText("What you see: 1 of 5").waitFor();
        shoot(small, "practice-390");
    }

    private void control() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/control");
        lead.getByText("Approved by Treecreeper").first().waitFor();
        lead.getByText("dry collar").first().waitFor();
        shoot(lead, "control");
        lead.navigate("/season");
        region(lead, "Week by week").waitFor();
        shoot(lead, "survey-season");
        lead.navigate("/samples");
        lead.getByText("HC02-19-A").first().waitFor();
        shoot(lead, "samples");
    }

    private void practice() {
        Page siskin = signedIn("Siskin");
        siskin.navigate("/practice");
        siskin.getByText("What sits, what slips").waitFor();
        siskin.waitForTimeout(500);
        shoot(siskin, "practice");
    }

    private void review() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/review");
        lead.getByText("a decision").first().waitFor();
        shoot(lead, "review");
        lead.getByText("a decision").first().click();
        lead.getByText("What they read").waitFor();
        shoot(lead, "case");
        lead.navigate("/groups/alders/season");
        lead.getByText("Who is taken for whom").first().waitFor();
        shoot(lead, "season");
        lead.navigate("/groups/limes/versions");
        lead.getByText("Edit this sheet").click();
        lead.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hairs on this year"))
                .first()
                .click();
        lead.getByLabel("Month of the visit").selectOption("September");
        lead.getByLabel("Weight", new Page.GetByLabelOptions().setExact(true)).fill("0.3");
        lead.getByText("Kept.").waitFor();
        lead.waitForTimeout(2500); // the year is played through anew
        lead.evaluate("() => document.querySelector('main').scrollTo(0, 0)");
        shoot(lead, "editor");
        lead.getByText("Discard …").click();
        lead.getByText("Discard it").click();
        lead.getByText("Edit this sheet").waitFor();
        lead.navigate("/quality");
        lead.getByText("kappa").first().waitFor();
        shoot(lead, "agreement");
        lead.navigate("/quality/lessons");
        lead.getByText("Into a draft").first().waitFor();
        lead.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Believed 5\\d %")))
                .first()
                .click();
        shoot(lead, "lessons");
    }

    private void shoot(Page page, String name) {
        page.evaluate("() => document.fonts.ready");
        page.mouse().move(0, 0);
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
