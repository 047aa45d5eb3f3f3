package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Along;
import lobrik.bend.AlongLeg;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.BoxEnd;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Leg;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OrderedBend;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.HookSide;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

/** Whatever is asked, there is a layout with finite figures or a reason. */
class HostileInputsTest {

    private static final int CASES = Boolean.getBoolean("lobrik.full") ? 10_000 : 3_000;

    private final Random random = new Random(13);
    private int laidOut;

    @Test
    void hostileInputs_giveALayoutOrAReason() {
        for (int i = 0; i < CASES; i++) {
            try {
                Review review = Review.of(job(), Optional.empty());
                laidOut++;
                assertThat(review.layout().features()).isNotEmpty();
                review.layout()
                        .predicted()
                        .centreline(4)
                        .forEach(point -> assertThat(point.norm()).isFinite());
                assertThat(review.warnings())
                        .allSatisfy(
                                warning -> assertThat(warning.fault().message()).isNotBlank());
            } catch (Refused refused) {
                assertThat(refused.faults()).isNotEmpty().allSatisfy(fault -> {
                    assertThat(fault.message()).isNotBlank().doesNotContain("NaN", "Infinity");
                    assertThat(fault.input()).doesNotContain("bends/").isNotEqualTo("lengthIn");
                });
            }
        }
        assertThat(laidOut).as("not everything is refused").isGreaterThan(CASES / 20);
    }

    private Length length(double most) {
        return switch (random.nextInt(12)) {
            case 0 -> Length.ZERO;
            case 1 -> Length.ofInches(-most * random.nextDouble());
            case 2 -> Length.ofInches(1e-10);
            case 3 -> Length.ofInches(1e6 * random.nextDouble());
            default -> Length.ofInches(most * random.nextDouble());
        };
    }

    private Angle angle() {
        return random.nextInt(8) == 0
                ? Angle.ofDegrees(-200 + 1000 * random.nextDouble())
                : Angle.ofDegrees(90 * random.nextDouble());
    }

    private Optional<Length> maybe(double most) {
        return random.nextBoolean() ? Optional.of(length(most)) : Optional.empty();
    }

    private <T> T oneOf(T[] values) {
        return values[random.nextInt(values.length)];
    }

    private Job job() {
        boolean usual = random.nextInt(3) > 0;
        Tooling tooling =
                usual ? Jobs.threeQuarters() : new Tooling(new Conduit(length(3)), Shoe.of(length(12), length(10)));
        TapeDivision division = oneOf(new TapeDivision[] {
            TapeDivision.NONE, TapeDivision.SIXTEENTH, TapeDivision.MILLIMETRE, new TapeDivision(Length.ofInches(1))
        });
        return new Job(bend(oneOf(BendKind.values())), tooling, School.of(oneOf(Method.values()), division));
    }

    private Bend bend(BendKind kind) {
        return switch (kind) {
            case STUB_90 -> new Stub90(length(40), maybe(40), oneOf(Placement.values()));
            case BACK_TO_BACK_90 -> new BackToBack90(length(40), length(60), length(40));
            case OFFSET ->
                new Offset(length(12), length(2), angle(), length(90), oneOf(OffsetLayout.values()), maybe(120));
            case BOX_OFFSET -> new BoxOffset(length(2), angle(), length(8), maybe(60));
            case ROLLING_OFFSET ->
                new RollingOffset(length(9), length(9), angle(), length(90), oneOf(OffsetLayout.values()), maybe(120));
            case KICK -> new Kick(length(12), angle(), length(90), oneOf(OffsetLayout.values()));
            case SADDLE_3 ->
                new Saddle3(
                        length(9),
                        length(2),
                        angle(),
                        length(90),
                        oneOf(Saddle3.Spacing.values()),
                        oneOf(Saddle3.Order.values()),
                        maybe(120));
            case SADDLE_4 ->
                new Saddle4(
                        length(9),
                        length(2),
                        angle(),
                        length(30),
                        length(2),
                        oneOf(Saddle4.MeasuredTo.values()),
                        length(90),
                        oneOf(Placement.values()),
                        maybe(200));
            case OVER_BENT_90 -> new OverBent90(length(60), length(9), angle(), maybe(60));
            case RUN -> run();
        };
    }

    /** Any legs, with anything on them. */
    private Run run() {
        try {
            return run(11);
        } catch (Refused refused) {
            throw refused.with(fault -> fault.within("bend"));
        }
    }

    private Run run(int most) {
        List<Leg> legs = new ArrayList<>();
        for (int leg = random.nextInt(most); leg >= 0; leg--) {
            Length play = random.nextInt(4) == 0 ? length(1) : Length.ZERO;
            legs.add(
                    random.nextInt(5) == 0
                            ? new Leg(
                                    new Leg.Measured.FromOneSurface(length(60), length(60)),
                                    oneOf(Towards.values()),
                                    play)
                            : new Leg(length(60), oneOf(Towards.values()), play));
        }
        List<Along> along = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            along.add(new Along(1 + random.nextInt(9), oneOf(Towards.values()), onLeg()));
        }
        return new Run(legs, Length.ZERO, length(2), box(), box(), along, random.nextInt(9) == 0 ? turns() : List.of());
    }

    private Optional<BoxEnd> box() {
        return random.nextBoolean()
                ? Optional.of(new BoxEnd(length(2), angle(), length(6), oneOf(Towards.values())))
                : Optional.empty();
    }

    private List<OrderedBend> turns() {
        return List.of(new OrderedBend(random.nextInt(3), oneOf(HookSide.values())));
    }

    private AlongLeg onLeg() {
        return switch (random.nextInt(3)) {
            case 0 -> (AlongLeg) bend(BendKind.OFFSET);
            case 1 -> (AlongLeg) bend(BendKind.SADDLE_3);
            default -> (AlongLeg) bend(BendKind.SADDLE_4);
        };
    }
}
