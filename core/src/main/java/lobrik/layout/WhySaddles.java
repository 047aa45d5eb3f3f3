package lobrik.layout;

import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.measure.Length;

/** Explains the marks of saddles. */
final class WhySaddles {

    private final Why why;

    WhySaddles(Why why) {
        this.why = why;
    }

    void of(Saddle3 saddle) {
        why.raised("height", saddle.height(), saddle.clearance(), saddle.raised());
        why.shrink(saddle.raised(), saddle.outerAngle());
        boolean exact = why.school().method() == Method.EXACT;
        Length centre = saddle.centre().plus(why.shrink());
        String formula = exact ? "saddle3-exact-marks" : "saddle3-chart-marks";
        Sum middle = Sum.of("centre", saddle.centre()).plus("shrink", why.shrink());
        if (!why.at(2).equals(centre)) {
            middle.plus("so that the curve's middle lands there", why.at(2).minus(centre));
        }
        why.mark(
                2,
                formula,
                "Bending the near side draws the middle back by the shrink, so the middle mark goes that much further on.",
                middle);
        if (!exact) {
            Length k = why.at(3).minus(why.at(2));
            why.add(Sum.of("height to bend", saddle.raised())
                    .times(
                            "factor for " + saddle.outerAngle().text(),
                            k.inches() / saddle.raised().inches())
                    .gives(
                            "spacing",
                            "middle mark to an outer mark",
                            "saddle3-chart-marks",
                            "From the middle mark to each outer mark: so many times the height.",
                            k));
        }
        outer(1, formula, why.at(2).minus(why.at(1)), "−");
        outer(3, formula, why.at(3).minus(why.at(2)), "+");
        why.overallTwice(saddle.overall());
    }

    private void outer(int number, String formula, Length spacing, String sign) {
        why.mark(
                number,
                formula,
                sign.equals("−")
                        ? "The near outer mark lies before the middle mark."
                        : "The far outer mark lies beyond the middle mark.",
                Sum.of("mark 2", why.at(2)).and(sign, "middle to outer mark", spacing));
    }

    void of(Saddle4 saddle) {
        why.raised("height", saddle.height(), saddle.clearance(), saddle.raised());
        Length spacing = why.at(2).minus(why.at(1));
        why.spacing(saddle.raised(), saddle.angle(), spacing);
        switch (saddle.measuredTo()) {
            case NEAR_EDGE -> {
                why.shrink(saddle.raised(), saddle.angle());
                why.mark(
                        2,
                        "saddle4-marks",
                        "The conduit must be up before the edge, by the edge clearance; bending draws it in by the shrink.",
                        Sum.of("distance", saddle.distance())
                                .minus("edge clearance", saddle.edgeClearance())
                                .plus("shrink", why.shrink()));
            }
            case CENTRED ->
                why.mark(
                        2,
                        "saddle4-marks",
                        "Half of the flat top lies before the middle. Both ends are free, so there is no shrink to add.",
                        Sum.of("distance", saddle.distance())
                                .minus("half the flat", saddle.flat().times(0.5)));
        }
        why.mark(
                1,
                "saddle4-marks",
                "One spacing nearer to the datum end.",
                Sum.of("mark 2", why.at(2)).minus("spacing", spacing));
        why.mark(
                3,
                "saddle4-marks",
                "The flat top is as wide as the obstacle, with the edge clearance on both sides.",
                Sum.of("mark 2", why.at(2))
                        .plus("width", saddle.width())
                        .plusTwice("edge clearance", saddle.edgeClearance()));
        why.mark(
                4,
                "saddle4-marks",
                "One spacing further on.",
                Sum.of("mark 3", why.at(3)).plus("spacing", spacing));
        why.overallTwice(saddle.overall());
    }
}
