package org.goldthistle.quality;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.agreement.Confusion;
import org.goldthistle.core.agreement.DawidSkene;
import org.goldthistle.core.agreement.NominalAlpha;

/** What was answered for the trees of one group, and how far it agrees. */
final class GroupAnswers {
    private static final int FOR_ERRORS = 3; // observers
    private static final int MOST_PAIRS = 8;
    private static final int FEW_READERS = 2; // of most trees

    private final StoredSheet sheet;
    private final List<String> answers = new ArrayList<>();
    private static final int FEW = 10; // trees, below which the figures tell little

    private final Map<UUID, List<Given>> byTree = new LinkedHashMap<>();
    private final Map<String, Map<UUID, List<Integer>>> byCharacter = new LinkedHashMap<>();

    GroupAnswers(StoredSheet sheet) {
        this.sheet = sheet;
        sheet.sheet().taxa().forEach(taxon -> answers.add(taxon.name().commonName()));
        answers.add(sheet.sheet().fallback().commonName());
    }

    private record Given(UUID observer, int answer) {}

    /** Takes in what an observer signed for a tree; in the order of signing. */
    void signed(UUID tree, UUID observer, String name) {
        if (!answers.contains(name)) {
            answers.add(name); // of an older sheet, or of another group
        }
        byTree.computeIfAbsent(tree, id -> new ArrayList<>(FEW_READERS))
                .add(new Given(observer, answers.indexOf(name)));
    }

    /** Takes in what an observer read of a character, as the number of what they saw. */
    void read(String character, UUID tree, int category) {
        byCharacter
                .computeIfAbsent(character, id -> new LinkedHashMap<>())
                .computeIfAbsent(tree, id -> new ArrayList<>(FEW_READERS))
                .add(category);
    }

    boolean isEmpty() {
        return byTree.isEmpty();
    }

    int trees() {
        return byTree.size();
    }

    StoredSheet sheet() {
        return sheet;
    }

    AgreementDto.OfGroup agreement(Map<UUID, String> callSigns) {
        List<Integer> used = used();
        Confusion confusion = Confusion.of(counts(used));
        List<List<Long>> rows = new ArrayList<>();
        for (int i = 0; i < used.size(); i++) {
            List<Long> row = new ArrayList<>();
            for (int j = 0; j < used.size(); j++) {
                row.add(confusion.count(i, j));
            }
            rows.add(row);
        }
        return new AgreementDto.OfGroup(
                sheet.sheet().id(),
                sheet.sheet().title(),
                byTree.size(),
                byTree.size() < FEW,
                used.stream().map(answers::get).toList(),
                rows,
                percent(confusion.agreement()),
                kappa(confusion),
                NominalAlpha.of(
                                byTree.values().stream()
                                        .map(all -> all.stream()
                                                .mapToInt(Given::answer)
                                                .toArray())
                                        .toList(),
                                answers.size())
                        .orElse(null),
                confused(used, confusion),
                pairs(used, callSigns),
                characters(),
                errors(callSigns));
    }

    /** The answers that were given, in the order of the sheet. */
    private List<Integer> used() {
        return byTree.values().stream()
                .flatMap(List::stream)
                .map(Given::answer)
                .distinct()
                .sorted()
                .toList();
    }

    private long[][] counts(List<Integer> used) {
        long[][] counts = new long[used.size()][used.size()];
        byTree.values()
                .forEach(all -> counts[used.indexOf(all.get(0).answer())][
                        used.indexOf(all.get(1).answer())]++);
        return counts;
    }

    private List<AgreementDto.ConfusedPair> confused(List<Integer> used, Confusion confusion) {
        List<AgreementDto.ConfusedPair> pairs = new ArrayList<>();
        for (int i = 0; i < used.size(); i++) {
            for (int j = i + 1; j < used.size(); j++) {
                long trees = confusion.count(i, j) + confusion.count(j, i);
                if (trees > 0) {
                    pairs.add(new AgreementDto.ConfusedPair(answers.get(used.get(i)), answers.get(used.get(j)), trees));
                }
            }
        }
        pairs.sort(Comparator.comparingLong(AgreementDto.ConfusedPair::trees).reversed());
        return pairs.stream().limit(MOST_PAIRS).toList();
    }

