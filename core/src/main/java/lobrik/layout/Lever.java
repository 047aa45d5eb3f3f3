package lobrik.layout;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * An input that can be changed to cure a fault.
 *
 * @param name in a sentence: {@code the rise}
 * @param with the same bend with another size of it; refuses sizes outside the input's range
 */
record Lever(Role role, String input, String name, Quantity current, Function<Quantity, Bend> with) {

    /** What a change of it does. */
    enum Role {
        ANGLE,
        SIZE,
        PLACE,
        FAR_END,
        CLEARANCE
    }

    /** All levers of a bend. */
    static List<Lever> of(Bend bend) {
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

    private static Lever length(Role role, String input, String name, Length current, Function<Length, Bend> with) {
        return new Lever(role, "bend/" + input, name, current, value -> with.apply((Length) value));
    }

    private static Lever angle(String input, Angle current, Function<Angle, Bend> with) {
        return new Lever(Role.ANGLE, "bend/" + input, "the angle", current, value -> with.apply((Angle) value));
    }

    private static List<Lever> and(Optional<Length> overall, Function<Optional<Length>, Bend> with, Lever... levers) {
        return Stream.concat(
                        Stream.of(levers),
                        overall.stream()
                                .map(length -> length(
                                        Role.FAR_END,
                                        "overallIn",
                                        "the overall length",
                                        length,
                                        value -> with.apply(Optional.of(value)))))
                .toList();
    }

    private static List<Lever> stub(Stub90 s) {
        Lever leg = length(Role.PLACE, "legIn", "the leg", s.leg(), v -> new Stub90(v, s.otherLeg(), s.placement()));
        return Stream.concat(
                        Stream.of(leg),
                        s.otherLeg().stream()
                                .map(other -> length(
                                        Role.FAR_END,
                                        "otherLegIn",
                                        "the other leg",
                                        other,
                                        v -> new Stub90(s.leg(), Optional.of(v), s.placement()))))
                .toList();
    }

    private static List<Lever> backToBack(BackToBack90 u) {
        return List.of(
                length(
                        Role.PLACE,
                        "firstLegIn",
                        "the first leg",
                        u.firstLeg(),
                        v -> new BackToBack90(v, u.between(), u.secondLeg())),
                length(
                        Role.SIZE,
                        "betweenIn",
                        "the distance back to back",
                        u.between(),
                        v -> new BackToBack90(u.firstLeg(), v, u.secondLeg())),
                length(
                        Role.FAR_END,
                        "secondLegIn",
                        "the second leg",
                        u.secondLeg(),
                        v -> new BackToBack90(u.firstLeg(), u.between(), v)));
    }

    private static List<Lever> offset(Offset o) {
        return and(
                o.overall(),
                v -> new Offset(o.rise(), o.clearance(), o.angle(), o.distance(), o.layout(), v),
                angle(
                        "angleDeg",
                        o.angle(),
                        v -> new Offset(o.rise(), o.clearance(), v, o.distance(), o.layout(), o.overall())),
                length(
                        Role.SIZE,
                        "riseIn",
                        "the rise",
                        o.rise(),
                        v -> new Offset(v, o.clearance(), o.angle(), o.distance(), o.layout(), o.overall())),
                length(
                        Role.PLACE,
                        "distanceIn",
                        "the distance",
                        o.distance(),
                        v -> new Offset(o.rise(), o.clearance(), o.angle(), v, o.layout(), o.overall())),
                length(
                        Role.CLEARANCE,
                        "clearanceIn",
                        "the clearance",
                        o.clearance(),
                        v -> new Offset(o.rise(), v, o.angle(), o.distance(), o.layout(), o.overall())));
    }

    private static List<Lever> boxOffset(BoxOffset b) {
        return and(
                b.overall(),
                v -> new BoxOffset(b.rise(), b.angle(), b.firstMark(), v),
                angle("angleDeg", b.angle(), v -> new BoxOffset(b.rise(), v, b.firstMark(), b.overall())),
                length(
                        Role.SIZE,
                        "riseIn",
                        "the rise",
                        b.rise(),
                        v -> new BoxOffset(v, b.angle(), b.firstMark(), b.overall())),
                length(
                        Role.PLACE,
                        "firstMarkIn",
                        "the first mark",
                        b.firstMark(),
                        v -> new BoxOffset(b.rise(), b.angle(), v, b.overall())));
    }

    private static List<Lever> rollingOffset(RollingOffset r) {
        return and(
                r.overall(),
                v -> new RollingOffset(r.rise(), r.roll(), r.angle(), r.distance(), r.layout(), v),
                angle(
                        "angleDeg",
                        r.angle(),
                        v -> new RollingOffset(r.rise(), r.roll(), v, r.distance(), r.layout(), r.overall())),
                length(
                        Role.SIZE,
                        "riseIn",
                        "the rise",
                        r.rise(),
                        v -> new RollingOffset(v, r.roll(), r.angle(), r.distance(), r.layout(), r.overall())),
                length(
                        Role.PLACE,
                        "distanceIn",
                        "the distance",
                        r.distance(),
                        v -> new RollingOffset(r.rise(), r.roll(), r.angle(), v, r.layout(), r.overall())));
    }

    private static List<Lever> kick(Kick k) {
        return List.of(
                angle("angleDeg", k.angle(), v -> new Kick(k.rise(), v, k.distance(), k.layout())),
                length(
                        Role.SIZE,
                        "riseIn",
                        "the rise",
                        k.rise(),
                        v -> new Kick(v, k.angle(), k.distance(), k.layout())),
                length(
                        Role.PLACE,
                        "distanceIn",
                        "the distance",
                        k.distance(),
                        v -> new Kick(k.rise(), k.angle(), v, k.layout())));
    }

    private static List<Lever> saddle3(Saddle3 s) {
        return and(
                s.overall(),
                v -> new Saddle3(s.height(), s.clearance(), s.outerAngle(), s.centre(), s.spacing(), s.order(), v),
                angle(
                        "outerAngleDeg",
                        s.outerAngle(),
                        v -> new Saddle3(
                                s.height(), s.clearance(), v, s.centre(), s.spacing(), s.order(), s.overall())),
                length(
                        Role.SIZE,
                        "heightIn",
                        "the height",
                        s.height(),
                        v -> new Saddle3(
                                v, s.clearance(), s.outerAngle(), s.centre(), s.spacing(), s.order(), s.overall())),
                length(
                        Role.PLACE,
                        "centreIn",
                        "the distance to the centre",
                        s.centre(),
                        v -> new Saddle3(
                                s.height(), s.clearance(), s.outerAngle(), v, s.spacing(), s.order(), s.overall())),
                length(
                        Role.CLEARANCE,
                        "clearanceIn",
                        "the clearance",
                        s.clearance(),
                        v -> new Saddle3(
                                s.height(), v, s.outerAngle(), s.centre(), s.spacing(), s.order(), s.overall())));
    }

    private static List<Lever> saddle4(Saddle4 s) {
        return and(
                s.overall(),
                v -> saddle4(s, s.height(), s.clearance(), s.angle(), s.edgeClearance(), s.distance(), v),
                angle(
                        "angleDeg",
                        s.angle(),
                        v -> saddle4(s, s.height(), s.clearance(), v, s.edgeClearance(), s.distance(), s.overall())),
                length(
                        Role.SIZE,
                        "heightIn",
                        "the height",
                        s.height(),
                        v -> saddle4(s, v, s.clearance(), s.angle(), s.edgeClearance(), s.distance(), s.overall())),
                length(
                        Role.PLACE,
                        "distanceIn",
                        "the distance",
                        s.distance(),
                        v -> saddle4(s, s.height(), s.clearance(), s.angle(), s.edgeClearance(), v, s.overall())),
                length(
                        Role.CLEARANCE,
                        "clearanceIn",
                        "the clearance",
                        s.clearance(),
                        v -> saddle4(s, s.height(), v, s.angle(), s.edgeClearance(), s.distance(), s.overall())),
                length(
                        Role.CLEARANCE,
                        "edgeClearanceIn",
                        "the edge clearance",
                        s.edgeClearance(),
                        v -> saddle4(s, s.height(), s.clearance(), s.angle(), v, s.distance(), s.overall())));
    }

    private static Saddle4 saddle4(
            Saddle4 s,
            Length height,
            Length clearance,
            Angle angle,
            Length edgeClearance,
            Length distance,
            Optional<Length> overall) {
        return new Saddle4(
                height, clearance, angle, s.width(), edgeClearance, s.measuredTo(), distance, s.placement(), overall);
    }
}
