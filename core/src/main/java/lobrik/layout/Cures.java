package lobrik.layout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.LongUnaryOperator;
import java.util.function.Predicate;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.Role;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Cure;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shop.AngleLines;

/**
 * Finds what to change so that a fault goes away, by laying the changed bend out and looking again. Each lever is moved
 * both ways, in steps that a person would use; the nearest size that works is proposed.
 */
final class Cures {

    private static final Angle ANGLE_STEP = Angle.ofDegrees(0.5);
    private static final Percentage PERCENTAGE_STEP = Percentage.of(1);
    private static final int LONGEST_REACH = 1 << 13;
    private static final int MOST_CURES = 3;
    private static final Length WHOLE_INCH = Length.ofInches(1);
    private static final int MOST_INCHES = 32;

    /** To look for an order takes twice as long with each bend more. */
    private static final int MOST_SEARCHED = 8;

    private final Job job;
    private final Predicate<Job> works;

    /** Whether looking whether it works takes its time, so that sizes are changed by whole inches. */
    private final boolean coarse;

    private Cures(Job job, boolean coarse, Predicate<Job> works) {
        this.job = job;
        this.coarse = coarse;
        this.works = works;
    }

    /**
     * Proposes cures for one fault of a job.
     *
     * @param works whether a changed job is free of the fault, and can be laid out
     */
    static List<Cure> of(Job job, Fault fault, Predicate<Job> works) {
        Cures cures = new Cures(job, fault.code() == FaultCode.BEND_BLOCKED, works);
        List<Cure> found = new ArrayList<>(cures.placements());
        found.addAll(cures.otherWays(fault.code()));
        Set<Role> roles = isOfTheRoom(fault) ? EnumSet.of(Role.SIZE) : roles(fault.code());
        for (Lever lever : levers(job, fault)) {
            if (roles.contains(lever.role())) {
                cures.onALine(lever).or(() -> cures.nearest(lever)).ifPresent(found::add);
            }
        }
        return List.copyOf(found.subList(0, Math.min(MOST_CURES, found.size())));
    }

    private static boolean isOfALeg(Lever lever) {
        return lever.input().startsWith("bend/legs/");
    }

    /** What stands in the room stays where it is: the legs go round it. */
    private static boolean isOfTheRoom(Fault fault) {
        return fault.code() == FaultCode.OBSTACLE_TOUCHED && fault.input().startsWith("place/");
    }

    /** Of a bend that is blocked, the legs beside it: to look for an order takes its time. */
    private static List<Lever> levers(Job job, Fault fault) {
        List<Lever> all = Lever.of(job.bend());
        if (isOfTheRoom(fault)) {
            return all.stream().filter(Cures::isOfALeg).toList();
        }
        if (fault.code() != FaultCode.BEND_BLOCKED) {
            return all;
        }
        if (job.bend().bends() > MOST_SEARCHED) {
            return List.of();
        }
        List<Lever> legs =
                all.stream().filter(lever -> lever.role() == Role.SIZE).toList();
        int here = legs.stream().map(Lever::input).toList().indexOf(fault.input());
        return here < 0 ? List.of() : legs.subList(here, Math.min(here + 2, legs.size()));
    }

    private static Set<Role> roles(FaultCode code) {
        return switch (code) {
            case SPACING_IMPOSSIBLE, ARCS_OVERLAP, MARKS_TOO_CLOSE -> EnumSet.of(Role.ANGLE, Role.SIZE);
            case LEG_SHORTER_THAN_BEND,
                    MARK_OFF_CONDUIT,
                    ARC_OFF_CONDUIT,
                    GRIP_TOO_SHORT,
                    STANDING_TOO_SHORT,
                    STUB_TOO_SHORT,
                    END_FLATTENS -> EnumSet.of(Role.PLACE, Role.FAR_END, Role.SIZE);
            case LONGER_THAN_STICK -> EnumSet.of(Role.FAR_END, Role.PLACE);
            case OUT_OF_RANGE -> EnumSet.of(Role.ANGLE, Role.SIZE, Role.FAR_END);
            case DEGREES_OVER_LIMIT -> EnumSet.of(Role.ANGLE);
            case OBSTACLE_TOUCHED -> EnumSet.of(Role.CLEARANCE);
            case BEND_BLOCKED -> EnumSet.of(Role.SIZE);
            case MISSING,
                    NOT_POSITIVE,
                    UNKNOWN_VALUE,
                    DUPLICATE,
                    NOT_INCREASING,
                    TOOL_WITHOUT_MARK,
                    OUTSIDE_TABLE,
                    WRONG_NUMBER_OF_BENDS,
                    RADIUS_TOO_SMALL,
                    NOT_A_NINETY,
                    ARROW_LEAD_NEGATIVE,
                    RADIUS_UNDER_LEAST,
                    ANGLE_NOT_ON_CHART,
                    NOTCH_OFF_CENTRE,
                    NOT_DETERMINED,
                    TOO_FEW_VARIANTS -> EnumSet.noneOf(Role.class);
        };
    }

