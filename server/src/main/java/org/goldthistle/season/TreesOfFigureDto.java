package org.goldthistle.season;

import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * The trees behind a figure, by plot and tag.
 *
 * @param inAll how many there are; the first of them follow
 */
record TreesOfFigureDto(int inAll, List<TreeOfFigure> trees) {

    /**
     * One of them.
     *
     * @param groupId null: it is plainly a taxon that nobody doubts
     * @param standsAs plain, open, the outcome that was signed last, or review: the caller is still to read it blind
     * @param standsName what was signed; null: nothing, or the caller is still to read it blind
     */
    record TreeOfFigure(
            UUID treeId,
            UUID plotId,
            String plotCode,
            int tag,
            @Nullable String groupId,
            String standsAs,
            @Nullable String standsName) {}
}
