package org.goldthistle.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.sheet.Taxon;

/** Practice trees of all sheets, each read with some mistakes and called something. */
final class PractisedTrees {
    private static final int ALL = 500;

    private PractisedTrees() {}

    /** Each with its sheet's version and what was made of it. */
    static List<Map<String, Object>> all() {
        CallDesk desk = SameFiguresTest.desk();
        List<Map<String, Object>> all = new ArrayList<>();
        List<Map<String, Object>> sheets = Cases.sheets();
        for (int seed = 0; seed < ALL; seed++) {
            String version = (String) sheets.get(seed % sheets.size()).get("versionId");
            List<Taxon> taxa = desk.sheet(version).sheet().taxa();
            Pair pair = pair(desk, version, seed);
            Map<?, ?> tree = (Map<?, ?>) new PracticeDesk(desk::sheet)
                    .tree(version, seed, pair.one(), pair.other())
                    .get("tree");
            all.add(Map.of(
                    "versionId",
                    version,
                    "made",
                    Map.of(
                            "seed",
                            seed,
                            "one",
                            pair.one(),
                            "other",
                            pair.other(),
                            "readings",
                            readings((Map<?, ?>) tree.get("shown"), new Random(seed)),
                            "gate",
                            List.of(),
                            "outcome",
                            seed % 5 == 0 ? "open" : seed % 7 == 0 ? "none-of-these" : "taxon",
                            seed % 5 == 0 || seed % 7 == 0 ? "unnamed" : "taxonId",
                            taxa.get(seed % taxa.size()).id())));
        }
        return all;
    }

    private static Pair pair(CallDesk desk, String version, int seed) {
        List<Taxon> taxa = desk.sheet(version).sheet().taxa();
        for (int i = 0; ; i++) {
            Pair pair = new Pair(
                    taxa.get((seed + i) % taxa.size()).id(),
                    taxa.get((seed + i + 1) % taxa.size()).id());
            try {
                PracticeTree.requireApart(desk.sheet(version).model(), pair);
                return pair;
            } catch (RefusedException alike) {
                continue;
            }
        }
    }

    /** Half of what is shown, in some of its looks. */
    private static List<Map<String, Object>> readings(Map<?, ?> shown, Random random) {
        List<Map<String, Object>> readings = new ArrayList<>();
        shown.forEach((character, one) -> {
            List<?> states = (List<?>) ((Map<?, ?>) one).get("states");
            List<?> values = (List<?>) ((Map<?, ?>) one).get("values");
            if (random.nextBoolean() && !(states.isEmpty() && values.isEmpty())) {
                List<?> looks = states.isEmpty() ? values : states;
                List<?> read = looks.subList(0, 1 + random.nextInt(looks.size()));
                readings.add(
                        Map.of("character", character, "notSeen", false, states.isEmpty() ? "values" : "states", read));
            }
        });
        return readings;
    }
}
