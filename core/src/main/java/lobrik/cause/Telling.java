package lobrik.cause;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.ShoePlacing;
import lobrik.shop.WarmPlacing;

/**
 * Says what was found in the trade's words. Every figure comes from the layout, the readings or the simulation.
 *
 * @param unit that lengths are said in
 */
public record Telling(Diagnosis diagnosis, LengthUnit unit) {

    /** More than this many standard deviations is no noise. */
    private static final double NOISE = 2.5;

    /** What happened, in a sentence: {@code The shrink of 3/4 in was not added: all rings are that much short.} */
    public String what(Cause cause) {
        return switch (cause.id()) {
            case NONE -> "Everything reads as planned, as nearly as a tape and a level can tell.";
            case BENDER ->
                "It is what this bender adds; besides that everything reads as planned, as nearly as a tape and a level can"
                        + " tell.";
            case UNCLEAR -> "Neither one cause nor two together explain these readings.";
            case TAKEUP_OMITTED ->
                "The " + takeUp() + " of " + say(layout().job().tooling().takenOff())
                        + " was not deducted: the ring stands at the full leg.";
            case TAKEUP_WRONG_SIZE ->
                "A " + takeUp() + " of " + amount(cause) + " was deducted; this bender's is "
                        + say(layout().job().tooling().takenOff()) + ".";
            case TAKEUP_TWICE ->
                "The " + takeUp() + " of " + say(layout().job().tooling().takenOff()) + " was deducted twice.";
            case SHRINK_OMITTED -> "The shrink of " + say(layout().shrink()) + " was not added.";
            case SHRINK_TWICE -> "The shrink of " + say(layout().shrink()) + " was added twice.";
            case SHRINK_SUBTRACTED -> "The shrink of " + say(layout().shrink()) + " was taken off instead of added.";
            case SHRINK_NEEDLESS ->
                "The shrink of " + say(layout().shrink())
                        + " was added; a distance to the near side of the bends needs none.";
            case WRONG_MULTIPLIER ->
                "The marks are spaced as for " + amount(cause) + ", not for "
                        + mark(1).angle().text() + ".";
            case MULTIPLIER_OMITTED -> "The marks are as far apart as the rise itself: nothing was multiplied.";
            case INSERTION_OMITTED -> "The " + amount(cause) + " that go into the fitting were left out.";
            case CLEARANCE_OMITTED -> "The marks are those of the bare obstacle, without the clearance.";
            case EDGE_FOR_CENTRE ->
                "The distance was measured " + amount(cause)
                        + " off: to the obstacle's edge for its middle, or the other way round.";
            case BURNED_INCH ->
                "All rings stand " + amount(cause) + (isNegative(cause) ? " short" : " too far")
                        + ": the tape was started at its 1 in line.";
            case MISREAD_FRACTION ->
                ringName(cause) + " stands " + amount(cause) + (isNegative(cause) ? " short" : " too far")
                        + "; a fraction was misread" + carriedOn(cause) + ".";
            case FIGURE_WRONG ->
                "The figure worked out for " + (single() ? "the mark" : "mark" + number(cause)) + " is " + amount(cause)
                        + (isNegative(cause) ? " too small" : " too large")
                        + ": ring and bend are where it says.";
            case MARK_MISPLACED ->
                ringName(cause) + " stands " + amount(cause) + (isNegative(cause) ? " short" : " too far")
                        + ", and the bend was made there" + carriedOn(cause) + ".";
            case WRONG_ANGLE_LINE -> wrongLine(cause);
            case ANGLE_OFF -> bendName(cause) + " is " + overOrUnder(cause) + " by " + amount(cause) + ".";
            case ANGLE_BIAS ->
                "All bends are " + overOrUnder(cause) + " by about " + amount(cause) + ": springback, or a habit.";
            case HOOK_REVERSED -> hookReversed(cause);
            case WRONG_REFERENCE ->
                madeWhere(cause) + " with " + cause.detail() + " instead of "
                        + (cause.bend().isEmpty() && mixed()
                                ? "its own mark"
                                : "the "
                                        + ShoeHypotheses.reference(
                                                        mark(cause.bend().orElse(1)))
                                                .words())
                        + ".";
            case SPRINGBACK_OMITTED ->
                pulled(cause) + " under load and opened by " + amount(cause) + " when the pressure was let off.";
            case TRAVEL_OF_ANOTHER_ROW ->
                (cause.bend().isPresent() ? bendName(cause) + " was" : "The bends were") + " pulled by the travel of "
                        + amount(cause) + " instead of "
                        + mark(bend(cause)).angle().text() + ".";
            case WRONG_SHOE ->
                "It was bent on a radius of " + amount(cause) + ", that of another size's shoe; this one's is "
                        + say(layout().job().tooling().tool().radius()) + ".";
            case HEATED_SHORT ->
                bendName(cause) + " was warmed " + amount(cause)
                        + " too short: the same angle on less conduit makes a tighter curve.";
            case TOO_HOT -> "It was warmed until it scorched: yellow or blistered plastic is scrap.";
            case LET_GO_WARM ->
                (cause.bend().isPresent() ? bendName(cause) : "Every bend") + " opened by " + amount(cause)
                        + ": it was let go before it was cold.";
            case MIDDLE_AS_ARROW ->
                madeWhere(cause)
                        + " as if its ring were the mark of a shoe, where the curve begins; it is the middle of the"
                        + " curve.";
            case MARK_SLIPPED ->
                bendName(cause) + " was made " + amount(cause) + " beside its ring, towards the "
                        + (isNegative(cause) ? "datum" : "far") + " end.";
            case DOG_LEG -> "The bends do not lie in one plane: a dog leg of " + amount(cause) + ".";
            case WRONG_TURN ->
                cause.detail().isEmpty()
                        ? "The offset was rolled " + amount(cause) + (isNegative(cause) ? " too little." : " too far.")
                        : "The offset was rolled to the other side of 45°: " + cause.detail() + ".";
            case WRONG_WAY ->
                bendName(cause) + " was turned " + amount(cause)
                        + " to the wrong side: hold the piece up as it will hang before each bend.";
            case GAIN_OMITTED ->
                "The gain of " + say(layout().job().tooling().gain()) + " was not taken off at " + cause.detail() + ".";
            case LEGS_EXCHANGED -> "The lengths of " + cause.detail() + " were taken for one another.";
            case PLAY_OMITTED -> "The play of " + amount(cause) + " was not taken off " + cause.detail() + ".";
            case READING_DOUBTFUL -> "The reading of " + doubtful(cause) + " does not fit the others: read it again.";
        };
    }

