package lobrik.remedy;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Input;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.cause.CauseId;
import lobrik.fault.Refused;
import lobrik.layout.Job;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.ShoeFigures;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;

/**
 * What to do differently next time, and a piece to try it on.
 *
 * @param sentence to the trainee
 * @param exercise laid out for the same bender; its figures are not those of the piece at hand
 */
public record NextTime(String sentence, Layout exercise) {

    private static final Angle STEEPEST_PRACTICE = Angle.ofDegrees(45);
    private static final Angle USUAL_PRACTICE = Angle.ofDegrees(30);
    private static final List<Double> STEPS = List.of(1.0, 2.0, -1.0, 3.0);

    /** What follows from a cause; empty where nothing is to be learnt from it. */
    public static Optional<NextTime> of(CauseId cause, Layout layout) {
        String sentence = sentence(cause, layout.job());
        return sentence.isEmpty()
                ? Optional.empty()
                : exercise(cause, layout).map(exercise -> new NextTime(sentence, exercise));
    }

    private static String sentence(CauseId cause, Job job) {
        Tool tool = job.tooling().tool();
        return switch (cause) {
            case NONE, BENDER, UNCLEAR, READING_DOUBTFUL -> "";
            case TAKEUP_OMITTED ->
                switch (tool) {
                    case Shoe _ -> "Say it before you ring: leg less take-up is the mark.";
                    case Machine _ -> "Say it before you ring: leg less deduct is the mark.";
                    case Former _ -> "Say it before you ring: the middle of the curve lies before the back of the leg.";
                };
            case TAKEUP_WRONG_SIZE ->
                switch (tool) {
                    case Shoe _ -> "Read the take-up off the shoe in your hand, not from memory.";
                    case Machine _, Former _ ->
                        "Read the size off the shoe, then its deduct off the same line of the table.";
                };
            case TAKEUP_TWICE -> "Write the mark down once it is worked out, so that nothing is deducted twice.";
            case SHRINK_OMITTED -> addTheShrink(job.bend());
            case SHRINK_TWICE -> "Tick the shrink off on the sheet once it is added.";
            case SHRINK_SUBTRACTED -> "The conduit gets shorter when it is bent, so the mark goes further out: add.";
            case SHRINK_NEEDLESS -> "From an edge the near mark stands where it is measured: no shrink.";
            case WRONG_MULTIPLIER -> "Put a finger on the angle's line of the card before you take its multiplier.";
            case MULTIPLIER_OMITTED -> "The marks are never as close as the rise: rise times multiplier.";
            case INSERTION_OMITTED -> "Add what goes into the fitting before anything else.";
            case CLEARANCE_OMITTED -> "Height and clearance first, as one figure; then work with that one.";
            case EDGE_FOR_CENTRE -> "Point at what the distance runs to, edge or middle, before you hook the tape.";
            case FIGURE_WRONG -> "Work every figure out a second time before the pencil touches the conduit.";
            case MARK_MISPLACED -> "Read every ring back from the end and compare it with the sheet before you bend.";
            case BURNED_INCH -> "If you start at the 1 in line, take it off again; better, hook the tape.";
            case MISREAD_FRACTION -> "Read each ring once more with the tape laid anew.";
            case WRONG_ANGLE_LINE -> "Name the line before you pull, and stop to look when you are close.";
            case ANGLE_OFF -> "Check each bend with the level before you go on to the next.";
            case SPRINGBACK_OMITTED -> "Say both angles before you pull: so much under load, so much at rest.";
            case TRAVEL_OF_ANOTHER_ROW -> "Put a finger on the row of the angle and read the travel out loud.";
            case WRONG_SHOE -> "Read the size off shoe and follower before the conduit goes in.";
            case HEATED_SHORT ->
                "Pencil both ends of the heated length on the conduit and warm all of it, to the ends.";
            case TOO_HOT ->
                "Keep it moving and turning at the same distance; when it sags by itself it is warm enough.";
            case LET_GO_WARM -> "Hold it on the angle until it is cold to the back of the hand; time it.";
            case MIDDLE_AS_ARROW -> "The ring is the middle: half the heated length lies on either side of it.";
            case ANGLE_BIAS -> "Bend one test angle, see how far it springs back, and allow for just that.";
            case HOOK_REVERSED -> "Before each bend say where the hook looks: the sheet tells you for every ring.";
            case WRONG_REFERENCE -> "Put a finger on the arrow, star or notch that the sheet names, then pull.";
            case MARK_SLIPPED ->
                switch (tool) {
                    case Shoe _ ->
                        "Hold the conduit hard in the hook and look at the ring once more when the foot is on.";
                    case Machine _ ->
                        "Pump until the shoe bites, and look at the ring once more before the ram goes on.";
                    case Former _ -> "Lay the ring on the middle of the former before you bend, and hold it there.";
                };
            case DOG_LEG -> "Sight along the conduit before the second bend: the first must stand straight up.";
            case WRONG_TURN -> "Mark the turn on the end of the conduit before you roll it.";
            case GAIN_OMITTED -> "Each corner is shorter than its two legs: after every back, take one gain off.";
            case LEGS_EXCHANGED -> "Write the leg's number beside its length, in the order in which the conduit goes.";
            case PLAY_OMITTED -> "Take the play off the leg first, and work with that one figure.";
            case WRONG_WAY ->
                "Hold the piece up as it will hang, point to where the next leg goes, and only then put it in the shoe.";
        };
    }

