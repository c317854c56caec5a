package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.FACULTY_LACKING;
import static org.goldthistle.core.balance.ModelConstants.OUT_OF_SEASON;
import static org.goldthistle.core.balance.ModelConstants.SITE_WITH_HABITAT;
import static org.goldthistle.core.balance.ModelConstants.WEAK_ABSENCE;

import java.util.Optional;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.Trust;

/** How far a reading counts, w in [0, 1]: section 4 of {@code docs/model.md}. */
public final class Weight {
    private Weight() {}

    /** The weight of a reading under a school; empty: the sheet's own weight. */
    static double of(DiagnosticCharacter character, Reading reading, Context context, Optional<School> school) {
        double weight = ofLook(
                character,
                context,
                reading.month().orElse(context.month()),
                reading.material().or(context::material),
                reading.position().or(context::position),
                school);
        return clamp(isWeakAbsence(character, reading.observed()) ? weight * WEAK_ABSENCE : weight);
    }

    /**
     * What a reading's circumstances make of the sheet's weight: the product of all multipliers of section 4, at least 0.
     * {@code w} is the sheet's weight times this, clamped to [0, 1].
     */
    public static double factor(DiagnosticCharacter character, Reading reading, Context context) {
        double factor = ofLook(
                character.withTrust(character.trust().withWeight(1)),
                context,
                reading.month().orElse(context.month()),
                reading.material().or(context::material),
                reading.position().or(context::position),
                Optional.empty());
        return isWeakAbsence(character, reading.observed()) ? factor * WEAK_ABSENCE : factor;
    }

    /**
     * The weight that a planned check would get, taken as attached and from the sun: section 10.
     *
     * @param allAbsent whether it turns out that the thing is not there
     */
    public static double ofPlanned(
            DiagnosticCharacter character, Context context, Optional<School> school, boolean allAbsent) {
        double weight = ofLook(
                character, context, context.month(), Optional.of(Material.ATTACHED), Optional.of(Position.SUN), school);
        return clamp(allAbsent && character.absence() == Absence.WEAK ? weight * WEAK_ABSENCE : weight);
    }

    /** The weight of a look at given material, before it is known what will be seen and before clamping. */
    private static double ofLook(
            DiagnosticCharacter character,
            Context context,
            int month,
            Optional<Material> material,
            Optional<Position> position,
            Optional<School> school) {
        Trust trust = character.trust();
        double weight = trust.weight(school) * trust.factor(context.stage());
        if (material.isPresent()) {
            weight *= trust.factor(material.get());
        }
        if (position.isPresent()) {
            weight *= trust.factor(position.get());
        }
        if (!isInSeason(character, month)) {
            weight *= OUT_OF_SEASON;
        }
        if (character.isSite() && !context.habitat().isEmpty()) {
            weight *= SITE_WITH_HABITAT;
        }
        if (context.lacksFor(character.effort())) {
            weight *= FACULTY_LACKING;
        }
        return weight;
    }

    /** Whether the character can be read in a month, 1-12. */
    public static boolean isInSeason(DiagnosticCharacter character, int month) {
        return character.trust().months().contains(month);
    }

    private static double clamp(double weight) {
        return Math.min(1, Math.max(0, weight));
    }

    private static boolean isWeakAbsence(DiagnosticCharacter character, Observed observed) {
        return character.absence() == Absence.WEAK && observed instanceof StatesObserved seen && seen.all(State.ABSENT);
    }
}
