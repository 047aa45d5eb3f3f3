package lobrik.server.exercise;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The library of exercises. */
@RestController
@Tag(name = "library")
class LibraryResource {

    /**
     * An exercise on the shelf.
     *
     * @param mayChange whoever made it, and the lead
     */
    record EntryView(
            UUID id,
            UUID exerciseId,
            int version,
            String title,
            String kind,
            Level level,
            List<String> tags,
            String conduitLabel,
            String benderLabel,
            boolean retired,
            long given,
            Instant changedAt,
            String madeBy,
            boolean mayChange) {}

    /** Some exercises, and whether there are more. */
    record ShelfView(List<EntryView> entries, boolean more) {}

    /** One of its versions. */
    record VersionView(UUID exerciseId, int version, Instant createdAt, String savedBy, ExerciseInput exercise) {}

    /** That an exercise was put away or taken back; by nobody that is known if it was long ago. */
    record RetirementView(boolean away, @Nullable String by, Instant at) {}

    /** Versions and retirements are the newest first. */
    record EntryDetail(EntryView entry, List<VersionView> versions, List<RetirementView> retirements) {}

    /**
     * An exercise to save.
     *
     * @param basedOn version that was edited; null for a new exercise
     */
    record SaveExercise(
            @Nullable ExerciseInput exercise, @Nullable Integer basedOn) {}

    record RetirementToKeep(boolean retired) {}

    /** What an import added. */
    record Imported(int exercises, List<String> titles) {}

    private final Library library;
    private final Shelf shelf;
    private final Accounts accounts;
    private final ExerciseFile files;
    private final Calculations calculations;

    LibraryResource(Library library, Shelf shelf, Accounts accounts, ExerciseFile files, Calculations calculations) {
        this.library = library;
        this.shelf = shelf;
        this.accounts = accounts;
        this.files = files;
        this.calculations = calculations;
    }

    @Operation(
            summary = "Exercises of the library by title, a page at a time",
            description =
                    "`find` takes words that stand in the title, a tag, or the name of bend, conduit or bender; with"
                            + " `retired` also what was put away. The next page begins `after` the last entry of the one before.")
    @Needs(Right.READ)
    @GetMapping("/api/library")
    ShelfView shelf(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable String find,
            @RequestParam(required = false) @Nullable String kind,
            @RequestParam(required = false) @Nullable String level,
            @RequestParam(defaultValue = "false") boolean retired,
            @RequestParam(required = false) @Nullable UUID after) {
        Shelf.Page page = shelf.page(who, new Shelf.Wanted(find, kind, level, retired), after);
        Map<UUID, String> names = names(page.shelved());
        return new ShelfView(
                page.shelved().stream()
                        .map(shelved -> view(shelved, who, names))
                        .toList(),
                page.more());
    }

    @Operation(summary = "An exercise with its versions, the newest first")
    @Needs(Right.READ)
    @GetMapping("/api/library/{id}")
    EntryDetail entry(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        List<Exercise> versions = library.versions(who, id);
        List<Retirement> retirements = library.retirements(who, id);
        Map<UUID, String> names = accounts.namesOf(Stream.concat(
                        versions.stream().map(Exercise::createdBy),
                        retirements.stream().map(Retirement::by).filter(Objects::nonNull))
                .distinct()
                .toList());
        return new EntryDetail(
                view(shelf.shelved(who, id), who),
                versions.stream()
                        .map(each -> new VersionView(
                                each.id(),
                                each.version(),
                                each.createdAt(),
                                names.getOrDefault(each.createdBy(), ""),
                                completed(each.content())))
                        .toList(),
                retirements.stream()
                        .map(each -> new RetirementView(each.isAway(), nameOf(each.by(), names), each.at()))
                        .toList());
    }

    @Operation(
            summary = "Save an exercise; every change is a new version",
            description = "What somebody else made is changed by them and the lead alone.")
    @Needs(Right.TEACH)
    @PutMapping("/api/library/{id}")
    EntryView save(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody SaveExercise request) {
        Content content = Content.of(request.exercise() == null ? EMPTY : request.exercise());
        library.save(who, id, content, request.basedOn());
        return view(shelf.shelved(who, id), who);
    }

    private static final ExerciseInput EMPTY =
            new ExerciseInput(null, null, null, null, null, null, null, null, null, null, null);

    @Operation(summary = "Put an exercise away, or back on the shelf")
    @Needs(Right.TEACH)
    @PutMapping("/api/library/{id}/retirement")
    EntryView retire(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody RetirementToKeep request) {
        library.retire(who, id, request.retired());
        return view(shelf.shelved(who, id), who);
    }

    @Operation(
            summary = "Exercises as a file: those named, or all that are found",
            description = "What is looked for is said as for the library itself.")
    @Needs(Right.READ)
    @GetMapping("/api/library/file")
    ResponseEntity<ExerciseFile.Document> export(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable Set<UUID> ids,
            @RequestParam(required = false) @Nullable String find,
            @RequestParam(required = false) @Nullable String kind,
            @RequestParam(required = false) @Nullable String level,
            @RequestParam(defaultValue = "false") boolean retired) {
        List<Exercise> chosen =
                ids == null ? shelf.newest(who, new Shelf.Wanted(find, kind, level, retired)) : shelf.newest(who, ids);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"lobrik-exercises.json\"")
                .body(ExerciseFile.document(chosen));
    }

    @Operation(summary = "Add the exercises of a file, all of them or none; the body is the file")
    @Needs(Right.TEACH)
    @PostMapping("/api/library/file")
    Imported read(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody @io.swagger.v3.oas.annotations.media.Schema(type = "string") byte[] file) {
        List<Content> contents = files.read(file);
        int added = library.saveAll(who, contents);
        return new Imported(added, contents.stream().map(Content::title).toList());
    }

    /** What was saved without a size that has a usual one is opened with it. */
    private ExerciseInput completed(Content content) {
        return content.laidOutAs(calculations.completed(content.definition())).toInput();
    }

    private Map<UUID, String> names(List<Shelf.Shelved> shelf) {
        return accounts.namesOf(shelf.stream()
                .map(shelved -> shelved.entry().createdBy())
                .distinct()
                .toList());
    }

    private static @Nullable String nameOf(@Nullable UUID account, Map<UUID, String> names) {
        return account == null ? null : names.get(account);
    }

    private EntryView view(Shelf.Shelved shelved, SignedIn who) {
        return view(shelved, who, names(List.of(shelved)));
    }

    private static EntryView view(Shelf.Shelved shelved, SignedIn who, Map<UUID, String> names) {
        Exercise latest = shelved.latest();
        Content content = latest.content();
        return new EntryView(
                shelved.entry().id(),
                latest.id(),
                latest.version(),
                content.title(),
                latest.kind(),
                content.level(),
                content.tags(),
                content.conduitLabel(),
                content.benderLabel(),
                shelved.entry().isRetired(),
                shelved.given(),
                latest.createdAt(),
                names.getOrDefault(shelved.entry().createdBy(), ""),
                who.mayChangeWhatWasMadeBy(shelved.entry().createdBy()));
    }
}