    /** What is deducted from a leg, as people of this tool call it. */
    private String takeUp() {
        return switch (layout().job().tooling().tool()) {
            case Shoe _ -> "take-up";
            case Machine _ -> "deduct";
            case Former _ -> "way from the middle to the back";
        };
    }

    private String pulled(Cause cause) {
        return cause.bend().isPresent()
                ? bendName(cause) + " was pulled to its angle"
                : "The bends were pulled to their angles";
    }

    private Layout layout() {
        return diagnosis.seen().layout();
    }

    private Mark mark(int number) {
        return layout().marks().get(number - 1);
    }

    private boolean mixed() {
        return layout().marks().stream()
                        .map(ShoeHypotheses::reference)
                        .distinct()
                        .count()
                > 1;
    }

    private String say(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inWords(unit);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    private String amount(Cause cause) {
        return cause.amount()
                .map(amount -> amount.withCount(Math.abs(amount.count())))
                .map(this::say)
                .orElse("");
    }

    private static boolean isNegative(Cause cause) {
        return cause.amount().map(amount -> amount.count() < 0).orElse(false);
    }

    private static int bend(Cause cause) {
        return cause.bend().orElse(1);
    }

    /** Of a piece with one bend, the bend needs no number. */
    private boolean single() {
        return layout().marks().size() == 1;
    }

    private String bendName(Cause cause) {
        return single() ? "The bend" : "Bend " + bend(cause);
    }

    private String ringName(Cause cause) {
        return single() ? "The ring" : "Ring " + bend(cause);
    }

    private String number(Cause cause) {
        return single() ? "" : " " + bend(cause);
    }

    /** Where the later rings are off as the ring is: they were measured from it. */
    private String carriedOn(Cause cause) {
        double by = cause.amount().map(Quantity::number).orElse(0.0);
        List<Mark> later = layout().marks().stream()
                .filter(mark -> mark.number() > bend(cause))
                .filter(mark -> diagnosis.seen().readings().containsKey(FeatureId.mark(mark.number())))
                .toList();
        boolean followed = later.stream().allMatch(mark -> {
            FeatureId feature = FeatureId.mark(mark.number());
            double off = reading(feature).minus(planned(feature)).number();
            return Math.abs(off - by) < Math.abs(off);
        });
        if (later.isEmpty() || !followed) {
            return "";
        }
        return later.size() == 1
                ? ", and ring " + later.getFirst().number() + " was measured from it"
                : ", and the later rings were measured from it";
    }

    private static String overOrUnder(Cause cause) {
        return isNegative(cause) ? "under-bent" : "over-bent";
    }

    private String madeWhere(Cause cause) {
        return cause.bend().isPresent() ? bendName(cause) + " was made" : "All bends were made";
    }

    private String wrongLine(Cause cause) {
        return cause.bend().isPresent()
                ? bendName(cause) + " was taken to the " + amount(cause) + " line instead of "
                        + mark(bend(cause)).angle().text() + "."
                : "The bends were taken to the " + amount(cause) + " line instead of "
                        + mark(1).angle().text() + ".";
    }

    private String hookReversed(Cause cause) {
        if (cause.bend().isEmpty()) {
            return "All bends were made with the hook to the wrong side.";
        }
        String to = switch (mark(bend(cause)).placing()) {
            case ShoePlacing shoe ->
                switch (shoe.hookTowards()) {
                    case DATUM -> "far";
                    case FAR -> "datum";
                };
            case WarmPlacing _ -> "other";
        };
        return bendName(cause) + " was made with the hook towards the " + to + " end, the wrong side.";
    }

    private static String doubtful(Cause cause) {
        return FeatureId.withId(cause.detail()).map(FeatureId::words).orElse(cause.detail());
    }

    /** What comes before anything else is done to the piece: a reading that no piece with the others can have. */
    public Optional<String> readAgain() {
        return diagnosis.causes().stream()
                .filter(cause -> cause.id() == CauseId.READING_DOUBTFUL && cause.probability() >= Diagnosis.CLEAR)
                .findFirst()
                .map(cause -> "First read " + doubtful(cause) + " again: all that follows rests on it.");
    }

    /**
     * What speaks for an explanation: the reading that it explains best, with what was planned and what the simulation of
     * the explanation gives, and how many readings fit.
     */
    public String evidence(Explanation explanation) {
        if (explanation.predicted().isEmpty()) {
            return "No hypothesis comes near: measure again, and look for two things at once.";
        }
        long fit = explanation.predicted().entrySet().stream()
                .filter(each -> Math.abs(off(each.getKey(), each.getValue())) <= NOISE)
                .count();
        String fits = fit + " of " + explanation.predicted().size() + " readings fit";
        Optional<FeatureId> best = explained(explanation);
        if (best.isEmpty()) {
            return fits + " what was planned"
                    + (diagnosis.seen().bender().isThere() ? ", with what the bender adds." : ".");
        }
        FeatureId feature = best.get();
        return upper(feature.words()) + " reads " + say(reading(feature)) + " where " + say(planned(feature))
                + " was to be expected; the simulation of this gives "
                + say(feature.measured().of(explanation.predicted().getOrDefault(feature, 0.0))) + ", and " + fits
                + " it.";
    }

    /** The evidence of a cause: that of the likeliest explanation that it is a part of. */
    public String evidence(Cause cause) {
        return diagnosis.explanations().stream()
                .filter(each -> each.causes().stream().anyMatch(part -> part.isSameAs(cause)))
                .findFirst()
                .map(this::evidence)
                .orElse("");
    }

    /**
     * The reading that lies furthest from the plan and close to what is explained, of the finished piece rather than of its
     * rings; none if all lie near the plan.
     */
    private Optional<FeatureId> explained(Explanation explanation) {
        return explanation.predicted().keySet().stream()
                // What the exercise leaves open has no plan to be off from.
                .filter(feature ->
                        layout().features().stream().anyMatch(each -> each.id().equals(feature)))
                .filter(feature -> Math.abs(off(feature, planned(feature).number())) > NOISE)
                .max(Comparator.comparingInt((FeatureId feature) -> isTelling(explanation, feature) ? 1 : 0)
                        .thenComparingDouble(feature -> gain(explanation, feature)));
    }

    private boolean isTelling(Explanation explanation, FeatureId feature) {
        return feature.isOfFinishedPiece() && gain(explanation, feature) > 0;
    }

    private double gain(Explanation explanation, FeatureId feature) {
        return Math.abs(off(feature, planned(feature).number()))
                - Math.abs(off(feature, explanation.predicted().getOrDefault(feature, 0.0)));
    }

    /** Reading less a value, in standard deviations. */
    private double off(FeatureId feature, double value) {
        return (reading(feature).number() - value) / diagnosis.seen().sigmaWithBender(feature);
    }

    private Quantity reading(FeatureId feature) {
        Map<FeatureId, Quantity> readings = diagnosis.seen().readings();
        Quantity reading = readings.get(feature);
        return reading == null ? planned(feature) : reading;
    }

    /** With what the bender is known to add. */
    private Quantity planned(FeatureId feature) {
        return layout().features().stream()
                .filter(each -> each.id().equals(feature))
                .findFirst()
                .map(plan -> diagnosis.seen().bender().onto(plan.predicted(), feature))
                .orElseGet(() -> feature.measured().of(0));
    }

    /** A machine's take-up is its deduct; without a shoe it is the way from the middle to the back. */
    private String takenOffTitle(Cause cause) {
        String generic = cause.id().title();
        return switch (layout().job().tooling().tool()) {
            case Shoe _ -> generic;
            case Machine _ -> generic.replace("Take-up", "Deduct").replace("Deduct deducted", "Deduct taken off");
            case Former _ -> generic.replace("Take-up", "Way to the back").replace("deducted", "taken off");
        };
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** What another reading would decide: {@code Measure angle 2: 33.5° if …, 30° if …}; nothing if none would. */
    public Optional<String> further() {
        return diagnosis.further().map(further -> {
            List<FurtherReading.Expected> expected = further.expected();
            StringBuilder said =
                    new StringBuilder("Measure " + further.feature().words() + ":");
            for (int i = 0; i < expected.size(); i++) {
                said.append(i == 0 ? " " : ", ")
                        .append(say(expected.get(i).value()))
                        .append(" speaks for “")
                        .append(title(expected.get(i).cause()))
                        .append("”");
            }
            return said.append(".").toString();
        });
    }

    /** A cause as a heading, with its bend: {@code Bend 2 over-bent}. */
    public String title(Cause cause) {
        return switch (cause.id()) {
            case ANGLE_OFF -> bendName(cause) + " " + overOrUnder(cause);
            case ANGLE_BIAS -> "All bends " + overOrUnder(cause);
            case TAKEUP_OMITTED, TAKEUP_TWICE, TAKEUP_WRONG_SIZE -> takenOffTitle(cause);
            case MISREAD_FRACTION -> "Mark" + number(cause) + " misread";
            case FIGURE_WRONG -> "Mark" + number(cause) + " worked out wrong";
            case MARK_MISPLACED -> "Ring" + number(cause) + " in the wrong place";
            case MARK_SLIPPED -> bendName(cause) + " beside its ring";
            case HOOK_REVERSED,
                    WRONG_REFERENCE,
                    WRONG_ANGLE_LINE,
                    SPRINGBACK_OMITTED,
                    TRAVEL_OF_ANOTHER_ROW,
                    HEATED_SHORT,
                    LET_GO_WARM,
                    MIDDLE_AS_ARROW,
                    WRONG_WAY ->
                cause.id().title() + (cause.bend().isPresent() && !single() ? ", bend " + bend(cause) : "");
            case NONE,
                    BENDER,
                    SHRINK_OMITTED,
                    SHRINK_TWICE,
                    SHRINK_SUBTRACTED,
                    SHRINK_NEEDLESS,
                    WRONG_MULTIPLIER,
                    MULTIPLIER_OMITTED,
                    INSERTION_OMITTED,
                    CLEARANCE_OMITTED,
                    EDGE_FOR_CENTRE,
                    GAIN_OMITTED,
                    LEGS_EXCHANGED,
                    PLAY_OMITTED,
                    BURNED_INCH,
                    WRONG_SHOE,
                    TOO_HOT,
                    DOG_LEG,
                    WRONG_TURN,
                    READING_DOUBTFUL,
                    UNCLEAR -> cause.id().title();
        };
    }
}