    /** A stub can be placed the other way. */
    private List<Cure> placements() {
        return switch (job.bend()) {
            case Stub90 stub ->
                otherPlacement(stub.placement(), other -> new Stub90(stub.leg(), stub.otherLeg(), other));
            case Saddle4 saddle
            when job.tooling().shoe().isEmpty() -> otherPlacement(saddle.placement(), saddle::placedBy);
            case BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    Saddle4 _,
                    OverBent90 _,
                    Run _ -> List.of();
        };
    }

    private List<Cure> otherPlacement(Placement placement, Function<Placement, Bend> placed) {
        Placement other = placement == Placement.ARROW ? Placement.STAR : Placement.ARROW;
        String option = other == Placement.ARROW ? "arrow" : "star";
        String called = job.tooling().shoe().isPresent() ? option : "middle of the curve";
        return works.test(job.with(placed.apply(other)))
                ? List.of(new Cure.Choice("bend/placement", "place it by the " + called, option))
                : List.of();
    }

    /** What the card or the notch cannot do: another angle of the card, or exact layout. */
    private List<Cure> otherWays(FaultCode code) {
        List<Cure> found = new ArrayList<>();
        if (code == FaultCode.ANGLE_NOT_ON_CHART) {
            Lever.of(job.bend()).stream()
                    .filter(lever -> lever.role() == Role.ANGLE)
                    .findFirst()
                    .flatMap(this::nearestOnTheCard)
                    .ifPresent(found::add);
        }
        boolean chartOnly = code == FaultCode.ANGLE_NOT_ON_CHART || code == FaultCode.NOTCH_OFF_CENTRE;
        if (chartOnly && works.test(job.by(Method.EXACT))) {
            found.add(new Cure.Choice("method", "lay it out exactly", "exact"));
        }
        return found;
    }

    private Optional<Cure> nearestOnTheCard(Lever lever) {
        return job.school().chart().rows().stream()
                .map(MultiplierChart.Row::angle)
                .sorted(Comparator.comparingLong(
                        angle -> Math.abs(angle.nanodegrees() - lever.current().count())))
                .filter(angle -> works(lever, angle.nanodegrees()))
                .findFirst()
                .map(angle -> cure(lever, angle));
    }

    /** An angle that the shoe has a line for, before any that it has none for. */
    private Optional<Cure> onALine(Lever lever) {
        return lever.role() == Role.ANGLE && lever.current() instanceof Angle angle
                ? AngleLines.nearestTo(angle).stream()
                        .filter(line -> line.count() != angle.count() && works(lever, line.count()))
                        .findFirst()
                        .map(line -> cure(lever, line))
                : Optional.empty();
    }

    private Optional<Cure> nearest(Lever lever) {
        long step = (coarse ? WHOLE_INCH : step(lever.current())).count();
        int most = coarse ? MOST_INCHES : LONGEST_REACH;
        long count = lever.current().count();
        long below = Math.ceilDiv(count, step);
        long above = Math.floorDiv(count, step);
        Optional<Quantity> up = search(lever, most, steps -> (above + steps) * step);
        Optional<Quantity> down = search(lever, most, steps -> (below - steps) * step);
        if (up.isEmpty() || down.isEmpty()) {
            return up.or(() -> down).map(value -> cure(lever, value));
        }
        boolean upIsNearer = up.get().count() - count <= count - down.get().count();
        return Optional.of(cure(lever, upIsNearer ? up.get() : down.get()));
    }

    /** Doubles the reach until it works, then halves back to the least number of steps that does. */
    private Optional<Quantity> search(Lever lever, int most, LongUnaryOperator countAfter) {
        long reach = 1;
        while (reach <= most && !works(lever, countAfter.applyAsLong(reach))) {
            reach *= 2;
        }
        if (reach > most) {
            return Optional.empty();
        }
        long fails = reach / 2;
        while (reach - fails > 1) {
            long middle = (fails + reach) / 2;
            if (works(lever, countAfter.applyAsLong(middle))) {
                reach = middle;
            } else {
                fails = middle;
            }
        }
        return Optional.of(lever.current().withCount(countAfter.applyAsLong(reach)));
    }

    private boolean works(Lever lever, long count) {
        try {
            Bend changed = lever.with().apply(lever.current().withCount(count));
            return works.test(job.with(changed));
        } catch (Refused outOfRange) {
            return false;
        }
    }

    private Quantity step(Quantity current) {
        return switch (current) {
            case Length _ -> division().step();
            case Angle _ -> ANGLE_STEP;
            case Percentage _ -> PERCENTAGE_STEP;
        };
    }

    private TapeDivision division() {
        TapeDivision division = job.school().division();
        return division.equals(TapeDivision.NONE) ? TapeDivision.SIXTEENTH : division;
    }

    private Cure cure(Lever lever, Quantity value) {
        String size = switch (value) {
            case Length length -> division().text(length) + (division().isInchFraction() ? " in" : "");
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
        return new Cure.Size(lever.input(), "make " + lever.name() + " " + size, value);
    }
}
