package org.goldthistle.learning;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.learning.Reliability;
import org.springframework.lang.Nullable;

/**
 * What verified trees say of the sheets.
 *
 * @param groups that have verified trees, in the library's order
 * @param files of specimens that were added, the earliest first
 * @param needed verified trees of a group below which nothing is proposed
 */
record LessonsDto(List<GroupLesson> groups, List<FileDto> files, int needed) {

    /**
     * How far the shares of belief came true in one group.
     *
     * @param trees that are verified
     * @param unread of them, those that the newest sheet cannot read
     * @param enough whether there are enough for the figures to say much
     * @param calibrationError expected calibration error; as the next two null only without trees
     * @param logLoss in nats
     * @param bins ten equal parts of [0, 1], the lowest first
     */
    record GroupLesson(
            String groupId,
            String title,
            UUID versionId,
            int version,
            int trees,
            int unread,
            boolean enough,
            @Nullable Double calibrationError,
            @Nullable Double brier,
            @Nullable Double logLoss,
            List<BinDto> bins) {

        static GroupLesson of(StoredSheet newest, List<KnownTree> known) {
            Map<String, KnownTree> byId = new HashMap<>();
            known.forEach(tree -> byId.put(tree.judged().tree(), tree));
            Reliability found =
                    Reliability.of(known.stream().map(KnownTree::judged).toList());
            return new GroupLesson(
                    newest.sheet().id(),
                    newest.sheet().title(),
                    newest.id(),
                    newest.version(),
                    found.trees(),
                    (int) known.stream()
                            .filter(tree -> tree.verified().isEmpty())
                            .count(),
                    found.isOfEnough(),
                    found.calibrationError().orElse(null),
                    found.brier().orElse(null),
                    found.logLoss().orElse(null),
                    found.bins().stream().map(bin -> BinDto.of(bin, byId)).toList());
        }
    }

    /**
     * Shares of about the same size.
     *
     * @param shares how many there are
     * @param meanShare null: there are none, as is the next
     * @param observed how many of them came true, in [0, 1]
     * @param points some of them, those first that were the furthest from the truth
     */
    record BinDto(
            double from,
            double to,
            int shares,
            @Nullable Double meanShare,
            @Nullable Double observed,
            List<PointDto> points) {
        private static final int MOST_POINTS = 40;

        static BinDto of(Reliability.Bin bin, Map<String, KnownTree> byId) {
            return new BinDto(
                    bin.from(),
                    bin.to(),
                    bin.points().size(),
                    bin.meanShare().orElse(null),
                    bin.observed().orElse(null),
                    bin.points().stream()
                            .sorted(Comparator.comparingDouble((Reliability.Point point) ->
                                            point.right() ? 1 - point.share() : point.share())
                                    .reversed())
                            .limit(MOST_POINTS)
                            .map(point -> PointDto.of(point, byId.get(point.tree())))
                            .toList());
        }
    }

    /**
     * What was believed of one taxon of one tree.
     *
     * @param tree plot and tag, or a file and the specimen's id
     * @param treeId in the survey; null: it comes from a file
     */
    record PointDto(String tree, @Nullable UUID treeId, String taxon, double share, boolean right) {
        static PointDto of(Reliability.Point point, KnownTree tree) {
            return new PointDto(
                    tree.label(), tree.treeId(), point.taxon().name().commonName(), point.share(), point.right());
        }
    }

    /**
     * A file of specimens with their truth.
     *
     * @param readable whether the group's newest sheet can read it; where not, none of its trees counts
     * @param mine whether this observer may take it out
     */
    record FileDto(
            UUID id,
            String groupId,
            String name,
            int trees,
            boolean readable,
            String addedBy,
            Instant addedAt,
            boolean mine) {}
}
