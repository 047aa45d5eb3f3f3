package lobrik.server.demo;

import static lobrik.server.calc.BendInput.OffsetLayout.BEFORE_OBSTACLE;
import static lobrik.server.demo.DemoPerson.steady;

import java.util.List;
import lobrik.bend.Situation;
import lobrik.server.calc.BendInput;
import lobrik.server.exercise.Level;

/** The made-up people of Tern Quay Apprentice School and what they were set. All names are invented. */
final class DemoCast {

    /** A session's exercise: where in the mocked-up cold store, and what is to be bent there. */
    record DemoExercise(String place, BendInput bend) {

        Level level() {
            return switch (bend) {
                case BendInput.Stub90 _, BendInput.BackToBack90 _ -> Level.FIRST;
                case BendInput.BoxOffset _, BendInput.Offset _, BendInput.Kick _ -> Level.STEADY;
                case BendInput.RollingOffset _, BendInput.Saddle3 _, BendInput.Saddle4 _ -> Level.ADVANCED;
            };
        }

        Situation situation() {
            return switch (bend) {
                case BendInput.Stub90 _ -> Situation.UP_FROM_BOX;
                case BendInput.BackToBack90 _ -> Situation.BETWEEN_WALLS;
                case BendInput.BoxOffset _ -> Situation.INTO_BOX;
                case BendInput.Offset _ -> Situation.ONTO_PLINTH;
                case BendInput.Kick _ -> Situation.UP_TO_LAMP;
                case BendInput.RollingOffset _ -> Situation.UP_AND_ACROSS;
                case BendInput.Saddle3 _ -> Situation.OVER_PIPE;
                case BendInput.Saddle4 _ -> Situation.OVER_DUCT;
            };
        }
    }

    private DemoCast() {}

    static final List<DemoPerson> FIRST_YEAR = List.of(
            steady("Abel Ferrow", 0.091, 1.26),
            steady("Bettina Crake", 0.065, 0.98),
            // Forgets the take-up or the shrink now and then.
            new DemoPerson("Caspian Wold", 0, 0.08, 0, 1.0, 0.3, 0.4),
            steady("Dilara Menn", 0.13, 1.68),
            // Always goes over, and does not get better at it.
            new DemoPerson("Edda Stroud", 0, 0.05, 2.4, 0.7, 0.1, 0),
            steady("Fionn Ashgrove", 0.156, 1.82),
            // Improves fast.
            new DemoPerson("Greta Lindvar", 0.22, 0.16, -2.6, 1.8, 0.93, 0.05),
            steady("Hamid Sorrel", 0.104, 1.12),
            // Rings the mark on the wrong side of the line.
            new DemoPerson("Ilse Pendry", 0.13, 0.04, 0, 0.8, 0.2, 0),
            steady("Jonah Tarn", 0.091, 1.54),
            // Ready for sign-off.
            steady("Kezia Mallow", 0.025, 0.35),
            steady("Lorcan Veigh", 0.143, 1.4),
            new DemoPerson("Mirela Dunt", -0.05, 0.09, -1.4, 1.0, 0.5, 0.03),
            steady("Nuno Hask", 0.117, 1.68));

    static final List<DemoPerson> SECOND_YEAR = List.of(
            steady("Odile Farrant", 0.024, 0.39),
            steady("Piet Rowanger", 0.040, 0.46),
            new DemoPerson("Quill Sandoz", 0, 0.05, 1.3, 0.5, 0.2, 0),
            steady("Rasmus Eelby", 0.032, 0.62),
            steady("Saskia Thornet", 0.016, 0.31),
            steady("Tamsin Gorrie", 0.048, 0.54),
            steady("Ulf Brackenby", 0.040, 0.69),
            new DemoPerson("Vesna Korrin", -0.07, 0.04, 0, 0.6, 0.4, 0.02),
            steady("Wilf Okonde", 0.032, 0.39));

