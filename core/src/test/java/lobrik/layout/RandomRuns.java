package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Along;
import lobrik.bend.AlongLeg;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Towards;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/** Random runs for property tests: of 2 to 7 legs, with what lies on them, always possible by both methods. */
public final class RandomRuns {

    private final Random random;
    private final Tooling tooling;

    /** What a ninety takes of a leg, inches. */
    private final double bend;

    public RandomRuns(Random random, Tooling tooling) {
        this.random = random;
        this.tooling = tooling;
        this.bend = tooling.backOfBend().inches();
    }

    /** With offsets and saddles on some legs, and boxes at some ends. */
    public Run next() {
        return next(2 + random.nextInt(5), true);
    }

    /** Of nineties and boxes alone, or of nineties alone where a box would be one bend too many. */
    public Run next(int legs, boolean withAlong) {
        int bends = legs - 1;
        boolean start = random.nextBoolean() && bends + 2 <= Run.MOST_BENDS;
        bends += start ? 2 : 0;
        boolean end = random.nextBoolean() && bends + 2 <= Run.MOST_BENDS;
        bends += end ? 2 : 0;
        List<Leg> all = new ArrayList<>();
        List<Along> along = new ArrayList<>();
        Towards before = oneOf(Towards.values());
        for (int leg = 1; leg <= legs; leg++) {
            Towards towards = leg == 1 ? before : square(before);
            boolean outer = leg == 1 || leg == legs;
            double length = (outer ? bend : 2 * bend) + between(4, 30);
            double from = leg == 1 ? 3 : bend + 2;
            if ((leg == 1 && start) || (leg == legs && end)) {
                length += 25;
                from += leg == 1 ? 25 : 0;
            }
            if (withAlong && random.nextInt(4) == 0) {
                AlongLeg on = along(from);
                if (bends + on.bends() <= Run.MOST_BENDS) {
                    bends += on.bends();
                    along.add(new Along(leg, square(towards), on));
                    length += 130;
                }
            }
            all.add(leg(eighths(length), towards));
            before = towards;
        }
        return new Run(
                all,
                random.nextBoolean() ? Length.ZERO : eighths(0.5),
                random.nextBoolean() ? Length.ZERO : eighths(0.625),
                start ? Optional.of(box(all.getFirst().towards())) : Optional.empty(),
                end ? Optional.of(box(all.getLast().towards())) : Optional.empty(),
                along,
                List.of());
    }

    private Leg leg(Length length, Towards towards) {
        Length play = random.nextInt(3) == 0 ? eighths(0.25) : Length.ZERO;
        Leg.Measured measured = switch (random.nextInt(6)) {
            case 0 -> new Leg.Measured.FromOneSurface(eighths(7), eighths(7).plus(length));
            case 1 -> new Leg.Measured.FromOneSurface(eighths(7).plus(length), eighths(7));
            default -> new Leg.Measured.Outright(length);
        };
        return new Leg(measured, towards, play);
    }

    private BoxEnd box(Towards leg) {
        Angle angle = Angle.ofDegrees(10);
        return new BoxEnd(
                ExactOffset.leastRise(tooling, angle).plus(eighths(between(0.25, 1))),
                angle,
                eighths(between(2.5, 5)),
                square(leg));
    }

    private AlongLeg along(double from) {
        Length at = eighths(from + between(0, 6));
        return switch (random.nextInt(3)) {
            case 0 -> {
                Angle angle = Angle.ofDegrees(oneOf(10.0, 15.0, 22.5, 30.0));
                yield Along.offset(at, ExactOffset.leastRise(tooling, angle).plus(eighths(between(0.5, 4))), angle);
            }
            case 1 -> {
                Angle outer = Angle.ofDegrees(oneOf(15.0, 22.5, 30.0));
                Length more = Length.ofInches(tooling.tool().radius().inches() / 3);
                yield new Saddle3(
                        ExactOffset.leastRise(tooling, outer).plus(more).plus(eighths(between(1, 4))),
                        eighths(between(0, 1)),
                        outer,
                        at.plus(Length.ofInches(55)),
                        random.nextBoolean() ? Saddle3.Spacing.FACTOR : Saddle3.Spacing.COSECANT,
                        Saddle3.Order.CENTRE_FIRST,
                        Optional.empty());
            }
            default -> {
                Angle angle = Angle.ofDegrees(oneOf(15.0, 22.5, 30.0));
                yield new Saddle4(
                        ExactOffset.leastRise(tooling, angle).plus(eighths(between(0.5, 4))),
                        eighths(between(0, 1)),
                        angle,
                        eighths(between(6, 14))
                                .plus(tooling.shoe().isPresent() ? Length.ZERO : tooling.arcLength(angle)),
                        eighths(between(0, 1)),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        at.plus(Length.ofInches(45)),
                        Placement.ARROW,
                        Optional.empty());
            }
        };
    }

    private Towards square(Towards to) {
        Towards found = oneOf(Towards.values());
        while (!found.isSquareTo(to)) {
            found = oneOf(Towards.values());
        }
        return found;
    }

    @SafeVarargs
    private <T> T oneOf(T... values) {
        return values[random.nextInt(values.length)];
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private static Length eighths(double inches) {
        return Length.ofFraction(0, Math.max(1, Math.round(8 * inches)), 8);
    }
}
