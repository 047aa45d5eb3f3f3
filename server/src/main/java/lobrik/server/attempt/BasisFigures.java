package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Optional;
import lobrik.assessment.Basis;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.verdict.Tolerance;
import org.jspecify.annotations.Nullable;

/**
 * What a piece is judged by, as it is stored: lengths in picometres, angles in nanodegrees.
 *
 * @param cut null where the far end stays open
 * @param followsAlong null for anything but a run, and for runs that were begun before it was a rule
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record BasisFigures(
        List<HeldFigures> features,
        List<MarkFigures> marks,
        @Nullable CutFigures cut,
        boolean slipsCountOnce,
        @Nullable Boolean followsAlong) {

    record HeldFigures(String id, long asked, long target, long over, long under, double weight, boolean critical) {}

    record MarkFigures(int number, long place, long figure, long over, long under, double weight, boolean critical) {}

    record CutFigures(long right, long over, long under) {}

    static BasisFigures of(Basis basis) {
        return new BasisFigures(
                basis.features().stream().map(BasisFigures::held).toList(),
                basis.marks().stream().map(BasisFigures::mark).toList(),
                basis.cut().map(BasisFigures::cut).orElse(null),
                basis.slipsCountOnce(),
                basis.followsAlong() ? true : null);
    }

    private static HeldFigures held(Basis.Held held) {
        return new HeldFigures(
                held.id().id(),
                held.asked().count(),
                held.target().count(),
                held.tolerance().over().count(),
                held.tolerance().under().count(),
                held.weight(),
                held.critical());
    }

    private static MarkFigures mark(Basis.HeldMark mark) {
        return new MarkFigures(
                mark.number(),
                mark.place().count(),
                mark.figure().count(),
                mark.tolerance().over().count(),
                mark.tolerance().under().count(),
                mark.weight(),
                mark.critical());
    }

    private static CutFigures cut(Basis.HeldLength cut) {
        return new CutFigures(
                cut.right().count(),
                cut.tolerance().over().count(),
                cut.tolerance().under().count());
    }

    Basis toCore() {
        return new Basis(
                features.stream().map(BasisFigures::held).toList(),
                marks.stream().map(BasisFigures::mark).toList(),
                Optional.ofNullable(cut)
                        .map(figures -> new Basis.HeldLength(
                                new Length(figures.right()), lengths(figures.over(), figures.under()))),
                slipsCountOnce,
                followsAlong != null && followsAlong);
    }

    private static Basis.Held held(HeldFigures figures) {
        FeatureId id = FeatureId.withId(figures.id()).orElseThrow();
        Quantity asked = id.measured().ofCount(figures.asked());
        return new Basis.Held(
                id,
                asked,
                asked.withCount(figures.target()),
                new Tolerance(asked.withCount(figures.over()), asked.withCount(figures.under())),
                figures.weight(),
                figures.critical());
    }

    private static Basis.HeldMark mark(MarkFigures figures) {
        return new Basis.HeldMark(
                figures.number(),
                new Length(figures.place()),
                new Length(figures.figure()),
                lengths(figures.over(), figures.under()),
                figures.weight(),
                figures.critical());
    }

    private static Tolerance lengths(long over, long under) {
        return new Tolerance(new Length(over), new Length(under));
    }
}