    /** Two sessions a week: stubs at first, then the first bends that belong together. The last day begins again. */
    static final List<DemoExercise> FIRST_YEAR_TERM = List.of(
            stub("Up from the pump-room box", 12, 18),
            stub("Up beside the brine pipe", 14.5, 20),
            stub("Up to the defrost switch", 17.625, 22),
            stub("Down behind the plinth", 10.25, 24),
            stubByTheStar("Up to the door heater", 21.375, 19.5),
            stub("Up by the insulated column", 16.125, 26),
            new DemoExercise("Round the pump-room door", new BendInput.BackToBack90(13.5, 31.25, 15.0)),
            stubByTheStar("To the alarm box", 13.75, 30),
            stub("Under the air duct", 19.8125, 24.5),
            boxOffset("Into the light switch", 36),
            stub("Up to the fan isolator", 15.375, 23),
            new DemoExercise("Between the column and the wall", new BendInput.BackToBack90(12.25, 34.5, 16.5)),
            offset("Up onto the plinth", 5, 22.5, 40, 70),
            stub("Down to the sump alarm", 18.125, 21),
            boxOffset("Into the thermostat", 42),
            offset("Past the pipe bracket", 4.5, 30, 36, 66));

    /** Everything that a second-year bends, twice in a term. The last day begins again. */
    static final List<DemoExercise> SECOND_YEAR_TERM = List.of(
            saddle4("Over the air duct", 3.25, 11.5, 34, 92),
            offset("Up onto the plinth", 6, 30, 44, 78),
            saddle3("Over the brine pipe", 2.375, 30, 64),
            new DemoExercise(
                    "Up and across to the junction box",
                    new BendInput.RollingOffset(4.5, 3.0, 30.0, 40.0, BEFORE_OBSTACLE, 72.0)),
            new DemoExercise("Up to the lamp over the door", new BendInput.Kick(9.0, 30.0, 44.0, BEFORE_OBSTACLE)),
            saddle3("Over the drain pipe", 3.5, 34, 70),
            saddle4("Over the cable tray", 2.5, 9.25, 32, 84),
            new DemoExercise("Between the two condensers", new BendInput.BackToBack90(14.0, 38.25, 12.75)));

    private static DemoExercise stub(String place, double legIn, double otherLegIn) {
        return new DemoExercise(place, new BendInput.Stub90(legIn, otherLegIn, BendInput.Placement.ARROW));
    }

    private static DemoExercise stubByTheStar(String place, double legIn, double otherLegIn) {
        return new DemoExercise(place, new BendInput.Stub90(legIn, otherLegIn, BendInput.Placement.STAR));
    }

    private static DemoExercise boxOffset(String place, double overallIn) {
        return new DemoExercise(place, new BendInput.BoxOffset(0.5, 10.0, 2.5, overallIn));
    }

    private static DemoExercise offset(
            String place, double riseIn, double angleDeg, double distanceIn, double overallIn) {
        return new DemoExercise(
                place, new BendInput.Offset(riseIn, 0.0, angleDeg, distanceIn, BEFORE_OBSTACLE, overallIn));
    }

    private static DemoExercise saddle3(String place, double heightIn, double centreIn, double overallIn) {
        return new DemoExercise(
                place,
                new BendInput.Saddle3(
                        heightIn,
                        1.0,
                        22.5,
                        centreIn,
                        BendInput.SaddleSpacing.FACTOR,
                        BendInput.SaddleOrder.CENTRE_FIRST,
                        overallIn));
    }

    private static DemoExercise saddle4(
            String place, double heightIn, double widthIn, double distanceIn, double overallIn) {
        return new DemoExercise(
                place,
                new BendInput.Saddle4(
                        heightIn,
                        0.75,
                        30.0,
                        widthIn,
                        0.5,
                        BendInput.MeasuredTo.NEAR_EDGE,
                        distanceIn,
                        BendInput.Placement.ARROW,
                        overallIn));
    }
}
