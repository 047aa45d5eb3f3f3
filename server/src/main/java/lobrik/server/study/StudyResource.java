package lobrik.server.study;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import lobrik.feature.FeatureKind;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.server.account.Account;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.ReadsTo;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.study.MeasuringStudy.Asked;
import lobrik.server.study.MeasuringStudy.Instrument;
import lobrik.server.study.MeasuringStudy.Plan;
import lobrik.study.MeasurementStudy;
import lobrik.study.StudyWords;
import lobrik.verdict.ReadingSpread;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Measuring the measurers: studies of how far readings can be trusted. */
@RestController
@Tag(name = "studies")
class StudyResource {

    private static final double LONGEST_IN = 480;
    private static final double WIDEST_DEG = 360;
    private static final double MOST_PER_CENT = 100;

    /** Something that can be read of a piece; inches, degrees or per cent. */
    record StudyFeature(String feature, String title, Unit unit, double tolerance) {}

    /** Somebody who reads, and how many pieces they have read, of all that they are to. */
    record StudyReader(UUID id, String fullName, int done) {}

    /**
     * A study.
     *
     * @param ofEach how many pieces everybody is to read, each repeat counted
     * @param mine how many of them the one who asks has read; null if they are none of its readers
     */
    record StudyView(
            UUID id,
            String title,
            Instrument instrument,
            int pieces,
            int repeats,
            List<StudyFeature> asked,
            List<StudyReader> readers,
            int ofEach,
            @Nullable Integer mine,
            Instant madeAt,
            @Nullable Instant closedAt) {}

    /** Somebody who could read for a study. */
    record ReaderName(UUID id, String fullName) {}

    /** What readings of one kind of feature are known to spread by, with one instrument. */
    record SpreadView(String feature, String title, Unit unit, Instrument instrument, double spread, double usual) {}

    /**
     * What readings of the school are taken to spread by.
     *
     * @param known better than what is usual
     * @param takenAt when somebody last changed that; null if nobody ever did
     */
    record KnownSpread(
            List<SpreadView> known,
            @Nullable Instant takenAt,
            @Nullable String takenBy) {}

    /** The studies of a school, and what they are made of. */
    record StudiesView(
            List<StudyView> studies, List<StudyFeature> offered, List<ReaderName> readers, KnownSpread spread) {}

    /** Something to read, and the tolerance that its spread is held against. */
    record AskedInput(@Nullable String feature, @Nullable Double tolerance) {}

    /** A study to begin. */
    record StudyToBegin(
            @Nullable String title,
            @Nullable Instrument instrument,
            @Nullable Integer pieces,
            @Nullable Integer repeats,
            @Nullable List<AskedInput> asked,
            @Nullable List<UUID> readers) {}

    /** The piece whose turn it is; null where somebody is through. */
    record StudyTurn(@Nullable Integer piece, @Nullable Integer round, int done, int ofEach) {}

    /** What was read of one feature. */
    record FigureRead(@Nullable String feature, @Nullable Double value) {}

    /** What was read of a piece. */
    record FiguresRead(
            @Nullable Integer piece,
            @Nullable Integer round,
            @Nullable List<FigureRead> figures) {}

    /** A line of the analysis of variance. */
    record VarianceLine(String of, double squares, int freedom, double meanSquare) {}

    /**
     * How somebody reads one feature.
     *
     * @param bias how much longer than all do on the whole, within {@code low} and {@code high}
     * @param spread of their own readings of one piece
     * @param words whether they read long, short or as all do
     * @param offPiece how far each reading lies from what all read of its piece: by piece, in the order of the pieces, round by round
     */
    record ReaderResult(
            UUID id,
            String fullName,
            double bias,
            double low,
            double high,
            double spread,
            boolean off,
            String words,
            List<List<Double>> offPiece) {}

