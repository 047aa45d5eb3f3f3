package lobrik.server.calc;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import lobrik.fault.Fault;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.shape.FeatureId;
import org.jspecify.annotations.Nullable;

/** A bend laid out. */
public record LayoutAnswer(
        List<MarkAnswer> marks,
        double shrinkIn,
        @Nullable Double cutLengthIn,
        List<FeatureAnswer> features,
        List<Warning> warnings,
        PieceShape shape) {

    /** A ring on the straight conduit and the bend made there. */
    public record MarkAnswer(
            int number,
            double positionIn,
            Reference reference,
            HookSide hookTowards,
            double angleDeg,
            double rollDeg,
            int order) {

        static MarkAnswer of(Mark mark) {
            return new MarkAnswer(
                    mark.number(),
                    mark.position().inches(),
                    Reference.of(mark.reference()),
                    HookSide.of(mark.hookTowards()),
                    mark.angle().degrees(),
                    mark.roll().degrees(),
                    mark.order());
        }
    }

    /** What a feature is measured in. */
    public enum Unit {
        @JsonProperty("in")
        INCH,
        @JsonProperty("deg")
        DEGREE;

        /** The unit of a feature's numbers. */
        public static Unit of(FeatureId feature) {
            return feature.kind() == FeatureId.Kind.LENGTH ? INCH : DEGREE;
        }
    }

    /** A feature as asked for and as the rounded marks will give it. */
    public record FeatureAnswer(String id, Unit unit, double target, double predicted) {

        static FeatureAnswer of(PlannedFeature feature) {
            return new FeatureAnswer(
                    feature.id().id(),
                    Unit.of(feature.id()),
                    Numbers.of(feature.target()),
                    Numbers.of(feature.predicted()));
        }
    }

    /** Something that can be bent but should be thought about; the pointer names the input it concerns. */
    public record Warning(String code, String message, String pointer) {

        static Warning of(Fault fault) {
            return new Warning(fault.code().id(), fault.message(), "/" + fault.input());
        }
    }

    static LayoutAnswer of(Layout layout) {
        return new LayoutAnswer(
                layout.marks().stream().map(MarkAnswer::of).toList(),
                layout.shrink().inches(),
                layout.cutLength().map(Length::inches).orElse(null),
                layout.features().stream().map(FeatureAnswer::of).toList(),
                layout.warnings().stream().map(Warning::of).toList(),
                PieceShape.of(layout.predicted()));
    }
}
