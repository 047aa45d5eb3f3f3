package lobrik.bend;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A size of a bend that can be changed.
 *
 * @param current its size now
 * @param with the same bend with another size of it, of the same kind of quantity; throws {@link lobrik.fault.Refused} for
 *     sizes outside the input's range
 */
public record Input(InputId id, Quantity current, Function<Quantity, Bend> with) {

    /** All sizes of a bend that are not left open, with what decides its shape first. */
    public static List<Input> of(Bend bend) {
        return switch (bend) {
            case Stub90 s -> stub(s);
            case BackToBack90 u -> backToBack(u);
            case Offset o -> offset(o);
            case BoxOffset b -> boxOffset(b);
            case RollingOffset r -> rollingOffset(r);
            case Kick k -> kick(k);
            case Saddle3 s -> saddle3(s);
            case Saddle4 s -> saddle4(s);
        };
    }

    private static Input length(InputId id, Length current, Function<Length, Bend> with) {
        return new Input(id, current, value -> with.apply((Length) value));
    }

    private static Input angle(InputId id, Angle current, Function<Angle, Bend> with) {
        return new Input(id, current, value -> with.apply((Angle) value));
    }

    /** With a size that may be left open: there is nothing to change while it is. */
    private static List<Input> and(
            InputId id, Optional<Length> open, Function<Optional<Length>, Bend> with, Input... inputs) {
        return Stream.concat(
                        Stream.of(inputs),
                        open.stream().map(length -> length(id, length, value -> with.apply(Optional.of(value)))))
                .toList();
    }

    private static List<Input> stub(Stub90 s) {
        return and(
                InputId.OTHER_LEG,
                s.otherLeg(),
                v -> new Stub90(s.leg(), v, s.placement()),
                length(InputId.LEG, s.leg(), v -> new Stub90(v, s.otherLeg(), s.placement())));
    }

    private static List<Input> backToBack(BackToBack90 u) {
        return List.of(
                length(InputId.FIRST_LEG, u.firstLeg(), v -> new BackToBack90(v, u.between(), u.secondLeg())),
                length(InputId.BETWEEN, u.between(), v -> new BackToBack90(u.firstLeg(), v, u.secondLeg())),
                length(InputId.SECOND_LEG, u.secondLeg(), v -> new BackToBack90(u.firstLeg(), u.between(), v)));
    }

    private static List<Input> offset(Offset o) {
        return and(
                InputId.OVERALL,
                o.overall(),
                v -> new Offset(o.rise(), o.clearance(), o.angle(), o.distance(), o.layout(), v),
                angle(
                        InputId.ANGLE,
                        o.angle(),
                        v -> new Offset(o.rise(), o.clearance(), v, o.distance(), o.layout(), o.overall())),
                length(
                        InputId.RISE,
                        o.rise(),
                        v -> new Offset(v, o.clearance(), o.angle(), o.distance(), o.layout(), o.overall())),
                length(
                        InputId.DISTANCE,
                        o.distance(),
                        v -> new Offset(o.rise(), o.clearance(), o.angle(), v, o.layout(), o.overall())),
                length(
                        InputId.CLEARANCE,
                        o.clearance(),
                        v -> new Offset(o.rise(), v, o.angle(), o.distance(), o.layout(), o.overall())));
    }

    private static List<Input> boxOffset(BoxOffset b) {
        return and(
                InputId.OVERALL,
                b.overall(),
                v -> new BoxOffset(b.rise(), b.angle(), b.firstMark(), v),
                angle(InputId.ANGLE, b.angle(), v -> new BoxOffset(b.rise(), v, b.firstMark(), b.overall())),
                length(InputId.RISE, b.rise(), v -> new BoxOffset(v, b.angle(), b.firstMark(), b.overall())),
                length(InputId.FIRST_MARK, b.firstMark(), v -> new BoxOffset(b.rise(), b.angle(), v, b.overall())));
    }