    /**
     * What came out of one feature; inches, degrees or per cent.
     *
     * @param lines pieces, people, people on single pieces, again
     * @param pooled whether people on single pieces count as reading again
     * @param low of the interval that holds the repeatability
     * @param share of the tolerance that goes to reading, 1 for all of it
     * @param toldApart into how many sorts pieces such as these can be told apart
     */
    record FeatureResult(
            StudyFeature feature,
            List<VarianceLine> lines,
            double peopleByChance,
            double togetherByChance,
            boolean pooled,
            double repeatability,
            double low,
            double high,
            double reproducibility,
            double spread,
            double usual,
            double pieceSpread,
            double share,
            @Nullable Integer toldApart,
            String verdict,
            String cause,
            List<ReaderResult> readers) {}

    /**
     * What a study came to.
     *
     * @param pieces that everybody read as often as asked, and that nobody left out
     * @param incomplete pieces that are missing because somebody did not
     * @param features none where too little was measured
     */
    record StudyResult(
            List<Integer> pieces, List<Integer> incomplete, List<Integer> without, List<FeatureResult> features) {}

    /** Which study readings are weighed by from now on; as is usual if it is null. */
    record SpreadToTake(@Nullable UUID studyId, @Nullable List<Integer> without) {}

    private final Studies studies;
    private final StudiedSpread spread;
    private final Accounts accounts;

    StudyResource(Studies studies, StudiedSpread spread, Accounts accounts) {
        this.studies = studies;
        this.spread = spread;
        this.accounts = accounts;
    }

    @Operation(summary = "The studies of the school, and what readings are taken to spread by")
    @Needs(Right.READ)
    @GetMapping("/api/studies")
    StudiesView all(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<Studies.Standing> all = studies.all(who);
        Set<UUID> named = new HashSet<>();
        all.forEach(each -> named.addAll(each.study().plan().readers()));
        Map<UUID, String> names = accounts.namesOf(named);
        return new StudiesView(
                all.stream().map(each -> view(who, each, names)).toList(),
                Stream.of(FeatureKind.values())
                        .map(kind -> feature(kind, usualTolerance(kind).number()))
                        .toList(),
                accounts.whoMay(who.centreId(), Right.MEASURE).stream()
                        .map(Account::signedIn)
                        .map(account -> new ReaderName(account.accountId(), account.fullName()))
                        .toList(),
                known(who));
    }

    private static Quantity usualTolerance(FeatureKind kind) {
        return switch (kind.measured()) {
            case LENGTH -> TolerancePreset.SITE.tolerances().length();
            case ANGLE -> TolerancePreset.SITE.tolerances().angle();
            case PERCENTAGE -> Tolerances.USUAL_FLATTENING;
        };
    }

    private static StudyFeature feature(FeatureKind kind, double tolerance) {
        return new StudyFeature(kind.id(), kind.title(), Unit.of(kind.measured()), tolerance);
    }

    private static StudyView view(SignedIn who, Studies.Standing each, Map<UUID, String> names) {
        MeasuringStudy study = each.study();
        Plan plan = study.plan();
        return new StudyView(
                study.id(),
                plan.title(),
                plan.instrument(),
                plan.pieces(),
                plan.repeats(),
                plan.asked().stream()
                        .map(asked -> feature(asked.kind(), asked.limit().number()))
                        .toList(),
                plan.readers().stream()
                        .map(reader -> new StudyReader(reader, names.getOrDefault(reader, ""), each.doneBy(reader)))
                        .sorted(Comparator.comparing(StudyReader::fullName))
                        .toList(),
                study.turnsEach(),
                plan.readers().contains(who.accountId()) ? each.doneBy(who.accountId()) : null,
                study.madeAt(),
                study.closedAt());
    }

    private KnownSpread known(SignedIn who) {
        Optional<SpreadRow> newest = spread.newest(who.centreId());
        ReadsTo known = newest.map(SpreadRow::known).orElse(ReadsTo.USUAL);
        List<SpreadView> views = new ArrayList<>();
        known.byHand().forEach((feature, count) -> views.add(view(feature, count, Instrument.HAND)));
        known.byGauge().forEach((feature, count) -> views.add(view(feature, count, Instrument.GAUGE)));
        return new KnownSpread(
                views,
                newest.map(SpreadRow::takenAt).orElse(null),
                newest.map(row -> accounts.namesOf(List.of(row.takenBy())).get(row.takenBy()))
                        .orElse(null));
    }

