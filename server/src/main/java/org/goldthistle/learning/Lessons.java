package org.goldthistle.learning;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.learning.Lesson;
import org.goldthistle.core.learning.Proposal;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenWriter;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Learns from the trees of a survey whose taxon is known, and from the files of specimens. */
@Service
public class Lessons {
    private static final int MOST_KEPT = 16;
    private static final int LONGEST_QUEUE = 30; // seconds

    private final KnownTrees known;
    private final VerifiedFiles files;
    private final LibraryService library;
    private final AccountService accounts;
    private final JdbcClient jdbc;
    private final Semaphore teaching = new Semaphore(1, true);
    private final Map<Learnt, Lesson> kept = Collections.synchronizedMap(new LinkedHashMap<>(MOST_KEPT, 1, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Learnt, Lesson> eldest) {
            return size() > MOST_KEPT;
        }
    });

    Lessons(KnownTrees known, VerifiedFiles files, LibraryService library, AccountService accounts, JdbcClient jdbc) {
        this.known = known;
        this.files = files;
        this.library = library;
        this.accounts = accounts;
        this.jdbc = jdbc;
    }

    /** What a lesson was made from. */
    private record Learnt(UUID versionId, List<String> trees, Set<String> decisive) {}

    /**
     * How far the shares of belief came true, group by group.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     */
    LessonsDto of(UUID surveyId, SignedInObserver observer) {
        Map<String, List<KnownTree>> byGroup = known.of(surveyId, observer.id());
        List<LessonsDto.GroupLesson> groups = library.newest().stream()
                .filter(sheet ->
                        !byGroup.getOrDefault(sheet.sheet().id(), List.of()).isEmpty())
                .map(sheet -> LessonsDto.GroupLesson.of(
                        sheet, byGroup.get(sheet.sheet().id())))
                .toList();
        return new LessonsDto(groups, fileDtos(observer, byGroup), ModelConstants.FEWEST_VERIFIED);
    }

    private List<LessonsDto.FileDto> fileDtos(SignedInObserver observer, Map<String, List<KnownTree>> byGroup) {
        List<VerifiedFile> all = files.all();
        var callSigns = accounts.callSigns(
                all.stream().map(VerifiedFile::addedBy).distinct().toList());
        return all.stream()
                .map(file -> new LessonsDto.FileDto(
                        file.id(),
                        file.groupId(),
                        file.name(),
                        file.trees(),
                        byGroup.getOrDefault(file.groupId(), List.of()).stream()
                                .anyMatch(tree ->
                                        tree.print().startsWith(file.id().toString())),
                        callSigns.get(file.addedBy()),
                        file.addedAt(),
                        file.addedBy().equals(observer.id()) || observer.role() == Role.LEAD))
                .toList();
    }

    /**
     * What the verified trees of a group would change in its newest sheet.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey, or there is no such group
     */
    ProposalsDto proposals(UUID surveyId, String groupId, SignedInObserver observer) {
        return ProposalsDto.of(library.newest(groupId), lesson(surveyId, groupId, observer));
    }

    /** The verified trees of a group that its newest sheet can read, as the text of a file of specimens. */
    String specimens(UUID surveyId, String groupId, SignedInObserver observer) {
        StoredSheet sheet = library.newest(groupId);
        List<KnownTree> trees = known.of(surveyId, observer.id()).getOrDefault(groupId, List.of());
        return SpecimenWriter.text(trees.stream()
                .flatMap(tree -> tree.verified().stream().map(verified -> specimen(sheet, tree.label(), verified)))
                .toList());
    }

    private static Specimen specimen(StoredSheet sheet, String label, VerifiedTree tree) {
        return new Specimen(
                label,
                tree.evidence().context(),
                List.copyOf(tree.evidence().readings()),
                List.of(),
                Optional.of(sheet.sheet().taxa().get(tree.truth()).id()),
                Optional.empty());
    }

    /**
     * One of these changes.
     *
     * @param kind weight or profiles
     * @return empty: it is not proposed any more
     */
    public Optional<Proposal> proposal(
            UUID surveyId, String groupId, String character, String kind, SignedInObserver observer) {
        return lesson(surveyId, groupId, observer).proposals().stream()
                .filter(one ->
                        one.now().id().equals(character) && one.kind().code().equals(kind))
                .findFirst();
    }

    /** Learns without a connection, one lesson at a time: it may take seconds. */
    private Lesson lesson(UUID surveyId, String groupId, SignedInObserver observer) {
        StoredSheet sheet = library.newest(groupId);
        List<KnownTree> trees = known.of(surveyId, observer.id()).getOrDefault(groupId, List.of());
        Set<String> decisive = decisive(surveyId, sheet);
        Learnt from = new Learnt(sheet.id(), prints(trees), decisive);
        Lesson there = kept.get(from);
        if (there != null) {
            return there;
        }
        begin();
        try {
            Lesson meanwhile = kept.get(from); // whoever was before may have asked the same
            Lesson lesson = meanwhile == null ? learnt(sheet, trees, decisive) : meanwhile;
            kept.put(from, lesson);
            return lesson;
        } finally {
            teaching.release();
        }
    }

    private void begin() {
        try {
            if (!teaching.tryAcquire(LONGEST_QUEUE, TimeUnit.SECONDS)) {
                throw Problem.busy();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw Problem.busy();
        }
    }

    private static Lesson learnt(StoredSheet sheet, List<KnownTree> trees, Set<String> decisive) {
        List<VerifiedTree> verified =
                trees.stream().flatMap(tree -> tree.verified().stream()).toList();
        return Lesson.of(sheet.sheet(), verified, decisive);
    }

    private static List<String> prints(List<KnownTree> trees) {
        List<String> prints = new ArrayList<>();
        trees.forEach(tree -> prints.add(tree.print()));
        return prints;
    }

    /** Characters that confirmed what stands by a settled case of the survey. */
    private Set<String> decisive(UUID surveyId, StoredSheet sheet) {
        List<String> confirmed = jdbc.sql("select distinct unnest(d.confirming) from determination d"
                        + " join review_case c on c.id = d.settles and c.survey_id = :survey"
                        + " join sheet_version v on v.id = d.sheet_version_id and v.group_id = :group"
                        + " where d.taxon_id is not null")
                .param("survey", surveyId)
                .param("group", sheet.sheet().id())
                .query(String.class)
                .list();
        Set<String> decisive = new LinkedHashSet<>();
        sheet.sheet().characters().stream()
                .map(one -> one.id())
                .filter(confirmed::contains)
                .forEach(decisive::add);
        return decisive;
    }
}
