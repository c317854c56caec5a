package org.goldthistle.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.JointBalance;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.signing.SignedCall;
import org.springframework.lang.Nullable;

/** Several readings of one tree laid side by side: on what they differ, and what they amount to together. */
final class Table {
    private static final double SAYS_SOMETHING = 1; // points; below, a reading speaks for nobody

    private final List<SignedCall> calls;
    private final List<LaboratoryEvidence> laboratory;
    private final List<Balance> balances;
    private final GroupModel model;
    private final int first;
    private final int second;

    private Table(List<SignedCall> calls, List<LaboratoryEvidence> laboratory) {
        this.calls = calls;
        this.laboratory = laboratory;
        this.balances =
                calls.stream().map(call -> call.weighing().withSurroundings()).toList();
        this.model = calls.get(0).model();
        int lead = calls.get(0).taxon().orElse(balances.get(0).lead());
        this.first = lead;
        this.second = calls.stream()
                .skip(1)
                .flatMap(call -> call.taxon().stream())
                .filter(taxon -> taxon != lead)
                .findFirst()
                .orElse(
                        lead == balances.get(0).lead()
                                ? balances.get(0).rival()
                                : balances.get(0).lead());
    }

    /**
     * @param laboratory what a laboratory found of the tree
     * @return empty if the calls are on different sheets, or there is none
     */
    static Optional<Table> of(List<SignedCall> calls, List<LaboratoryEvidence> laboratory) {
        boolean one = calls.stream().map(call -> call.sheet().id()).distinct().count() == 1;
        return one ? Optional.of(new Table(calls, laboratory)) : Optional.empty();
    }

    /** Every character that was read, those on which the readers differ first, then by how far apart they are. */
    List<CaseDto.Compared> characters() {
        JointBalance together = JointBalance.of(balances);
        Set<Integer> read = new LinkedHashSet<>();
        balances.forEach(balance -> balance.readings().forEach(one -> read.add(one.characterIndex())));
        List<CaseDto.Compared> all = new ArrayList<>();
        for (int index : read) {
            all.add(compared(index, together));
        }
        all.sort(Comparator.comparing(CaseDto.Compared::differs)
                .thenComparing(Table::spread)
                .reversed());
        return all;
    }

    private CaseDto.Compared compared(int index, JointBalance together) {
        List<CaseDto.Cell> cells = new ArrayList<>();
        Set<Integer> speaksFor = new LinkedHashSet<>();
        for (int i = 0; i < balances.size(); i++) {
            Balance balance = balances.get(i);
            for (int j = 0; j < balance.readings().size(); j++) {
                WeighedReading reading = balance.readings().get(j);
                if (reading.characterIndex() == index) {
                    double points = balance.points(j, first, second);
                    cells.add(new CaseDto.Cell(i, points));
                    speaksFor.add(points > SAYS_SOMETHING ? 1 : points < -SAYS_SOMETHING ? -1 : 0);
                }
            }
        }
        DiagnosticCharacter character = model.sheet().characters().get(index);
        return new CaseDto.Compared(
                character.id(), character.name(), speaksFor.size() > 1, cells, jointPoints(index, together));
    }

    @Nullable private Double jointPoints(int index, JointBalance together) {
        for (int j = 0; j < together.readings().size(); j++) {
            if (together.readings().get(j).characterIndex() == index) {
                return together.points(j, first, second);
            }
        }
        return null;
    }

    private static double spread(CaseDto.Compared compared) {
        double low = 0;
        double high = 0;
        for (CaseDto.Cell cell : compared.cells()) {
            low = Math.min(low, cell.points());
            high = Math.max(high, cell.points());
        }
        return high - low;
    }

    /** What all readings and the laboratory amount to together. */
    CaseDto.Joint joint() {
        return new CaseDto.Joint(
                view(JointBalance.of(balances)),
                view(JointBalance.of(calls.stream()
                        .map(call -> call.weighing().featuresAlone())
                        .toList())),
                model.sheet().taxa().get(first).id(),
                model.sheet().taxa().get(second).id());
    }

    private CaseDto.JointView view(JointBalance read) {
        JointBalance joint = read.with(LaboratoryEvidence.together(model.sheet(), laboratory));
        List<Double> shares = new ArrayList<>();
        for (int k = 0; k <= model.taxonCount(); k++) {
            shares.add(joint.posterior(k));
        }
        return new CaseDto.JointView(
                model.sheet().taxa().get(joint.lead()).id(),
                model.sheet().taxa().get(joint.rival()).id(),
                shares,
                joint.totalPoints(joint.lead(), joint.rival()));
    }
}