    private static SpreadView view(String feature, long count, Instrument instrument) {
        FeatureKind kind = FeatureKind.withId(feature).orElseThrow();
        return new SpreadView(
                feature,
                kind.title(),
                Unit.of(kind.measured()),
                instrument,
                kind.measured().ofCount(count).number(),
                usual(kind));
    }

    private static double usual(FeatureKind kind) {
        return ReadingSpread.USUAL.of(kind.measured()).number();
    }

    @Operation(summary = "Begin a study, under an id made by the client")
    @Needs(Right.LEAD)
    @PutMapping("/api/studies/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void begin(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody StudyToBegin wanted) {
        studies.begin(
                who,
                id,
                new Plan(
                        TurnedDown.required("/title", wanted.title()).strip(),
                        TurnedDown.required("/instrument", wanted.instrument()),
                        TurnedDown.required("/pieces", wanted.pieces()),
                        TurnedDown.required("/repeats", wanted.repeats()),
                        TurnedDown.required("/asked", wanted.asked()).stream()
                                .map(StudyResource::asked)
                                .toList(),
                        Set.copyOf(TurnedDown.required("/readers", wanted.readers()))));
    }

    private static Asked asked(AskedInput input) {
        FeatureKind kind = kind("/asked", input.feature());
        double tolerance = TurnedDown.required("/asked", input.tolerance());
        if (!(tolerance > 0) || tolerance > most(kind.measured())) {
            throw TurnedDown.badInput("/asked", "out-of-range", "give a tolerance of more than 0 to " + kind.words());
        }
        return new Asked(kind.id(), kind.measured().of(tolerance).count());
    }

    private static FeatureKind kind(String pointer, @Nullable String id) {
        return FeatureKind.withId(TurnedDown.required(pointer, id))
                .orElseThrow(() -> TurnedDown.badInput(pointer, "unknown-value", "there is no such thing to read"));
    }

    private static double most(QuantityKind measured) {
        return switch (measured) {
            case LENGTH -> LONGEST_IN;
            case ANGLE -> WIDEST_DEG;
            case PERCENTAGE -> MOST_PER_CENT;
        };
    }

    @Operation(summary = "Take away a study that nobody has read anything for")
    @Needs(Right.LEAD)
    @DeleteMapping("/api/studies/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeAway(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        studies.takeAway(who, id);
    }

    @Operation(
            summary = "Whose turn it is: the piece that the one who asks reads next, and nothing that was read before")
    @Needs(Right.MEASURE)
    @GetMapping("/api/studies/{id}/turn")
    StudyTurn turn(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        MeasuringStudy study = studies.study(who, id);
        Set<StudyFigure.Turn> done = studies.doneBy(who, study);
        return studies.next(who, study, done)
                .map(turn -> new StudyTurn(turn.piece(), turn.round(), done.size(), study.turnsEach()))
                .orElseGet(() -> new StudyTurn(null, null, done.size(), study.turnsEach()));
    }

    @Operation(
            summary =
                    "Write down what was read of the piece whose turn it is; nobody sees it again before the study is closed")
    @Needs(Right.MEASURE)
    @PostMapping("/api/studies/{id}/figures")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void write(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody FiguresRead read) {
        Map<String, Quantity> figures = new HashMap<>();
        for (FigureRead figure : TurnedDown.required("/figures", read.figures())) {
            FeatureKind kind = kind("/figures", figure.feature());
            double value = TurnedDown.required("/figures", figure.value());
            if (!(Math.abs(value) <= most(kind.measured()))) {
                throw TurnedDown.badInput(
                        "/figures", "out-of-range", kind.words() + " is at most " + (int) most(kind.measured()));
            }
            figures.put(kind.id(), kind.measured().of(value));
        }
        studies.write(
                who,
                id,
                TurnedDown.required("/piece", read.piece()),
                TurnedDown.required("/round", read.round()),
                figures);
    }

