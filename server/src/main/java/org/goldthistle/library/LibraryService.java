package org.goldthistle.library;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stores sheets and hands them out; a version never changes, so each is read and made ready once. */
@Service
public class LibraryService {
    private final SheetVersionRepository versions;
    private final Clock clock;
    private final Map<UUID, StoredSheet> ready = new ConcurrentHashMap<>();

    LibraryService(SheetVersionRepository versions, Clock clock) {
        this.versions = versions;
        this.clock = clock;
    }

    /**
     * Stores a sheet as its group's first version, unless the group has one already.
     *
     * @return whether it was stored
     * @throws org.goldthistle.core.RefusedException with every rule that the sheet breaks
     */
    @Transactional
    public boolean addFirstVersion(String text) {
        GroupSheet sheet = GroupSheetJson.read(text);
        if (versions.existsByGroupId(sheet.id())) {
            return false;
        }
        String print = sha256(text);
        UUID id = UUID.nameUUIDFromBytes((sheet.id() + " 1 " + print).getBytes(StandardCharsets.UTF_8));
        versions.save(new SheetVersion(id, sheet.id(), 1, print, text, clock.instant()));
        return true;
    }

    /**
     * The newest version of a group's sheet.
     *
     * @throws Problem if there is none
     */
    @Transactional(readOnly = true)
    public StoredSheet newest(String groupId) {
        return versions.findFirstByGroupIdOrderByVersionDesc(groupId)
                .map(this::prepared)
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
