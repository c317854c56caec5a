package org.goldthistle.library;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.key.WhichGroup;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Trait;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.lang.Nullable;

/**
 * What is left of the library after a few first looks at a tree.
 *
 * @param traits that can be looked at, with the answers that can be given
 * @param remaining ids of the groups that it may belong to
 * @param ruledOut the others, with what speaks against each
 * @param next the trait that narrows most; null: no further look parts what remains
 */
record WhichDto(
        List<TraitDto> traits,
        List<String> remaining,
        List<RuledOut> ruledOut,
        @Nullable @CodeOf(Trait.class) String next) {

    /** Something that anybody sees on a tree. */
    record TraitDto(@CodeOf(Trait.class) String trait, List<String> answers) {}

    /** A group that the tree does not belong to. */
    record RuledOut(String groupId, @CodeOf(Trait.class) String trait) {}

    static WhichDto of(WhichGroup which) {
        return new WhichDto(
                List.of(Trait.values()).stream()
                        .map(trait -> new TraitDto(trait.code(), trait.answers()))
                        .toList(),
                which.remaining().stream().map(GroupSheet::id).toList(),
                which.ruledOut().entrySet().stream()
                        .map(one -> new RuledOut(one.getKey(), one.getValue().code()))
                        .toList(),
                which.next().map(Trait::code).orElse(null));
    }

    /**
     * Answers by trait.
     *
     * @param looks each as trait:answer
     * @throws Problem if there is no such trait or answer, or a trait is answered twice
     */
    static Map<Trait, String> answers(List<String> looks) {
        Map<Trait, String> answers = new EnumMap<>(Trait.class);
        for (String look : looks) {
            String[] parts = look.split(":", 2);
            Optional<Trait> trait = Coded.find(Trait.values(), parts[0]);
            boolean known = trait.isPresent()
                    && parts.length == 2
                    && trait.get().answers().contains(parts[1]);
            if (!known || answers.put(trait.get(), parts[1]) != null) {
                throw Problem.unfit(
                        ProblemType.NO_SUCH_LOOK,
                        "\"" + look + "\" is no first look, or the second one at the same thing. Give each trait once,"
                                + " as trait:answer.");
            }
        }
        return answers;
    }
}
