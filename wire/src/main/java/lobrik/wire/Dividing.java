package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import lobrik.bend.Run;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.sticks.CutList;
import lobrik.sticks.Division;
import lobrik.sticks.PullPoints;
import lobrik.sticks.Stock;
import lobrik.sticks.Straps;
import org.jspecify.annotations.Nullable;

/** Asks the core what a run is made from. */
final class Dividing {

    private static final int MOST_LEFT_OVERS = 200;

    private Dividing() {}

    static DivideAnswer divide(DivideRequest request) {
        Translation translation = new Translation();
        Optional<LayoutRequest> asked = translation.required("layout", request.layout());
        double friction = translation.friction(request.friction());
        List<Length> leftOvers = leftOvers(translation, Objects.requireNonNullElse(request.leftOversIn(), List.of()));
        Optional<Length> kerf = translation.lengthOr("kerfIn", request.kerfIn(), Stock.USUAL_KERF);
        Optional<Length> fromArc =
                translation.lengthOr("couplingFromArcIn", request.couplingFromArcIn(), Stock.USUAL_FROM_ARC);
        Optional<Straps.Rule> rule = translation
                .lengthOr("strapFromFittingIn", request.strapFromFittingIn(), Straps.Rule.USUAL.fromFitting())
                .flatMap(fitting -> translation
                        .lengthOr("strapApartIn", request.strapApartIn(), Straps.Rule.USUAL.apart())
                        .flatMap(apart -> translation.built("", () -> new Straps.Rule(fitting, apart))));
        Layout layout = Question.of(translation.finish(asked)).layout();
        Optional<Stock> stock = kerf.flatMap(saw -> fromArc.flatMap(room -> translation.built(
                "", () -> new Stock(layout.job().school().limits().stick(), leftOvers, saw, room))));
        Stock cutFrom = translation.finish(stock);
        Run run = layout.job().bend().run().orElseThrow(() -> notARun(layout));
        List<Division.Piece> pieces =
                Division.of(layout, run.shape(), cutFrom).orElseThrow(() -> cannotBeDivided(layout));
        return DivideAnswer.of(
                layout,
                pieces,
                CutList.of(pieces.stream().map(Division.Piece::length).toList(), cutFrom),
                Straps.of(layout.predicted(), translation.finish(rule)),
                PullPoints.of(run.shape(), layout.job().school().limits().mostBends()),
                friction);
    }

    private static List<Length> leftOvers(Translation translation, List<@Nullable Double> given) {
        if (given.size() > MOST_LEFT_OVERS) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    "leftOversIn",
                    "there are " + given.size() + " left-overs; give at most " + MOST_LEFT_OVERS);
            return List.of();
        }
        List<Length> leftOvers = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            translation.length("leftOversIn/" + i, given.get(i)).ifPresent(leftOvers::add);
        }
        return leftOvers;
    }

    private static Refused notARun(Layout layout) {
        return Refused.impossible(new Fault(
                FaultCode.UNKNOWN_VALUE,
                "layout/bend/kind",
                "runs are divided at couplings, not a "
                        + layout.job().bend().kind().words()));
    }

    private static Refused cannotBeDivided(Layout layout) {
        return Refused.impossible(new Fault(
                FaultCode.LONGER_THAN_STICK,
                "layout/bend/legs",
                "there are no couplings that make pieces of at most "
                        + layout.job().school().limits().stick().inWords()
                        + " which can be bent; make a leg longer, so that a coupling has room on it, or shorter"));
    }
}
