package org.goldthistle.library;

import java.io.IOException;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.plan.SeparatingPower;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.formats.CharacterMatrix;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.platform.Attachment;
import org.goldthistle.platform.ForContractors;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sheet versions for reading; one never changes, so a browser may keep it. */
@RestController
@RequestMapping("/api/sheets")
class SheetController {
    private static final CacheControl FOR_GOOD =
            CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable();

    private final LibraryService library;
    private final LibrarySearch search;
    private final SheetPictures pictures;

    SheetController(LibraryService library, LibrarySearch search, SheetPictures pictures) {
        this.pictures = pictures;
        this.library = library;
        this.search = search;
    }

    /** The newest version of each group's sheet. */
    @GetMapping
    @ForObservers
    List<GroupDto> listGroups() {
        return library.newest().stream().map(GroupDto::of).toList();
    }

    /**
     * How well each character parts some taxa of a sheet, the most powerful first.
     *
     * @param school whose weights count: field-marks or close-characters; without it the sheet's own
     * @param taxa ids of the taxa to be parted, two or more
     */
    @GetMapping("/{versionId}/separation")
    @ForObservers
    List<SeparationDto> showSeparation(
            @PathVariable UUID versionId,
            @RequestParam int month,
            @RequestParam @CodeOf(LifeStage.class) String stage,
            @RequestParam(required = false) @CodeOf(School.class) String school,
            @RequestParam List<String> taxa) {
        return library
                .separation(versionId, month, stage, Optional.ofNullable(school), new LinkedHashSet<>(taxa))
                .stream()
                .map(SeparationDto::of)
                .toList();
    }

    /**
     * A group in a list.
     *
     * @param shortName what a crew calls it, in at most 22 letters
     * @param readable how many characters can be read in each month, from January to December
     * @param characters how many there are
     */
    record GroupDto(
            String groupId,
            String title,
            String shortName,
            UUID versionId,
            int version,
            String region,
            String why,
            List<SheetDto.TaxonDto> taxa,
            List<Integer> readable,
            int characters) {
        private static final int MONTHS = 12;

        static GroupDto of(StoredSheet stored) {
            GroupSheet sheet = stored.sheet();
            return new GroupDto(
                    sheet.id(),
                    sheet.title(),
                    sheet.brief(),
                    stored.id(),
                    stored.version(),
                    sheet.region(),
                    sheet.why(),
                    sheet.taxa().stream().map(SheetDto.TaxonDto::of).toList(),
                    IntStream.rangeClosed(1, MONTHS)
                            .mapToObj(month -> (int) sheet.characters().stream()
                                    .filter(one -> one.trust().months().contains(month))
                                    .count())
                            .toList(),
                    sheet.characters().size());
        }
    }

    /** The bits that one fair reading of a character brings about the taxa, each equally likely before. */
    record SeparationDto(String character, double bits, boolean inSeason) {
        static SeparationDto of(SeparatingPower power) {
            return new SeparationDto(power.character().id(), power.bits(), power.inSeason());
        }
    }

    /**
     * How well a sheet's taxa can be told apart through the year.
     *
     * @param school whose weights count: field-marks or close-characters; without it the sheet's own
     * @param wounding whether checks that wound the tree are made
     */
    @GetMapping("/{versionId}/season")
    @ForObservers
    SeasonDto showSeason(
            @PathVariable UUID versionId,
            @RequestParam(defaultValue = "mature") @CodeOf(LifeStage.class) String stage,
            @RequestParam(required = false) @CodeOf(School.class) String school,
            @RequestParam(defaultValue = "false") boolean wounding) {
        return library.season(versionId, stage, Optional.ofNullable(school), wounding);
    }

    /** Taxa, characters and states by their names, also where they are typed nearly right; the best first. */
    @GetMapping("/names")
    @ForObservers
    List<LibrarySearch.Found> findNames(@RequestParam String find) {
        return find.isBlank() ? List.of() : search.find(find);
    }

    /** The versions of a group's sheet, the newest first. */
    @GetMapping("/versions")
    @ForObservers
    List<LibraryService.VersionDto> listVersions(@RequestParam String groupId) {
        return library.versionsOf(groupId);
    }

    /**
     * The groups that a tree may belong to by what anybody sees on it.
     *
     * @param look what was seen, as trait:answer, once a trait
     */
    @GetMapping("/which")
    @ForObservers
    WhichDto findGroup(@RequestParam(defaultValue = "") List<String> look) {
        return WhichDto.of(library.which(WhichDto.answers(look)));
    }

    /** What is different between two versions, in the order of the newer. */
    @GetMapping("/differences")
    @ForObservers
    List<ChangeDto> showSheetDifferences(@RequestParam UUID from, @RequestParam UUID to) {
        return library.differences(from, to).stream().map(ChangeDto::of).toList();
    }

    /** The JSON Schema of sheets as files. */
    @GetMapping(path = "/schema", produces = "application/schema+json")
    @ForObservers
    String showSheetSchema() {
        return GroupSheetJson.schema();
    }

    /** The profiles of a version as a table: a row a taxon, character, and state or limit. */
    @GetMapping(path = "/{versionId}/matrix.csv", produces = "text/csv;charset=UTF-8")
    @ForObservers
    ResponseEntity<String> exportMatrix(@PathVariable UUID versionId) throws IOException {
        StoredSheet sheet = library.find(versionId);
        StringBuilder table = new StringBuilder();
        CharacterMatrix.write(sheet.sheet(), table);
        return Attachment.named(nameOf(sheet, " matrix.csv"), Attachment.CSV).body(table.toString());
    }

    /** A version as a file with the pictures that it shows, to be kept, changed and loaded elsewhere. */
    @GetMapping("/{versionId}/file")
    @ForContractors
    ResponseEntity<String> exportSheet(@PathVariable UUID versionId) {
        StoredSheet sheet = library.find(versionId);
        return Attachment.named(nameOf(sheet, ".json"), MediaType.APPLICATION_JSON)
                .cacheControl(FOR_GOOD)
                .body(pictures.with(library.text(versionId), sheet.sheet()));
    }

    private static String nameOf(StoredSheet sheet, String ending) {
        return sheet.sheet().id() + " " + sheet.version() + ending;
    }

    /** One version of a group's sheet. */
    @GetMapping("/{versionId}")
    @ForContractors
    ResponseEntity<SheetDto> showSheet(@PathVariable UUID versionId) {
        return ResponseEntity.ok().cacheControl(FOR_GOOD).body(SheetDto.of(library.find(versionId)));
    }
}