    /** Why the shrink goes on top of what this bend's distance is measured to. */
    private static String addTheShrink(Bend bend) {
        return switch (bend) {
            case Offset _, RollingOffset _ ->
                "Measured to where it has to be up already: add the shrink to the distance before you ring it.";
            case Kick _ -> "Measured to the far end: add the shrink to the distance before you ring it.";
            case Saddle3 _ ->
                "The middle comes towards you as the first side is bent: add the shrink to the centre mark.";
            case Saddle4 saddle ->
                "Measured to the " + (saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE ? "near edge" : "middle")
                        + ": every ring goes further out, so add the shrink of one side first.";
            case Stub90 _, BackToBack90 _, BoxOffset _, OverBent90 _, Run _ ->
                "Each bend that rises takes length: add the shrink first.";
        };
    }

    private static Optional<Layout> exercise(CauseId cause, Layout layout) {
        Optional<Bend> simpler = switch (cause) {
            case ANGLE_OFF, ANGLE_BIAS, WRONG_ANGLE_LINE, SPRINGBACK_OMITTED, TRAVEL_OF_ANOTHER_ROW, LET_GO_WARM ->
                Optional.of(oneBend(layout));
            case HOOK_REVERSED, WRONG_REFERENCE, MARK_SLIPPED, DOG_LEG, WRONG_WAY -> Optional.of(twoBends(layout));
            case NONE,
                    BENDER,
                    TAKEUP_OMITTED,
                    TAKEUP_WRONG_SIZE,
                    TAKEUP_TWICE,
                    SHRINK_OMITTED,
                    SHRINK_TWICE,
                    SHRINK_SUBTRACTED,
                    SHRINK_NEEDLESS,
                    WRONG_MULTIPLIER,
                    MULTIPLIER_OMITTED,
                    INSERTION_OMITTED,
                    CLEARANCE_OMITTED,
                    EDGE_FOR_CENTRE,
                    FIGURE_WRONG,
                    BURNED_INCH,
                    MISREAD_FRACTION,
                    MARK_MISPLACED,
                    WRONG_SHOE,
                    HEATED_SHORT,
                    TOO_HOT,
                    MIDDLE_AS_ARROW,
                    WRONG_TURN,
                    GAIN_OMITTED,
                    LEGS_EXCHANGED,
                    PLAY_OMITTED,
                    READING_DOUBTFUL,
                    UNCLEAR -> Optional.empty();
        };
        return simpler.flatMap(bend -> laidOut(layout.job().with(bend))).or(() -> varied(layout));
    }

