package org.goldthistle.e2e;

import static org.goldthistle.e2e.BenchOnScreen.demoId;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.util.UUID;
import java.util.regex.Pattern;

/** A device whose plots are along, and what is seen of handing in. */
abstract class InTheWoods extends BrowserTest {
    protected static final String SURVEY = "/api/surveys/" + demoId("survey Tarnholt");

    protected static final UUID PLOT = demoId("plot Kettle Moss 07");

    protected static final String BARK = "Rough black bark at the foot of the stem";

    protected static final LocatorAssertions.ContainsTextOptions IN_ITS_OWN_TIME =
            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000); // the longest pause between two tries

    protected static JsonNode bench(ApiClient api, int tag) {
        for (JsonNode tree : api.get(SURVEY + "/plots/" + PLOT + "/trees")) {
            if (tree.path("tag").asInt() == tag) {
                return api.get(SURVEY + "/trees/" + tree.path("id").asText() + "/bench");
            }
        }
        throw new AssertionError("no tree " + tag);
    }

    /** A device that has what it needs, its plots along. */
    protected Page inTheWoods(String callSign) {
        Page page = stranger(1280, 800, ServiceWorkerPolicy.ALLOW);
        signIn(page, callSign);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take .*along$")))
                .click();
        page.getByText(Pattern.compile("^Along: ")).waitFor(new Locator.WaitForOptions().setTimeout(60_000));
        page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
        return page;
    }

    protected static Locator pill(Page page, Pattern words) {
        Locator pill = page.getByRole(AriaRole.BANNER)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(words));
        pill.waitFor(new Locator.WaitForOptions().setTimeout(40_000));
        return pill;
    }

    /** Waits until nothing waits. */
    protected static void handedIn(Page page) {
        pill(page, Pattern.compile("all handed in"));
        new BenchOnScreen(page).settled();
    }
}