    private static List<Input> rollingOffset(RollingOffset r) {
        return and(
                InputId.OVERALL,
                r.overall(),
                v -> new RollingOffset(r.rise(), r.roll(), r.angle(), r.distance(), r.layout(), v),
                angle(
                        InputId.ANGLE,
                        r.angle(),
                        v -> new RollingOffset(r.rise(), r.roll(), v, r.distance(), r.layout(), r.overall())),
                length(
                        InputId.RISE,
                        r.rise(),
                        v -> new RollingOffset(v, r.roll(), r.angle(), r.distance(), r.layout(), r.overall())),
                length(
                        InputId.ROLL,
                        r.roll(),
                        v -> new RollingOffset(r.rise(), v, r.angle(), r.distance(), r.layout(), r.overall())),
                length(
                        InputId.DISTANCE,
                        r.distance(),
                        v -> new RollingOffset(r.rise(), r.roll(), r.angle(), v, r.layout(), r.overall())));
    }

    private static List<Input> kick(Kick k) {
        return List.of(
                angle(InputId.ANGLE, k.angle(), v -> new Kick(k.rise(), v, k.distance(), k.layout())),
                length(InputId.RISE, k.rise(), v -> new Kick(v, k.angle(), k.distance(), k.layout())),
                length(InputId.DISTANCE, k.distance(), v -> new Kick(k.rise(), k.angle(), v, k.layout())));
    }

    private static List<Input> saddle3(Saddle3 s) {
        return and(
                InputId.OVERALL,
                s.overall(),
                v -> new Saddle3(s.height(), s.clearance(), s.outerAngle(), s.centre(), s.spacing(), s.order(), v),
                angle(InputId.OUTER_ANGLE, s.outerAngle(), v -> saddle3(s, s.height(), s.clearance(), v, s.centre())),
                length(InputId.HEIGHT, s.height(), v -> saddle3(s, v, s.clearance(), s.outerAngle(), s.centre())),
                length(InputId.CENTRE, s.centre(), v -> saddle3(s, s.height(), s.clearance(), s.outerAngle(), v)),
                length(InputId.CLEARANCE, s.clearance(), v -> saddle3(s, s.height(), v, s.outerAngle(), s.centre())));
    }

    private static Saddle3 saddle3(Saddle3 s, Length height, Length clearance, Angle outer, Length centre) {
        return new Saddle3(height, clearance, outer, centre, s.spacing(), s.order(), s.overall());
    }

    private static List<Input> saddle4(Saddle4 s) {
        return and(
                InputId.OVERALL,
                s.overall(),
                v -> new Saddle4(
                        s.height(),
                        s.clearance(),
                        s.angle(),
                        s.width(),
                        s.edgeClearance(),
                        s.measuredTo(),
                        s.distance(),
                        s.placement(),
                        v),
                angle(InputId.ANGLE, s.angle(), v -> saddle4(s, s.height(), s.clearance(), v, s.width())),
                length(InputId.HEIGHT, s.height(), v -> saddle4(s, v, s.clearance(), s.angle(), s.width())),
                length(InputId.WIDTH, s.width(), v -> saddle4(s, s.height(), s.clearance(), s.angle(), v)),
                length(InputId.DISTANCE, s.distance(), v -> saddle4(s, s.edgeClearance(), v)),
                length(InputId.CLEARANCE, s.clearance(), v -> saddle4(s, s.height(), v, s.angle(), s.width())),
                length(InputId.EDGE_CLEARANCE, s.edgeClearance(), v -> saddle4(s, v, s.distance())));
    }

    private static Saddle4 saddle4(Saddle4 s, Length height, Length clearance, Angle angle, Length width) {
        return new Saddle4(
                height,
                clearance,
                angle,
                width,
                s.edgeClearance(),
                s.measuredTo(),
                s.distance(),
                s.placement(),
                s.overall());
    }

    private static Saddle4 saddle4(Saddle4 s, Length edgeClearance, Length distance) {
        return new Saddle4(
                s.height(),
                s.clearance(),
                s.angle(),
                s.width(),
                edgeClearance,
                s.measuredTo(),
                distance,
                s.placement(),
                s.overall());
    }
}
