package lobrik.bend;

import java.util.Optional;

/** A bend as asked for. Every kind is a record of its inputs that refuses values outside their range. */
public sealed interface Bend permits Stub90, BackToBack90, BoxOffset, RollingOffset, Kick, OverBent90, AlongLeg, Run {

    /** Which kind it is. */
    default BendKind kind() {
        return switch (this) {
            case Stub90 _ -> BendKind.STUB_90;
            case BackToBack90 _ -> BendKind.BACK_TO_BACK_90;
            case Offset _ -> BendKind.OFFSET;
            case BoxOffset _ -> BendKind.BOX_OFFSET;
            case RollingOffset _ -> BendKind.ROLLING_OFFSET;
            case Kick _ -> BendKind.KICK;
            case Saddle3 _ -> BendKind.SADDLE_3;
            case Saddle4 _ -> BendKind.SADDLE_4;
            case OverBent90 _ -> BendKind.OVER_BENT_90;
            case Run _ -> BendKind.RUN;
        };
    }

    /** Itself, where it is a run: of all other kinds the shape is given by a few sizes, of a run by what lies along it. */
    default Optional<Run> run() {
        return switch (this) {
            case Run run -> Optional.of(run);
            case Stub90 _,
                    BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    Saddle4 _,
                    OverBent90 _ -> Optional.empty();
        };
    }

    /** How many times the conduit goes into the shoe. */
    default int bends() {
        return switch (this) {
            case Stub90 _, Kick _ -> 1;
            case BackToBack90 _, Offset _, BoxOffset _, RollingOffset _, OverBent90 _ -> 2;
            case Saddle3 _ -> 3;
            case Saddle4 _ -> 4;
            case Run run -> run.bendsInAll();
        };
    }
}
