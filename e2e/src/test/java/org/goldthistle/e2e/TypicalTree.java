package org.goldthistle.e2e;

import java.util.List;
import java.util.Locale;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;

/** What somebody reads who stands before a tree that looks as its taxon mostly does. */
final class TypicalTree {
    private final GroupSheet sheet;
    private final String taxon;

    TypicalTree(String group, String taxon) {
        this.sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));
        this.taxon = taxon;
    }

    GroupSheet sheet() {
        return sheet;
    }

    /** The check in hand. */
    DiagnosticCharacter check(BenchOnScreen bench) {
        String name = bench.heading().innerText();
        return sheet.characters().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** The place of the state that it most likely has, from 0. */
    int likeliest(DiagnosticCharacter character) {
        StateProfile profile = (StateProfile) character.profiles().get(taxon);
        List<Double> shares = ((StateScale) character.scale())
                .states().stream().map(state -> profile.frequency(state.id())).toList();
        return shares.indexOf(shares.stream().max(Double::compare).orElseThrow());
    }

    /** The middle of what it usually measures, as somebody writes it. */
    String middle(DiagnosticCharacter character) {
        Range range = ((RangeProfile) character.profiles().get(taxon)).range();
        double middle = (range.usuallyLow() + range.usuallyHigh()) / 2;
        boolean whole = ((NumberScale) character.scale()).isCount() || middle >= 3;
        return whole ? String.valueOf(Math.round(middle)) : String.format(Locale.ROOT, "%.1f", middle);
    }

    /**
     * All looks in one row, with as many digits as the largest that any candidate has, and one for tenths where all lie
     * below ten; with spaces between where that row could be read as whole numbers too.
     */
    String typed(DiagnosticCharacter character) {
        String number = middle(character);
        int looks = character.replication().replicates();
        List<Range> ranges = character.profiles().values().stream()
                .map(profile -> ((RangeProfile) profile).range())
                .toList();
        double least = ranges.stream().mapToDouble(Range::rarelyLow).min().orElseThrow();
        double most = ranges.stream().mapToDouble(Range::rarelyHigh).max().orElseThrow();
        boolean tenths = number.contains(".");
        boolean alsoWhole = number.chars()
                .filter(Character::isDigit)
                .map(Character::getNumericValue)
                .allMatch(digit -> digit >= least && digit <= most);
        if (looks == 1 || tenths && (most >= 10 || alsoWhole)) {
            return (number + " ").repeat(looks).strip();
        }
        int digits = String.valueOf((long) most).length() + (tenths ? 1 : 0);
        String plain = number.replace(".", "");
        return ("0".repeat(Math.max(0, digits - plain.length())) + plain).repeat(looks);
    }
}
