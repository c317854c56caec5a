package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOnlyOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;

/** Debian's Chromium on the application, whose database each test class finds as it is after the start. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class BrowserTest {
    private static final List<String> CHROMIUM_FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Rules of axe that are off unless they are asked for. */
    private static final List<String> OFF_BY_THEMSELVES = List.of(
            "color-contrast-enhanced",
            "css-orientation-lock",
            "focus-order-semantics",
            "identical-links-same-purpose",
            "label-content-name-mismatch",
            "p-as-heading",
            "table-fake-caption",
            "target-size",
            "td-has-header");

    /** In milliseconds: a slow machine is no fault of the application's. */
    private static final int PATIENCE = 30_000;

    protected Application application;
    private Playwright playwright;
    private Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();

    @BeforeAll
    void start() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        application = started();
        playwright = Playwright.create();
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setHeadless(true)
                        .setArgs(CHROMIUM_FLAGS));
    }

    /** The application that the tests of a class run against; with demo data unless they say otherwise. */
    protected Application started() {
        return playsMonths() ? Application.startAfresh(true) : Application.onDemo();
    }

    /** Whether the months ahead of the demo's contested calls are played through, which takes a while. */
    protected boolean playsMonths() {
        return false;
    }

    @AfterEach
    void closeContexts() {
        // a request still on its way would otherwise reach its handler when its page has gone
        contexts.stream().flatMap(context -> context.pages().stream()).forEach(Page::unrouteAll);
        contexts.forEach(BrowserContext::close);
        contexts.clear();
    }

    @AfterAll
    void stop() {
        playwright.close();
        application.close();
    }

    /** A part of the page that is known by its name. */
    protected static Locator region(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** By its whole name. */
    protected static Locator.GetByRoleOptions named(String name) {
        return new Locator.GetByRoleOptions().setName(name).setExact(true);
    }

    /** By a part of its name. */
    protected static Locator.GetByRoleOptions named(Pattern name) {
        return new Locator.GetByRoleOptions().setName(name);
    }

    /** On the whole page, by a part of its name. */
    protected static Page.GetByRoleOptions named(String name, Page page) {
        return new Page.GetByRoleOptions().setName(name);
    }

    /** A browser of its own for one observer, signed in. */
    protected Page signedIn(String callSign, int width, int height) {
        Page page = stranger(width, height);
        signIn(page, callSign);
        return page;
    }

    /** Fills in the page for signing in. */
    protected static void signIn(Page page, String callSign) {
        page.getByLabel("Call sign").fill(callSign);
        page.getByLabel("Passphrase").fill(Application.PASSPHRASE);
        page.getByText("Sign in", new Page.GetByTextOptions().setExact(true)).click();
        page.waitForURL(address -> !address.contains("sign-in"));
        page.getByRole(AriaRole.BANNER).waitFor();
    }

    protected Page signedIn(String callSign) {
        return signedIn(callSign, 1280, 800);
    }

    /** A phone of its own for one observer, signed in: 390 wide, worked by touch. */
    protected Page signedInByTouch(String callSign) {
        Page page = stranger(asked(390, 844).setHasTouch(true).setIsMobile(true));
        signIn(page, callSign);
        return page;
    }

    /** A browser of its own for somebody who has not signed in. */
    protected Page stranger(int width, int height) {
        return stranger(asked(width, height));
    }

    private Browser.NewContextOptions asked(int width, int height) {
        return new Browser.NewContextOptions()
                .setBaseURL(application.url())
                .setViewportSize(width, height)
                .setLocale("en-GB")
                .setTimezoneId("UTC")
                .setReducedMotion(ReducedMotion.REDUCE)
                .setServiceWorkers(ServiceWorkerPolicy.BLOCK); // so that tests see what is asked of the server
    }

    /** A browser of its own that keeps what it needs to work without a network. */
    protected Page stranger(int width, int height, ServiceWorkerPolicy keeps) {
        return stranger(asked(width, height).setServiceWorkers(keeps));
    }

    private Page stranger(Browser.NewContextOptions asked) {
        BrowserContext context = browser.newContext(asked);
        context.setDefaultTimeout(PATIENCE);
        contexts.add(context);
        Page page = context.newPage();
        page.navigate(application.url());
        page.getByText("Goldthistle").first().waitFor();
        return page;
    }

    /** WCAG 2.2 AA as far as axe can see: nothing serious. */
    protected static void assertAccessible(Page page) {
        AxeRunOptions options = only("tag", List.of("wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"));
        List<String> serious = violations(page, options).stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .filter(rule -> !isOfSlidersBesideBoxes(rule))
                .map(BrowserTest::words)
                .toList();

        assertThat(serious).as(page.url()).isEmpty();
    }

    /** Every rule that axe has, those that it leaves off by itself too: nothing at all. */
    protected static void assertNothingForAxe(Page page, String state) {
        assertThat(everythingForAxe(page, state)).isEmpty();
    }

    /** Whatever axe finds with every rule on, in words. */
    protected static List<String> everythingForAxe(Page page, String state) {
        var on = new AxeRuleOptions();
        on.setEnabled(true);
        var options = new AxeRunOptions();
        options.setRules(OFF_BY_THEMSELVES.stream().collect(Collectors.toMap(rule -> rule, rule -> on)));
        return found(page, options, state);
    }

    /** Whatever axe finds of colours that are too alike, in words. */
    protected static List<String> coloursForAxe(Page page, String state) {
        return found(page, only("rule", List.of("color-contrast", "color-contrast-enhanced")), state);
    }

    private static AxeRunOptions only(String type, List<String> values) {
        var only = new AxeRunOnlyOptions();
        only.setType(type);
        only.setValues(values);
        var options = new AxeRunOptions();
        options.setRunOnly(only);
        return options;
    }

    private static List<String> found(Page page, AxeRunOptions options, String state) {
        return violations(page, options).stream()
                .map(rule -> state + ": " + words(rule))
                .toList();
    }

    /** No page has frames, so axe need not gather what it finds in a page of its own, nor all that is well. */
    private static List<Rule> violations(Page page, AxeRunOptions options) {
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page)
                .setLegacyMode(true)
                .options(options)
                .analyze()
                .getViolations();
    }

    /** Thumbs on one bar may come close to each other; the boxes below do the same and are large enough. */
    private static boolean isOfSlidersBesideBoxes(Rule rule) {
        return rule.getId().equals("target-size")
                && rule.getNodes().stream().allMatch(node -> node.getHtml().contains("role=\"slider\""));
    }

    private static String words(Rule rule) {
        return rule.getId() + ": " + rule.getHelp() + ", " + rule.getNodes().size() + " times, first at "
                + rule.getNodes().get(0).getHtml();
    }
}
