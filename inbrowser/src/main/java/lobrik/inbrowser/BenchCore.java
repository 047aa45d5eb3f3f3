package lobrik.inbrowser;

import java.util.Locale;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.RefusedText;
import lobrik.measure.TapeDivision;
import lobrik.reading.FloorReading;
import lobrik.reading.Nudge;
import lobrik.reading.ReadingText;
import lobrik.reading.TypingSlip;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Tolerance;
import lobrik.wire.CalcInterface;
import lobrik.wire.QuantityRequest;
import org.jspecify.annotations.Nullable;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSExport;

/**
 * What a screen asks the core while it has no signal. Lengths are inches and angles degrees, as in the interface; features
 * go by their ids.
 */
public final class BenchCore {

    private BenchCore() {}

    /** What was typed for a feature: its value, or what is wrong with it and what was probably meant. */
    @JSExport
    public static TextRead read(String feature, String text, @OneOf(LengthUnit.class) String bare) {
        try {
            return value(ReadingText.read(id(feature), text, unit(bare)).number());
        } catch (RefusedText refused) {
            return problem(refused);
        } catch (Refused refused) {
            return problem(refused);
        }
    }

    /** What was typed for a level on the floor, with its sign: degrees, or what is wrong with it. */
    @JSExport
    public static TextRead floor(String text) {
        try {
            return value(FloorReading.parse(text).tilt().degrees());
        } catch (RefusedText refused) {
            return problem(refused);
        } catch (Refused refused) {
            return problem(refused);
        }
    }

    /** What was typed into a field that takes a size: its value, or what is wrong with it. */
    @JSExport
    public static TextRead quantity(
            @OneOf(QuantityRequest.Kind.class) String kind, String text, @OneOf(LengthUnit.class) String bare) {
        try {
            QuantityRequest.Kind takes = QuantityRequest.Kind.withId(kind).orElseThrow();
            return value(CalcInterface.quantity(new QuantityRequest(takes, text, unit(bare)))
                    .value());
        } catch (RefusedText refused) {
            return problem(refused);
        }
    }

    /** How far a reading is off, and what that is worth; with how much it may be over and under. */
    @JSExport
    public static Judgement judge(String feature, double value, double target, double over, double under) {
        FeatureId id = id(feature);
        Tolerance tolerance =
                new Tolerance(id.measured().of(over), id.measured().of(under));
        Judged judged = new Reading(id, id.measured().of(target), id.measured().of(value), tolerance, 1, false)
                .judged(Scheme.GRADED);
        return judgement(
                judged.deviation().number(), judged.credit(), judged.band().id());
    }

    /** Where a figure of a mark was measured from, if somebody chose one of them: a right one is right from either. */
    @JSExport
    @OneOf(MarkDatum.class)
    public static String datum(
            double value, double fromEnd, double fromBack, double near, @OneOf(MarkDatum.class) String chosen) {
        return MarkDatum.meant(
                        Length.ofInches(value),
                        MarkDatum.withId(chosen),
                        Length.ofInches(fromEnd),
                        Length.ofInches(fromBack),
                        Length.ofInches(near))
                .id();
    }

    /** Whether a text looks like a slip of the finger; null if it does not, or if it is no reading at all. */
    @JSExport
    public static @Nullable Slip slip(
            String feature, String text, @OneOf(LengthUnit.class) String bare, double target, double tolerance) {
        FeatureId id = id(feature);
        try {
            return TypingSlip.in(
                            id,
                            text,
                            unit(bare),
                            id.measured().of(target),
                            id.measured().of(tolerance))
                    .map(slip -> slipped(slip.off().number(), slip.meant().orElse("")))
                    .orElse(null);
        } catch (RefusedText | Refused noReading) {
            return null;
        }
    }

    /** The text of the next line of the tape; from what is asked for where nothing readable is typed. */
    @JSExport
    public static String nudge(
            String feature,
            String text,
            @OneOf(LengthUnit.class) String bare,
            double target,
            double divisionIn,
            int steps) {
        FeatureId id = id(feature);
        Quantity from;
        try {
            from = ReadingText.read(id, text, unit(bare));
        } catch (RefusedText | Refused noReading) {
            from = id.measured().of(target);
        }
        return Nudge.text(id, from, new TapeDivision(Length.ofInches(divisionIn)), steps, unit(bare));
    }

    private static FeatureId id(String feature) {
        return FeatureId.withId(feature).orElseThrow();
    }

    private static LengthUnit unit(String bare) {
        return LengthUnit.withId(bare).orElse(LengthUnit.INCH);
    }

    private static TextRead problem(RefusedText refused) {
        String code = refused.reason().name().toLowerCase(Locale.ROOT).replace('_', '-');
        return problem(message(refused), refused.suggestion().orElse(""), code);
    }

    private static TextRead problem(Refused refused) {
        return problem(message(refused), "", refused.faults().getFirst().code().id());
    }

    private static String message(RuntimeException refused) {
        return String.valueOf(refused.getMessage());
    }

    @JSBody(params = "value", script = "return {value: value};")
    private static native TextRead.Value value(double value);

    @JSBody(
            params = {"message", "suggestion", "code"},
            script = "return {problem: message, suggestion: suggestion, code: code};")
    private static native TextRead.NoSize problem(String message, String suggestion, String code);

    @JSBody(
            params = {"deviation", "credit", "band"},
            script = "return {deviation: deviation, credit: credit, band: band};")
    private static native Judgement judgement(double deviation, double credit, String band);

    @JSBody(
            params = {"off", "meant"},
            script = "return {off: off, meant: meant};")
    private static native Slip slipped(double off, String meant);
}