    private List<AgreementDto.ObserverPair> pairs(List<Integer> used, Map<UUID, String> callSigns) {
        Map<String, long[][]> tables = new TreeMap<>();
        for (List<Given> all : byTree.values()) {
            for (int i = 0; i < all.size(); i++) {
                for (int j = i + 1; j < all.size(); j++) {
                    Given a = all.get(i);
                    Given b = all.get(j);
                    boolean inOrder = callSigns.get(a.observer()).compareTo(callSigns.get(b.observer())) < 0;
                    Given first = inOrder ? a : b;
                    Given second = inOrder ? b : a;
                    tables.computeIfAbsent(
                                    callSigns.get(first.observer()) + "\n" + callSigns.get(second.observer()),
                                    key -> new long[used.size()][used.size()])[used.indexOf(first.answer())][
                            used.indexOf(second.answer())]++;
                }
            }
        }
        List<AgreementDto.ObserverPair> pairs = new ArrayList<>();
        tables.forEach((names, counts) -> {
            Confusion both = Confusion.of(counts);
            String[] two = names.split("\n");
            pairs.add(new AgreementDto.ObserverPair(
                    two[0], two[1], both.total(), percent(both.agreement()), kappa(both)));
        });
        pairs.sort(Comparator.comparingLong(AgreementDto.ObserverPair::trees).reversed());
        return pairs;
    }

    private List<AgreementDto.CharacterAgreement> characters() {
        List<AgreementDto.CharacterAgreement> all = new ArrayList<>();
        byCharacter.forEach((id, trees) -> {
            long pairs = 0;
            long alike = 0;
            int categories = 0;
            List<int[]> given = new ArrayList<>();
            for (List<Integer> categoriesSeen : trees.values()) {
                int[] seen = categoriesSeen.stream().mapToInt(Integer::intValue).toArray();
                given.add(seen);
                for (int i = 0; i < seen.length; i++) {
                    categories = Math.max(categories, seen[i] + 1);
                    for (int j = i + 1; j < seen.length; j++) {
                        pairs++;
                        alike += seen[i] == seen[j] ? 1 : 0;
                    }
                }
            }
            if (pairs > 0) {
                all.add(new AgreementDto.CharacterAgreement(
                        sheet.sheet().character(id).orElseThrow().name(),
                        pairs,
                        100.0 * alike / pairs,
                        NominalAlpha.of(given, categories).orElse(null)));
            }
        });
        all.sort(Comparator.comparingDouble(AgreementDto.CharacterAgreement::percent)
                .thenComparing(AgreementDto.CharacterAgreement::name));
        return all;
    }

    private List<AgreementDto.ObserverErrors> errors(Map<UUID, String> callSigns) {
        List<UUID> observers = byTree.values().stream()
                .flatMap(List::stream)
                .map(Given::observer)
                .distinct()
                .toList();
        if (observers.size() < FOR_ERRORS) {
            return List.of();
        }
        List<DawidSkene.Answer> all = new ArrayList<>();
        int tree = 0;
        for (List<Given> given : byTree.values()) {
            for (Given one : given) {
                all.add(new DawidSkene.Answer(tree, observers.indexOf(one.observer()), one.answer()));
            }
            tree++;
        }
        DawidSkene found = DawidSkene.of(all, byTree.size(), observers.size(), answers.size());
        double[] right = new double[observers.size()];
        long[] trees = new long[observers.size()];
        for (DawidSkene.Answer one : all) {
            right[one.observer()] += found.truth(one.tree(), one.category());
            trees[one.observer()]++;
        }
        List<AgreementDto.ObserverErrors> errors = new ArrayList<>();
        for (int i = 0; i < right.length; i++) {
            errors.add(new AgreementDto.ObserverErrors(callSigns.get(observers.get(i)), trees[i], right[i] / trees[i]));
        }
        errors.sort(Comparator.comparingDouble(AgreementDto.ObserverErrors::right));
        return errors;
    }

    private static Double percent(Optional<Double> share) {
        return share.map(one -> 100 * one).orElse(null);
    }

    private static AgreementDto.KappaDto kappa(Confusion of) {
        return of.kappa()
                .map(kappa -> kappa.hasInterval()
                        ? new AgreementDto.KappaDto(kappa.value(), kappa.low(), kappa.high())
                        : new AgreementDto.KappaDto(kappa.value(), null, null))
                .orElse(null);
    }
}
