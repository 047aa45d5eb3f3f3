package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;

/** Somebody who makes one mistake with a run: mostly they bend another run rightly, which is laid out afresh. */
final class FaultyRuns {

    private final Run run;
    private final Layout layout;
    private final Random random;
    private final FaultyHands faithful;

    private FaultyRuns(Run run, Layout layout, Random random) {
        this.run = run;
        this.layout = layout;
        this.random = random;
        this.faithful = PlantedPieces.faithful(layout);
    }

    /** Makes the mistake; empty where the run gives no occasion for it. */
    static Optional<FaultyHands> at(Run run, Layout layout, CauseId cause, Random random) {
        FaultyRuns runs = new FaultyRuns(run, layout, random);
        int one = random.nextInt(layout.marks().size());
        return switch (cause) {
            case NONE -> Optional.of(runs.faithful);
            case ANGLE_OFF -> Optional.of(runs.faithful.angle(one, runs.signed(1.5, 9)));
            case BURNED_INCH -> Optional.of(runs.faithful.all(Length.ofInches(random.nextBoolean() ? 1 : -1)));
            case GAIN_OMITTED -> runs.withoutGain();
            case WRONG_WAY -> runs.wrongWay();
            case LEGS_EXCHANGED -> runs.exchanged();
            case PLAY_OMITTED -> runs.withoutPlay();
            case INSERTION_OMITTED -> runs.withoutInsertion();
            default -> Optional.empty();
        };
    }

    private double signed(double low, double high) {
        double size = low + (high - low) * random.nextDouble();
        return random.nextBoolean() ? size : -size;
    }

    /** Every ring beyond a corner stands too far out by what that corner, and each before it, is shorter. */
    private Optional<FaultyHands> withoutGain() {
        Length gain = layout.job().tooling().gain();
        FaultyHands made = faithful;
        int corners = 0;
        for (RunShape.Stretch stretch : run.shape().stretches()) {
            Length by = gain.times(corners).nearest(TapeDivision.SIXTEENTH);
            boolean fromFarEnd = stretch.part() instanceof RunShape.Part.AtEnd;
            Length all = gain.times(run.legs().size() - 1).nearest(TapeDivision.SIXTEENTH);
            for (int bend = stretch.firstBend(); bend <= stretch.lastBend(); bend++) {
                made = made.ring(bend - 1, fromFarEnd ? all : by);
            }
            corners += stretch.part() instanceof RunShape.Part.Ninety ? 1 : 0;
        }
        return Optional.of(made.cut(gain.times(run.legs().size() - 1).nearest(TapeDivision.SIXTEENTH))
                .about(-1));
    }

    /** A later ninety is bent to the other side, and what lies beyond it goes on from there. */
    private Optional<FaultyHands> wrongWay() {
        List<RunShape.Stretch> ninetys = run.shape().ninetys();
        if (ninetys.size() < 2) {
            return Optional.empty();
        }
        RunShape.Stretch wrong = ninetys.get(1 + random.nextInt(ninetys.size() - 1));
        FaultyHands made = faithful;
        for (int bend = wrong.firstBend(); bend <= layout.marks().size(); bend++) {
            made = made.bent(
                    bend - 1,
                    b -> new BendMade(
                            b.position(), b.placing(), b.angle(), b.roll().plus(Angle.HALF_TURN)));
        }
        return Optional.of(made.about(wrong.firstBend() - 1));
    }

    private Optional<FaultyHands> exchanged() {
        int one = random.nextInt(run.legs().size());
        int other = random.nextInt(run.legs().size());
        Length first = run.legs().get(one).measured().length();
        Length second = run.legs().get(other).measured().length();
        if (Math.abs(first.minus(second).inches()) < 0.25) {
            return Optional.empty();
        }
        List<Leg> legs = new ArrayList<>(run.legs());
        legs.set(one, new Leg(second, legs.get(one).towards(), legs.get(one).play()));
        legs.set(
                other, new Leg(first, legs.get(other).towards(), legs.get(other).play()));
        return Optional.of(laidOut(legs, run.startInsertion(), run.endInsertion()));
    }

    private Optional<FaultyHands> withoutPlay() {
        int one = random.nextInt(run.legs().size());
        Leg leg = run.legs().get(one);
        if (!leg.play().isPositive()) {
            return Optional.empty();
        }
        List<Leg> legs = new ArrayList<>(run.legs());
        legs.set(one, new Leg(leg.measured(), leg.towards(), Length.ZERO));
        return Optional.of(laidOut(legs, run.startInsertion(), run.endInsertion()));
    }

    private Optional<FaultyHands> withoutInsertion() {
        boolean start = random.nextBoolean();
        Length forgotten = start ? run.startInsertion() : run.endInsertion();
        return forgotten.isPositive()
                ? Optional.of(laidOut(
                        run.legs(),
                        start ? Length.ZERO : run.startInsertion(),
                        start ? run.endInsertion() : Length.ZERO))
                : Optional.empty();
    }

    /** Rings, bends and cut of another run, bent on what was meant to be this one. */
    private FaultyHands laidOut(List<Leg> legs, Length startInsertion, Length endInsertion) {
        Layout other = Layout.of(layout.job()
                .with(new Run(
                        legs,
                        startInsertion,
                        endInsertion,
                        run.startOffset(),
                        run.endOffset(),
                        run.along(),
                        run.order())));
        FaultyHands wrong = PlantedPieces.faithful(other);
        return new FaultyHands(wrong.rings(), wrong.bends(), wrong.length(), 0, layout);
    }
}
