package org.goldthistle.library;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.key.WhichGroup;
import org.goldthistle.core.plan.SeparatingPower;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.region.RegionOverlay;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Trait;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.GroupSheetWriter;
import org.goldthistle.formats.RegionOverlayJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Sha256;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stores sheets and hands them out; a version never changes, so each is read and made ready once. */
@Service
public class LibraryService {
    private static final Logger LOG = LoggerFactory.getLogger(LibraryService.class);

    private final SheetVersionRepository versions;
    private final Seasons seasons;
    private final LibrarySearch search;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Map<UUID, StoredSheet> ready = new ConcurrentHashMap<>();

    LibraryService(
            SheetVersionRepository versions, Seasons seasons, LibrarySearch search, JdbcClient jdbc, Clock clock) {
        this.versions = versions;
        this.search = search;
        this.jdbc = jdbc;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * Stores a sheet that ships with the application as its group's newest version, unless the library has had it
     * already or a person has made a version of their own since.
     *
     * @return the number of the version that was stored; empty: none was
     * @throws org.goldthistle.core.RefusedException with every rule that the sheet breaks
     */
    @Transactional
    public OptionalInt keepUpToDate(String text) {
        GroupSheet sheet = GroupSheetJson.read(text);
        String print = Sha256.of(text);
        Optional<SheetVersion> newest = versions.findFirstByGroupIdOrderByVersionDesc(sheet.id());
        boolean ownWork = newest.isPresent() && !newest.get().builtIn();
        if (ownWork || versions.existsByGroupIdAndSha256(sheet.id(), print)) {
            return OptionalInt.empty();
        }
        int version = 1 + newest.map(SheetVersion::version).orElse(0);
        UUID id = UUID.nameUUIDFromBytes((sheet.id() + " " + version + " " + print).getBytes(StandardCharsets.UTF_8));
        versions.save(SheetVersion.builtIn(id, sheet.id(), version, print, text, clock.instant()));
        follow(sheet, id);
        return OptionalInt.of(version);
    }

    /**
     * Stores a sheet that a person made as its group's newest version; regional sheets of the group follow it.
     *
     * @param over the version of an original that it is laid over; empty: it stands by itself
     * @throws org.goldthistle.core.RefusedException if it differs from its original in more than an overlay may
     */
    @Transactional
    public StoredSheet save(GroupSheet sheet, Optional<UUID> over, UUID madeBy, String note) {
        Optional<RegionOverlay> overlay =
                over.map(original -> RegionOverlay.between(find(original).sheet(), sheet));
        SheetVersion stored = next(sheet, madeBy, note);
        overlay.ifPresent(laid -> stored.laid(RegionOverlayJson.text(laid), over.get()));
        versions.saveAndFlush(stored);
        follow(sheet, stored.id());
        search.keep(newest());
        return find(stored.id());
    }

    private SheetVersion next(GroupSheet sheet, UUID madeBy, String note) {
        int version = 1
                + versions.findFirstByGroupIdOrderByVersionDesc(sheet.id())
                        .map(SheetVersion::version)
                        .orElse(0);
        String text = GroupSheetWriter.text(sheet);
        return SheetVersion.made(
                UUID.randomUUID(), sheet.id(), version, Sha256.of(text), text, clock.instant(), madeBy, note);
    }

    /** Lays what is different in a region over an original's new version; one that does not fit it stays behind. */
    private void follow(GroupSheet original, UUID versionId) {
        for (UUID id : versions.newestIds()) {
            SheetVersion regional = versions.findById(id).orElseThrow();
            if (regional.overlay() == null) {
                continue;
            }
            RegionOverlay overlay = RegionOverlayJson.read(regional.overlay());
            if (overlay.of().equals(original.id())) {
                try {
                    SheetVersion followed = next(overlay.over(original), regional.madeBy(), "follows its original");
                    versions.saveAndFlush(followed.laid(regional.overlay(), versionId));
                } catch (RefusedException unfit) {
                    LOG.warn("{} stays behind its original: {}", regional.groupId(), unfit.getMessage());
                }
            }
        }
    }

    /** The version of an original that a sheet version is laid over; empty: it stands by itself. */
    @Transactional(readOnly = true)
    public Optional<UUID> originalOf(UUID versionId) {
        return versions.findById(versionId).map(SheetVersion::overlayOn);
    }

    /** Whether the library has a sheet of a group. */
    @Transactional(readOnly = true)
    public boolean has(String groupId) {
        return versions.newestId(groupId).isPresent();
    }

    /** The newest version of every group's sheet, by group. */
    @Transactional(readOnly = true)
    public List<StoredSheet> newest() {
        return versions.newestIds().stream().map(this::find).toList();
    }

    /**
     * The newest version of a group's sheet.
     *
     * @throws Problem if there is none
     */
    @Transactional(readOnly = true)
    public StoredSheet newest(String groupId) {
        return versions.newestId(groupId)
                .map(this::find)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_GROUP,
                        "There is no sheet of the group \"" + groupId + "\" in the library. Nothing was changed."));
    }

    /**
     * One version of a sheet.
     *
     * @throws Problem if there is none of that id
     */
    @Transactional(readOnly = true)
    public StoredSheet find(UUID versionId) {
        return Optional.ofNullable(ready.get(versionId))
                .or(() -> versions.findById(versionId).map(this::prepared))
                .orElseThrow(() ->
                        Problem.missing(ProblemType.NO_SUCH_SHEET, "The library has no such version of a sheet."));
    }

    /** The text of one version of a sheet, as a file. */
    @Transactional(readOnly = true)
    public String text(UUID versionId) {
        return GroupSheetWriter.text(find(versionId).sheet());
    }

    /** What is left of the library after a few first looks at a tree, in this month. */
    @Transactional(readOnly = true)
    WhichGroup which(Map<Trait, String> answers) {
        return WhichGroup.of(
                newest().stream().map(StoredSheet::sheet).toList(),
                answers,
                LocalDate.now(clock).getMonthValue());
    }

    /** What is different between two versions of sheets. */
    @Transactional(readOnly = true)
    List<SheetChange> differences(UUID from, UUID to) {
        return SheetDifference.between(find(from).sheet(), find(to).sheet());
    }

    /**
     * How well each character of a sheet version parts some of its taxa.
     *
     * @throws Problem if there is no such version, stage, school, or pair of taxa
     */
    @Transactional(readOnly = true)
    List<SeparatingPower> separation(
            UUID versionId, int month, String stage, Optional<String> school, Set<String> taxa) {
        StoredSheet stored = find(versionId);
        LifeStage lifeStage = stageOf(stage);
        Optional<School> weights = schoolOf(school);
        long known =
                taxa.stream().filter(id -> stored.sheet().taxonIndex(id) >= 0).count();
        if (month < 1 || month > 12) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_MONTH, "Month " + month + " was asked for. Choose one from 1 to 12.");
        }
        if (known < taxa.size() || known < 2) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_TAXA,
                    "It takes two or more taxa of this sheet, but " + taxa + " was asked for. Choose from its taxa.");
        }
        Context context = new Context(
                month, lifeStage, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
        return SeparatingPower.of(stored.model(), context, weights, taxa);
    }

    /**
     * How well the taxa of a sheet version can be told apart through the year.
     *
     * @throws Problem if there is no such version, stage or school
     */
    @Transactional(readOnly = true)
    public SeasonDto season(UUID versionId, String stage, Optional<String> school, boolean wounding) {
        return SeasonDto.of(
                seasons.of(find(versionId), stageOf(stage), schoolOf(school), wounding), Tier.RECORD.threshold());
    }

    /**
     * The same for a sheet that is no version of the library; it is reckoned anew each time.
     *
     * @throws Problem if there is no such stage or school
     */
    public SeasonDto season(StoredSheet sheet, String stage, Optional<String> school, boolean wounding) {
        return SeasonDto.of(
                Seasons.reckoned(sheet, stageOf(stage), schoolOf(school), wounding), Tier.RECORD.threshold());
    }

    private static LifeStage stageOf(String code) {
        return coded(LifeStage.values(), code);
    }

    private static Optional<School> schoolOf(Optional<String> code) {
        return code.map(one -> coded(School.values(), one));
    }

    /** The versions of a group's sheet, the newest first. */
    @Transactional(readOnly = true)
    List<VersionDto> versionsOf(String groupId) {
        return jdbc.sql("select v.*, o.call_sign, original.group_id original_group, original.version original_version,"
                        + " (select max(version) from sheet_version w where w.group_id = original.group_id) newest_original"
                        + " from sheet_version v left join observer o on o.id = v.made_by"
                        + " left join sheet_version original on original.id = v.overlay_on"
                        + " where v.group_id = ? order by v.version desc")
                .param(groupId)
                .query((row, i) -> new VersionDto(
                        row.getObject("id", UUID.class),
                        row.getInt("version"),
                        row.getString("sha256"),
                        row.getTimestamp("created_at").toInstant(),
                        row.getBoolean("built_in"),
                        row.getString("call_sign"),
                        row.getString("note"),
                        row.getString("original_group"),
                        row.getObject("original_version", Integer.class),
                        row.getObject("newest_original", Integer.class)))
                .list();
    }

    /**
     * A version of a sheet in a list; built-in ones came with the application.
     *
     * @param madeBy null: it came with the application
     * @param original the group that it is laid over; null, as the next two: it stands by itself
     * @param originalVersion the version that it is laid over
     * @param newestOriginal the newest one there is; a later one does not fit what is laid over it
     */
    record VersionDto(
            UUID id,
            int version,
            String sha256,
            Instant createdAt,
            boolean builtIn,
            @Nullable String madeBy,
            String note,
            @Nullable String original,
            @Nullable Integer originalVersion,
            @Nullable Integer newestOriginal) {}

    private static <T extends Coded> T coded(T[] all, String code) {
        return Coded.find(all, code)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_WORD,
                        "\"" + code + "\" is none of " + Coded.codes(all) + ". Choose one of them."));
    }

    private StoredSheet prepared(SheetVersion stored) {
        return ready.computeIfAbsent(
                stored.id(),
                id -> new StoredSheet(
                        id, stored.version(), stored.sha256(), GroupModel.of(GroupSheetJson.read(stored.body()))));
    }
}