    /** One angle by itself: a stub for ninety degrees, else a kick. */
    private static Bend oneBend(Layout layout) {
        Angle angle = layout.marks().getFirst().angle();
        Length reach = reach(layout.job().tooling());
        return angle.equals(Angle.RIGHT)
                ? new Stub90(whole(reach.times(2)), Optional.of(whole(reach.times(3))), Placement.ARROW)
                : new Kick(Length.ofInches(8), angle, whole(reach.times(4)), OffsetLayout.FROM_EDGE);
    }

    /** How far a bend with this tool reaches, about. */
    private static Length reach(Tooling tooling) {
        return tooling.shoe().map(ShoeFigures::takeUp).orElse(tooling.backOfBend());
    }

    /** Two bends and nothing else: a U for ninety degrees, else an offset. */
    private static Bend twoBends(Layout layout) {
        Angle angle = layout.marks().getFirst().angle();
        Length reach = reach(layout.job().tooling());
        if (angle.equals(Angle.RIGHT)) {
            return new BackToBack90(whole(reach.times(2)), whole(reach.times(5)), whole(reach.times(2)));
        }
        Angle gentle = angle.isMoreThan(STEEPEST_PRACTICE) ? USUAL_PRACTICE : angle;
        return new Offset(
                Length.ofInches(6),
                Length.ZERO,
                gentle,
                whole(reach.times(5)),
                OffsetLayout.BEFORE_OBSTACLE,
                Optional.of(whole(reach.times(9))));
    }

    private static Length whole(Length length) {
        return Length.ofInches(Math.rint(length.inches()));
    }

    /** The same bend in other sizes: the first change of its sizes by whole inches that gives nothing new to warn of. */
    private static Optional<Layout> varied(Layout layout) {
        Bend bend = layout.job().bend();
        for (double step : STEPS) {
            try {
                Bend other = bend;
                for (Input input : Input.of(bend)) {
                    other = changed(other, input.path(), step);
                }
                Optional<Layout> laid = laidOut(layout.job().with(other));
                if (laid.isPresent()) {
                    return laid;
                }
            } catch (Refused outOfRange) {
                // The next one.
            }
        }
        return Optional.empty();
    }

    private static Bend changed(Bend bend, String path, double step) {
        return Input.of(bend).stream()
                .filter(input -> input.path().equals(path))
                .findFirst()
                .map(input -> input.with().apply(stepped(bend, input, step)))
                .orElse(bend);
    }

    /** Angles and clearances stay; the overall length grows with what it has to hold. */
    private static Quantity stepped(Bend bend, Input input, double step) {
        if (!(input.current() instanceof Length length)) {
            return input.current();
        }
        double by = switch (input.id()) {
            case CLEARANCE, EDGE_CLEARANCE, PLAY, START_INSERTION, END_INSERTION, READ_FROM, LAST_MARK, AT -> 0;
            case DISTANCE, CENTRE, LEG, FIRST_LEG, BETWEEN, LENGTH, READ_TO -> 2 * Math.abs(step);
            case OVERALL -> 4 * Math.abs(step);
            case RISE -> bend.kind().isSmall() ? step / 8 : step;
            case OTHER_LEG,
                    SECOND_LEG,
                    ROLL,
                    HEIGHT,
                    WIDTH,
                    ANGLE,
                    OUTER_ANGLE,
                    FIRST_MARK,
                    DROP,
                    SET_BACK,
                    OVER_BEND -> step;
        };
        return length.plus(Length.ofInches(by));
    }

    private static Optional<Layout> laidOut(Job job) {
        try {
            Layout layout = Layout.of(job);
            return Review.concerns(layout, Optional.empty()).isEmpty() ? Optional.of(layout) : Optional.empty();
        } catch (Refused impossible) {
            return Optional.empty();
        }
    }
}
