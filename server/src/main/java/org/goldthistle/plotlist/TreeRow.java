package org.goldthistle.plotlist;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Thistle;
import org.goldthistle.call.TreeLook;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.verdict.Verdict;
import org.goldthistle.survey.VigourBody;
import org.springframework.lang.Nullable;

/**
 * A tree in its plot's table and map, as it was entered and as one observer works on it.
 *
 * @param habitat null: as its plot
 * @param cloneOf the stem that bears its call; null: it bears its own
 * @param vigour how it does; null: nothing was noted
 * @param leadersInDoubt whether its leaders look as if heights had been noted, or the years the other way round
 * @param before how the tree of that plot and tag did in an earlier season; null: nothing was noted
 * @param favoured whether it is one to favour
 * @param competition Hegyi's index of what its neighbours within 6 m press, 0 or more; null: it is dead, or not reckoned yet
 * @param pressing the neighbours that press it, the hardest first
 * @param standsAs plain, open, the outcome that was signed last, or review: what it was signed as is kept from this
 *     observer, who is to read it without knowing; the next fields then say nothing
 * @param look how it stands for this observer, at a glance
 * @param toDo whether the crew has something left to do at it
 * @param standsName common name of what was signed last; null: nothing
 * @param comeBackMonth 1-12, if that was signed
 * @param contested whether any observer's call is
 * @param reviewed whether what it stands as was settled by a review
 * @param readings that this observer made
 * @param readAs group in which this observer works on it; null, as the next two: they have not begun
 * @param verdict of their call
 * @param thistle their call at a glance
 */
public record TreeRow(
        UUID id,
        int tag,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        @Nullable Integer heightDecimetres,
        @CodeOf(LifeStage.class) String stage,
        @CodeOf(TreeOrigin.class) String origin,
        @Nullable @CodeOf(Habitat.class) List<String> habitat,
        String conditionNotes,
        @Nullable String groupId,
        @Nullable String plainTaxon,
        @Nullable UUID cloneOf,
        @Nullable VigourBody vigour,
        boolean leadersInDoubt,
        @Nullable VigourBefore before,
        boolean favoured,
        @Nullable Double competition,
        List<PressingDto> pressing,
        int version,
        TreeStanding standsAs,
        TreeLook look,
        boolean toDo,
        @Nullable String standsName,
        @Nullable Integer comeBackMonth,
        boolean contested,
        boolean reviewed,
        int readings,
        @Nullable String readAs,
        @Nullable @CodeOf(Verdict.class) String verdict,
        @Nullable Thistle thistle) {

    /** How a tree did in a season. */
    public record VigourBefore(int season, VigourBody vigour) {}

    /**
     * A neighbour that presses it.
     *
     * @param tag of the neighbour
     * @param metres from the tree
     * @param share of the index that it makes up, in (0, 1]
     */
    public record PressingDto(int tag, double metres, double share) {}
}