    @Operation(summary = "Close a study, so that what came out is seen")
    @Needs(Right.LEAD)
    @PostMapping("/api/studies/{id}/close")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        studies.close(who, id);
    }

    @Operation(summary = "What a closed study came to, without the pieces that are left out")
    @Needs(Right.READ)
    @GetMapping("/api/studies/{id}/results")
    StudyResult results(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable List<Integer> without) {
        MeasuringStudy study = studies.study(who, id);
        if (!study.isClosed()) {
            throw TurnedDown.conflict("going-on", "Nobody sees what was read before the study is closed");
        }
        List<Integer> leftOut = Objects.requireNonNullElse(without, List.of());
        Plan plan = study.plan();
        Map<UUID, String> names = accounts.namesOf(plan.readers());
        List<UUID> readers = plan.readers().stream()
                .sorted(Comparator.comparing((UUID reader) -> names.getOrDefault(reader, ""))
                        .thenComparing(reader -> reader))
                .toList();
        StudyResults results = StudyResults.of(plan, readers, studies.figures(study), leftOut);
        List<Integer> incomplete = new ArrayList<>();
        for (int piece = 1; piece <= plan.pieces(); piece++) {
            if (!results.pieces().contains(piece) && !leftOut.contains(piece)) {
                incomplete.add(piece);
            }
        }
        LengthUnit unit = accounts.unitOf(who);
        return new StudyResult(
                results.pieces(),
                incomplete,
                leftOut,
                plan.asked().stream()
                        .flatMap(asked ->
                                results
                                        .of(asked)
                                        .map(analysis -> result(asked, analysis, results, names, unit))
                                        .stream())
                        .toList());
    }

    private static FeatureResult result(
            Asked asked, MeasurementStudy analysis, StudyResults results, Map<UUID, String> names, LengthUnit unit) {
        FeatureKind kind = asked.kind();
        StudyWords words = new StudyWords(kind.measured(), unit);
        double[] interval = analysis.repeatabilityInterval();
        double[][][] off = analysis.offPiece();
        List<ReaderResult> readers = new ArrayList<>();
        for (int i = 0; i < results.readers().size(); i++) {
            UUID reader = results.readers().get(i);
            MeasurementStudy.Reader reads = analysis.readers().get(i);
            readers.add(new ReaderResult(
                    reader,
                    names.getOrDefault(reader, ""),
                    reads.bias(),
                    reads.low(),
                    reads.high(),
                    reads.spread(),
                    reads.isOff(),
                    words.reads(reads),
                    Stream.of(off[i])
                            .map(rounds -> DoubleStream.of(rounds).boxed().toList())
                            .toList()));
        }
        return new FeatureResult(
                feature(kind, asked.limit().number()),
                List.of(
                        line("pieces", analysis.pieces()),
                        line("people", analysis.people()),
                        line("together", analysis.together()),
                        line("again", analysis.again())),
                analysis.peopleByChance(),
                analysis.togetherByChance(),
                analysis.isPooled(),
                analysis.repeatability(),
                interval[0],
                interval[1],
                analysis.reproducibility(),
                analysis.spread(),
                usual(kind),
                analysis.pieceSpread(),
                analysis.share(asked.limit().number()),
                analysis.spread() > 0 ? (int) analysis.toldApart() : null,
                words.verdict(analysis, asked.limit()),
                words.cause(analysis),
                readers);
    }

    private static VarianceLine line(String of, MeasurementStudy.Line line) {
        return new VarianceLine(of, line.squares(), line.freedom(), line.meanSquare());
    }

    @Operation(summary = "Weigh readings from now on by what a study found, or as is usual again")
    @Needs(Right.LEAD)
    @PutMapping("/api/reading-spread")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody SpreadToTake wanted) {
        UUID study = wanted.studyId();
        if (study == null) {
            spread.giveUp(who);
        } else {
            spread.take(who, study, Objects.requireNonNullElse(wanted.without(), List.of()));
        }
    }
}
