package org.goldthistle.quality;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
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

/** What was answered for the trees of one group, and how far it agrees. Trees that were answered alike are one entry. */
final class GroupAnswers {
    private static final int FOR_ERRORS = 3; // observers
    private static final int MOST_PAIRS = 8;
    private static final int FEW = 10; // trees, below which the figures tell little

    private final StoredSheet sheet;
    private final List<String> answers = new ArrayList<>();
    private final Map<List<Given>, Long> trees = new LinkedHashMap<>();
    private final Map<String, Map<List<Integer>, Long>> byCharacter = new LinkedHashMap<>();

    GroupAnswers(StoredSheet sheet) {
        this.sheet = sheet;
        sheet.sheet().taxa().forEach(taxon -> answers.add(taxon.name().commonName()));
        answers.add(sheet.sheet().fallback().commonName());
    }

    private record Given(UUID observer, int answer) {}

    /**
     * What an observer signed for a tree, and what they saw there.
     *
     * @param seen by the id of a character, the number of what was seen
     */
    record Signed(UUID observer, String name, Map<String, Integer> seen) {}

    /**
     * Takes in trees that got just these answers.
     *
     * @param all two or more, in the order of signing
     * @param alike how many trees got them
     */
    void read(List<Signed> all, long alike) {
        trees.merge(
                all.stream()
                        .map(one -> new Given(one.observer(), number(one.name())))
                        .toList(),
                alike,
                Long::sum);
        Map<String, List<Integer>> seen = new HashMap<>();
        all.forEach(one -> one.seen()
                .forEach((character, category) ->
                        seen.computeIfAbsent(character, id -> new ArrayList<>()).add(category)));
        seen.forEach((character, categories) -> byCharacter
                .computeIfAbsent(character, id -> new LinkedHashMap<>())
                .merge(categories, alike, Long::sum));
    }

    private int number(String name) {
        if (!answers.contains(name)) {
            answers.add(name); // of an older sheet, or of another group
        }
        return answers.indexOf(name);
    }

    boolean isEmpty() {
        return trees.isEmpty();
    }

    int trees() {
        return (int) trees.values().stream().mapToLong(Long::longValue).sum();
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
                trees(),
                trees() < FEW,
                used.stream().map(answers::get).toList(),
                rows,
                percent(confusion.agreement()),
                kappa(confusion),
                NominalAlpha.of(names(), answers.size()).orElse(null),
                confused(used, confusion),
                pairs(used, callSigns),
                characters(),
                errors(callSigns));
    }

    /** The answers that were given, in the order of the sheet. */
    private List<Integer> used() {
        return trees.keySet().stream()
                .flatMap(List::stream)
                .map(Given::answer)
                .distinct()
                .sorted()
                .toList();
    }

    /** By the names that a tree got, whoever gave them: how many trees got just these. */
    private Map<List<Integer>, Long> names() {
        Map<List<Integer>, Long> names = new LinkedHashMap<>();
        trees.forEach(
                (given, alike) -> names.merge(given.stream().map(Given::answer).toList(), alike, Long::sum));
        return names;
    }

    private long[][] counts(List<Integer> used) {
        long[][] counts = new long[used.size()][used.size()];
        trees.forEach((given, alike) -> counts[used.indexOf(given.get(0).answer())][
                used.indexOf(given.get(1).answer())] += alike);
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
        trees.forEach((given, alike) -> {
            for (int i = 0; i < given.size(); i++) {
                for (int j = i + 1; j < given.size(); j++) {
                    Given a = given.get(i);
                    Given b = given.get(j);
                    boolean inOrder = callSigns.get(a.observer()).compareTo(callSigns.get(b.observer())) < 0;
                    Given first = inOrder ? a : b;
                    Given second = inOrder ? b : a;
                    tables.computeIfAbsent(
                                    callSigns.get(first.observer()) + "\n" + callSigns.get(second.observer()),
                                    key -> new long[used.size()][used.size()])[used.indexOf(first.answer())][
                            used.indexOf(second.answer())] += alike;
                }
            }
        });
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
        byCharacter.forEach((id, seen) -> {
            long pairs = 0;
            long alike = 0;
            int most = 0;
            for (Map.Entry<List<Integer>, Long> one : seen.entrySet()) {
                List<Integer> categories = one.getKey();
                for (int i = 0; i < categories.size(); i++) {
                    most = Math.max(most, categories.get(i));
                    for (int j = i + 1; j < categories.size(); j++) {
                        pairs += one.getValue();
                        alike += categories.get(i).equals(categories.get(j)) ? one.getValue() : 0;
                    }
                }
            }
            if (pairs > 0) {
                all.add(new AgreementDto.CharacterAgreement(
                        sheet.sheet().character(id).orElseThrow().name(),
                        pairs,
                        100.0 * alike / pairs,
                        NominalAlpha.of(seen, most + 1).orElse(null)));
            }
        });
        all.sort(Comparator.comparingDouble(AgreementDto.CharacterAgreement::percent)
                .thenComparing(AgreementDto.CharacterAgreement::name));
        return all;
    }

    private List<AgreementDto.ObserverErrors> errors(Map<UUID, String> callSigns) {
        List<UUID> observers = trees.keySet().stream()
                .flatMap(List::stream)
                .map(Given::observer)
                .distinct()
                .sorted(Comparator.comparing(callSigns::get))
                .toList();
        if (observers.size() < FOR_ERRORS) {
            return List.of();
        }
        Map<List<DawidSkene.Answer>, Long> all = new LinkedHashMap<>();
        trees.forEach((given, alike) -> all.merge(
                given.stream()
                        .map(one -> new DawidSkene.Answer(observers.indexOf(one.observer()), one.answer()))
                        .sorted(Comparator.comparingInt(DawidSkene.Answer::observer))
                        .toList(),
                alike,
                Long::sum));
        DawidSkene found = DawidSkene.of(all, observers.size(), answers.size());
        double[] right = new double[observers.size()];
        long[] read = new long[observers.size()];
        all.forEach((given, alike) -> given.forEach(one -> {
            right[one.observer()] += alike * found.truth(given, one.category());
            read[one.observer()] += alike;
        }));
        List<AgreementDto.ObserverErrors> errors = new ArrayList<>();
        for (int i = 0; i < right.length; i++) {
            errors.add(new AgreementDto.ObserverErrors(callSigns.get(observers.get(i)), read[i], right[i] / read[i]));
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
