package lobrik.inbrowser;

import java.util.Locale;
import java.util.Optional;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.measure.RefusedText;
import lobrik.measure.TakeOff;
import lobrik.measure.TapeDivision;
import lobrik.reading.Nudge;
import lobrik.reading.ReadingText;
import lobrik.reading.TypingSlip;
import lobrik.verdict.Judged;
import lobrik.verdict.Reading;
import lobrik.verdict.Scheme;
import lobrik.verdict.Tolerance;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/**
 * What a screen asks the core while it has no signal. Lengths are inches and angles degrees, as in the interface; features
 * go by their ids, and the unit of a bare number is {@code in} or {@code mm}.
 */
public final class BenchCore {

    private BenchCore() {}

    /** What was typed: its value, or what is wrong with it and what was probably meant. */
    @JSExport
    public static JSObject read(String feature, String text, String bare) {
        try {
            return value(inUnits(ReadingText.read(id(feature), text, unit(bare))));
        } catch (RefusedText refused) {
            return problem(message(refused), refused.suggestion().orElse(""));
        } catch (Refused refused) {
            return problem(message(refused), "");
        }
    }

    /**
     * What was typed into a field that takes a size: its value, or what is wrong with it.
     *
     * @param kind {@code angle}, {@code length}, or {@code distance}, which may also be two readings of a tape
     */
    @JSExport
    public static JSObject quantity(String kind, String text, String bare) {
        try {
            return value(
                    switch (kind) {
                        case "angle" -> Angle.parse(text).degrees();
                        case "distance" ->
                            TakeOff.parse(text, unit(bare)).length().inches();
                        case "length" -> Length.parse(text, unit(bare)).inches();
                        default -> throw new IllegalArgumentException(kind);
                    });
        } catch (RefusedText refused) {
            return refusal(
                    message(refused),
                    refused.suggestion().orElse(""),
                    refused.reason().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
    }

    /** How far a reading is off, and what that is worth. */
    @JSExport
    public static JSObject judge(String feature, double value, double target, double over, double under) {
        FeatureId id = id(feature);
        Tolerance tolerance =
                new Tolerance(id.measured().of(over), id.measured().of(under));
        Judged judged = new Reading(id, id.measured().of(target), id.measured().of(value), tolerance, 1, false)
                .judged(Scheme.GRADED);
        return judgement(
                inUnits(judged.deviation()),
                judged.credit(),
                judged.band().name().toLowerCase(Locale.ROOT));
    }

    /** Where a figure of a mark was measured from, {@code end} or {@code back}, if somebody chose one of them. */
    @JSExport
    public static String datum(double value, double fromEnd, double fromBack, double near, String chosen) {
        return MarkDatum.meant(
                        Length.ofInches(value),
                        Optional.of(chosen.equals("back") ? MarkDatum.BACK : MarkDatum.END),
                        Length.ofInches(fromEnd),
                        Length.ofInches(fromBack),
                        Length.ofInches(near))
                .name()
                .toLowerCase(Locale.ROOT);
    }

    /** Whether a text looks like a slip of the finger; nothing if it does not, or if it is no reading at all. */
    @JSExport
    public static JSObject slip(String feature, String text, String bare, double target, double tolerance) {
        FeatureId id = id(feature);
        try {
            return TypingSlip.in(
                            id,
                            text,
                            unit(bare),
                            id.measured().of(target),
                            id.measured().of(tolerance))
                    .map(slip -> slipped(inUnits(slip.off()), slip.meant().orElse("")))
                    .orElseGet(BenchCore::nothing);
        } catch (RefusedText | Refused noReading) {
            return nothing();
        }
    }

    /** The text of the next line of the tape; from what is asked for where nothing readable is typed. */
    @JSExport
    public static String nudge(String feature, String text, String bare, double target, double divisionIn, int steps) {
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
        return bare.equals("mm") ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
    }

    private static double inUnits(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inches();
            case Angle angle -> angle.degrees();
        };
    }

    private static String message(RuntimeException refused) {
        return String.valueOf(refused.getMessage());
    }

    @JSBody(params = "value", script = "return {value: value};")
    private static native JSObject value(double value);

    @JSBody(
            params = {"message", "suggestion"},
            script = "return {problem: message, suggestion: suggestion};")
    private static native JSObject problem(String message, String suggestion);

    @JSBody(
            params = {"message", "suggestion", "code"},
            script = "return {problem: message, suggestion: suggestion, code: code};")
    private static native JSObject refusal(String message, String suggestion, String code);

    @JSBody(
            params = {"deviation", "credit", "band"},
            script = "return {deviation: deviation, credit: credit, band: band};")
    private static native JSObject judgement(double deviation, double credit, String band);

    @JSBody(
            params = {"off", "meant"},
            script = "return {off: off, meant: meant};")
    private static native JSObject slipped(double off, String meant);

    @JSBody(script = "return null;")
    private static native JSObject nothing();
}
