package lobrik.sticks;

import java.util.ArrayList;
import java.util.List;
import lobrik.fault.Faults;
import lobrik.measure.Length;
import lobrik.shape.Piece;

/**
 * Where a run is fastened (handbook 4.9): so near to each fitting, and no further apart than what the centre's rules say. Distances are
 * along the conduit; a strap sits on a straight, so one that would come onto a curve is set before it.
 */
public final class Straps {

    /**
     * What local code and the centre say.
     *
     * @param fromFitting at most from a fitting to the first support
     * @param apart at most from one support to the next
     */
    public record Rule(Length fromFitting, Length apart) {

        /** Three and ten feet: defaults, which the local code may contradict (handbook 4.9). */
        public static final Rule USUAL = new Rule(Length.ofInches(36), Length.ofInches(120));

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public Rule {
            Faults faults = new Faults();
            faults.requirePositive("fromFittingIn", "the distance from a fitting", fromFitting, Length.ofInches(240));
            faults.requirePositive("apartIn", "the distance between supports", apart, Length.ofInches(480));
            faults.refuseIfAny();
        }
    }

    private Straps() {}

    /** Places on the straight conduit, from the datum end: as few as the rule allows, evenly between the outer two. */
    public static List<Length> of(Piece run, Rule rule) {
        Length length = run.length();
        Length first =
                beforeCurves(run, rule.fromFitting().isLessThan(length) ? rule.fromFitting() : length.times(0.5));
        Length last = afterCurves(run, length.minus(rule.fromFitting()));
        List<Length> places = new ArrayList<>();
        places.add(first);
        if (!last.isMoreThan(first)) {
            return places;
        }
        Length here = first;
        while (last.minus(here).isMoreThan(rule.apart())) {
            long more =
                    (long) Math.ceil(last.minus(here).inches() / rule.apart().inches() - 1e-9);
            Length next = beforeCurves(run, here.plus(last.minus(here).times(1.0 / more)));
            if (!next.isMoreThan(here)) {
                break;
            }
            places.add(next);
            here = next;
        }
        places.add(last);
        return List.copyOf(places);
    }

    private static Length beforeCurves(Piece run, Length place) {
        return offCurves(run, place, false);
    }

    private static Length afterCurves(Piece run, Length place) {
        return offCurves(run, place, true).max(Length.ZERO);
    }

    /** The place itself, or the end of the curve that it is on. */
    private static Length offCurves(Piece run, Length place, boolean after) {
        Length start = Length.ZERO;
        for (int i = 0; i < run.arcs().size(); i++) {
            start = start.plus(run.straights().get(i).length());
            Length end = start.plus(run.arcs().get(i).length());
            if (place.isMoreThan(start) && place.isLessThan(end)) {
                return after ? end : start;
            }
            start = end;
        }
        return place;
    }
}
