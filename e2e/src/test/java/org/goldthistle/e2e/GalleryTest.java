package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The drawings as the browser shows them. */
class GalleryTest extends BrowserTest {
    private static final int ALL = 752; // states, figures at both ends of their rulers, and those of gates

    /**
     * Draws every picture on paper of the given size, softens it as an eye at arm's length does, and tells how far any two
     * differ: the mean over all places of the difference of their colours, 0 to 1. Of each character every pair of
     * siblings, and of each sheet the pairs of states of different characters that are nearly the same.
     */
    private static final String DIFFERENCES = """
            ({ size, theme, same }) => {
              document.documentElement.dataset.theme = theme
              const softened = data => {
                const soft = new Float32Array(size * size * 3)
                const at = (x, y, c) => data[4 * (Math.min(size - 1, Math.max(0, y)) * size + Math.min(size - 1, Math.max(0, x))) + c]
                const step = Math.max(1, Math.round(size / 100))
                for (let y = 0; y < size; y++) for (let x = 0; x < size; x++) for (let c = 0; c < 3; c++) {
                  let sum = 0
                  for (const dx of [-step, 0, step]) for (const dy of [-step, 0, step]) sum += at(x + dx, y + dy, c)
                  soft[3 * (y * size + x) + c] = sum / 9
                }
                return soft
              }
              const fills = {}
              const canvas = document.createElement('canvas')
              canvas.width = canvas.height = size
              const context = canvas.getContext('2d', { willReadFrequently: true })
              const pixels = svg => {
                context.setTransform(1, 0, 0, 1, 0, 0)
                context.fillStyle = '#fff'
                context.fillRect(0, 0, size, size)
                const { width, height } = svg.viewBox.baseVal
                const scale = size / Math.max(width, height)
                context.setTransform(scale, 0, 0, scale, (size - scale * width) / 2, (size - scale * height) / 2)
                for (const path of svg.querySelectorAll('path')) {
                  const role = path.getAttribute('class')
                  fills[role] ??= getComputedStyle(path)
                  context.fillStyle = fills[role].fill
                  context.fill(new Path2D(path.getAttribute('d')), fills[role].fillRule)
                }
                return softened(context.getImageData(0, 0, size, size).data)
              }
              const apart = (a, b) => {
                let sum = 0
                for (let i = 0; i < a.length; i++) sum += Math.abs(a[i] - b[i])
                return sum / (a.length * 255)
              }
              const least = []
              const alike = []
              for (const sheet of document.querySelectorAll('section:has(.gallery-row)')) {
                const rows = []
                for (const row of sheet.querySelectorAll('.gallery-row')) {
                  const words = row.querySelector('h3').textContent
                  const drawn = []
                  for (const tile of row.querySelectorAll('li')) {
                    const svg = tile.querySelector('svg.drawn')
                    if (svg) drawn.push({ words: words + ': ' + tile.textContent, soft: pixels(svg) })
                  }
                  for (let a = 0; a < drawn.length; a++) for (let b = a + 1; b < drawn.length; b++)
                    least.push({ pair: sheet.id + ', ' + drawn[a].words + ' and ' + drawn[b].words, share: apart(drawn[a].soft, drawn[b].soft) })
                  if (!words.startsWith('Gate')) rows.push(drawn)
                }
                if (same > 0) for (let a = 0; a < rows.length; a++) for (let b = a + 1; b < rows.length; b++)
                  for (const one of rows[a]) for (const other of rows[b]) {
                    const share = apart(one.soft, other.soft)
                    if (share < same) alike.push({ pair: sheet.id + ', ' + one.words + ' and ' + other.words, share })
                  }
              }
              return { least: least.sort((a, b) => a.share - b.share).slice(0, 25), alike }
            }
            """;

    private static final double LEAST = 0.005; // of siblings
    private static final double SAME = 0.001; // of states of different characters

    /** What is said of a tree where something is not there: a bare twig is bare of hairs and of warts. */
    private static final List<String> BARE = List.of();

    @Test
    void every_state_is_drawn_and_what_differs_looks_different_small_and_large_in_every_light() {
        Page page = signedIn("Dipper");
        page.getByText("Groups").first().click();
        page.getByText("All drawings").click();
        page.waitForFunction("count => document.querySelectorAll('svg.drawn').length === count", ALL);

        for (String theme : List.of("day", "dusk", "sun")) {
            assertDifferent(page, 64, theme);
        }
        assertDifferent(page, 200, "day");
        page.evaluate(
                "() => document.querySelectorAll('svg.drawn').forEach(one => one.replaceChildren())"); // each is one
        // picture
        assertAccessible(page);
    }

    @SuppressWarnings("unchecked")
    private static void assertDifferent(Page page, int size, String theme) {
        Map<String, Object> found = (Map<String, Object>) page.evaluate(
                DIFFERENCES,
                Map.of("size", size, "theme", theme, "same", size == 64 && theme.equals("day") ? SAME : 0));
        List<Map<String, Object>> least = (List<Map<String, Object>>) found.get("least");
        System.out.printf(
                "at %d px, %s, the least two siblings differ by %.4f: %s%n",
                size, theme, share(least.get(0)), least.get(0).get("pair"));
        assertThat(least.stream().filter(pair -> share(pair) < LEAST))
                .as("siblings that look alike at %d px, %s", size, theme)
                .isEmpty();
        assertThat(((List<Map<String, Object>>) found.get("alike"))
                        .stream().map(pair -> pair.get("pair")).filter(pair -> !BARE.contains(pair)))
                .as("states of different characters that are drawn the same")
                .isEmpty();
    }

    private static double share(Map<String, Object> pair) {
        return ((Number) pair.get("share")).doubleValue();
    }
}
