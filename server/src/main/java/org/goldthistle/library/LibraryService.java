package org.goldthistle.library;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.plan.SeparatingPower;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stores sheets and hands them out; a version never changes, so each is read and made ready once. */
@Service
public class LibraryService {
    private final SheetVersionRepository versions;
    private final Seasons seasons;
    private final Clock clock;
    private final Map<UUID, StoredSheet> ready = new ConcurrentHashMap<>();

    LibraryService(SheetVersionRepository versions, Seasons seasons, Clock clock) {
        this.versions = versions;
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
        String print = sha256(text);
        Optional<SheetVersion> newest = versions.findFirstByGroupIdOrderByVersionDesc(sheet.id());
        boolean ownWork = newest.isPresent() && !newest.get().builtIn();
        if (ownWork || versions.existsByGroupIdAndSha256(sheet.id(), print)) {
            return OptionalInt.empty();
        }
        int version = 1 + newest.map(SheetVersion::version).orElse(0);
        UUID id = UUID.nameUUIDFromBytes((sheet.id() + " " + version + " " + print).getBytes(StandardCharsets.UTF_8));
        versions.save(new SheetVersion(id, sheet.id(), version, print, text, clock.instant()));
        return OptionalInt.of(version);
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
                        "no-such-group",
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
                .orElseThrow(() -> Problem.missing("no-such-sheet", "The library has no such version of a sheet."));
    }

    /** The text of one version of a sheet, as it was stored. */
    @Transactional(readOnly = true)
    public String text(UUID versionId) {
        return versions.findById(versionId).map(SheetVersion::body).orElseThrow();
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
        LifeStage lifeStage = coded(LifeStage.values(), stage);
        Optional<School> weights = school.map(code -> coded(School.values(), code));
        long known =
                taxa.stream().filter(id -> stored.sheet().taxonIndex(id) >= 0).count();
        if (month < 1 || month > 12) {
            throw Problem.unfit("no-such-month", "Month " + month + " was asked for. Choose one from 1 to 12.");
        }
        if (known < taxa.size() || known < 2) {
            throw Problem.unfit(
                    "no-such-taxa",
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
    SeasonDto season(UUID versionId, String stage, Optional<String> school, boolean wounding) {
        StoredSheet stored = find(versionId);
        return SeasonDto.of(
                seasons.of(
                        stored,
                        coded(LifeStage.values(), stage),
                        school.map(code -> coded(School.values(), code)),
                        wounding),
                Tier.RECORD.threshold());
    }

    /** The versions of a group's sheet, the newest first. */
    @Transactional(readOnly = true)
    List<VersionDto> versionsOf(String groupId) {
        return versions.findByGroupIdOrderByVersionDesc(groupId).stream()
                .map(one -> new VersionDto(one.id(), one.version(), one.sha256(), one.createdAt(), one.builtIn()))
                .toList();
    }

    /** A version of a sheet in a list; built-in ones came with the application. */
    record VersionDto(UUID id, int version, String sha256, Instant createdAt, boolean builtIn) {}

    private static <T extends Coded> T coded(T[] all, String code) {
        return Coded.find(all, code)
                .orElseThrow(() -> Problem.unfit(
                        "no-such-word", "\"" + code + "\" is none of " + Coded.codes(all) + ". Choose one of them."));
    }

    private StoredSheet prepared(SheetVersion stored) {
        return ready.computeIfAbsent(
                stored.id(),
                id -> new StoredSheet(
                        id, stored.version(), stored.sha256(), GroupModel.of(GroupSheetJson.read(stored.body()))));
    }

    private static String sha256(String text) {
        try {
            byte[] print = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(print);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java has SHA-256", missing);
        }
    }
}
