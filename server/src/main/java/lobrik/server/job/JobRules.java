package lobrik.server.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Objects;
import lobrik.measure.Length;
import lobrik.server.platform.TurnedDown;
import lobrik.sticks.Stock;
import lobrik.sticks.Straps;
import lobrik.wire.DivideRequest;
import lobrik.wire.LayoutRequest;
import org.jspecify.annotations.Nullable;

/** What a run is cut from and where it is fastened, as it was when the job was given out; the usual figures where nothing is said. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record JobRules(
        @Nullable List<@Nullable Double> leftOversIn,
        @Nullable Double kerfIn,
        @Nullable Double couplingFromArcIn,
        @Nullable Double strapFromFittingIn,
        @Nullable Double strapApartIn,
        @Nullable Double friction) {

    /** Longer than any left-over: what a stick is, is said with the exercise. */
    private static final Length ANY_STICK = Length.ofInches(120);

    static final JobRules USUAL = new JobRules(null, null, null, null, null, null);

    /** What local code and the school decide, without what happens to be left over. */
    JobRules withoutLeftOvers() {
        return new JobRules(null, kerfIn, couplingFromArcIn, strapFromFittingIn, strapApartIn, friction);
    }

    /** @throws lobrik.fault.Refused with a figure that is outside its range */
    void requireInRange() {
        List<Length> leftOvers = leftOversIn == null
                ? List.of()
                : leftOversIn.stream()
                        .filter(Objects::nonNull)
                        .map(inches -> length("/leftOversIn", inches, Length.ZERO))
                        .toList();
        var _ = new Stock(
                ANY_STICK,
                leftOvers,
                length("/kerfIn", kerfIn, Stock.USUAL_KERF),
                length("/couplingFromArcIn", couplingFromArcIn, Stock.USUAL_FROM_ARC));
        var _ = new Straps.Rule(
                length("/strapFromFittingIn", strapFromFittingIn, Straps.Rule.USUAL.fromFitting()),
                length("/strapApartIn", strapApartIn, Straps.Rule.USUAL.apart()));
    }

    private static Length length(String pointer, @Nullable Double inches, Length usual) {
        if (inches == null) {
            return usual;
        }
        if (!(Math.abs(inches) <= Length.LONGEST_ENTRY.inches())) {
            throw TurnedDown.badInput(
                    pointer,
                    "out-of-range",
                    inches + " in is no length; give at most " + Length.LONGEST_ENTRY.inches() + " in");
        }
        return Length.ofInches(inches);
    }

    DivideRequest of(LayoutRequest whole) {
        return new DivideRequest(
                whole, leftOversIn, kerfIn, couplingFromArcIn, strapFromFittingIn, strapApartIn, friction);
    }
}
