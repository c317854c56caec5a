package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The drawings as the browser shows them. */
class GalleryTest extends BrowserTest {
    private static final int ALL = 423; // 313 states, 37 figures at both ends of their rulers, 36 of gates

    /**
     * Draws every picture on paper of the given size and tells, for each character, the smallest share of dark or
     * coloured places in which two of its siblings differ.
     */
    private static final String LEAST_DIFFERENCES = """
            async size => {
              const pixels = async svg => {
                const copy = svg.cloneNode(true)
                const from = svg.querySelectorAll('path')
                copy.querySelectorAll('path').forEach((path, i) => path.setAttribute('fill', getComputedStyle(from[i]).fill))
                copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
                copy.setAttribute('width', size)
                copy.setAttribute('height', size)
                const image = new Image()
                image.src = 'data:image/svg+xml;charset=utf-8,' + encodeURIComponent(copy.outerHTML)
                await image.decode()
                const canvas = document.createElement('canvas')
                canvas.width = canvas.height = size
                const context = canvas.getContext('2d')
                context.fillStyle = '#fff'
                context.fillRect(0, 0, size, size)
                context.drawImage(image, 0, 0, size, size)
                return context.getImageData(0, 0, size, size).data
              }
              const least = []
              for (const row of document.querySelectorAll('.gallery-row')) {
                const drawn = []
                for (const svg of row.querySelectorAll('svg.drawn')) drawn.push(await pixels(svg))
                for (let a = 0; a < drawn.length; a++) for (let b = a + 1; b < drawn.length; b++) {
                  let differing = 0
                  for (let i = 0; i < drawn[a].length; i += 4) {
                    const distance = Math.abs(drawn[a][i] - drawn[b][i]) + Math.abs(drawn[a][i + 1] - drawn[b][i + 1])
                      + Math.abs(drawn[a][i + 2] - drawn[b][i + 2])
                    if (distance > 90) differing++
                  }
                  least.push({ row: row.querySelector('h3').textContent, share: differing / (size * size) })
                }
              }
              return least
            }
            """;

    @Test
    void every_state_is_drawn_and_siblings_are_told_apart_small_and_large() {
        Page page = signedIn("Dipper");
        page.getByText("Groups").first().click();
        page.getByText("All drawings").click();
        page.waitForFunction("count => document.querySelectorAll('svg.drawn').length === count", ALL);

        assertDifferent(page, 64, 0.006);
        assertDifferent(page, 200, 0.005); // 200 pixels; edges are sharper here, so less of a picture is half-toned
        assertAccessible(page);
    }

    @SuppressWarnings("unchecked")
    private static void assertDifferent(Page page, int size, double least) {
        List<String> alike = new ArrayList<>();
        double smallest = 1;
        String where = "";
        for (Map<String, Object> pair : (List<Map<String, Object>>) page.evaluate(LEAST_DIFFERENCES, size)) {
            double share = ((Number) pair.get("share")).doubleValue();
            if (share < least) {
                alike.add(pair.get("row") + " " + share);
            }
            if (share < smallest) {
                smallest = share;
                where = (String) pair.get("row");
            }
        }
        System.out.printf(
                "at %d px the least two siblings differ in %.1f %% of the picture: %s%n", size, 100 * smallest, where);
        assertThat(alike).as("siblings that look alike at %d px", size).isEmpty();
    }
}
