package lobrik.server.demo;

import static lobrik.bend.OffsetLayout.BEFORE_OBSTACLE;
import static lobrik.server.demo.DemoPerson.steady;

import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxEnd;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Leg;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Situation;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.exercise.Level;
import lobrik.shape.Surround;

/** The made-up people of Tern Quay Apprentice School and what they were set. All names are invented. */
final class DemoCast {

    /** A session's exercise: where in the mocked-up cold store, and what is to be bent there. */
    record DemoExercise(String place, Bend bend) {

        Level level() {
            return switch (bend) {
                case Stub90 _, BackToBack90 _ -> Level.FIRST;
                case BoxOffset _, Offset _, Kick _ -> Level.STEADY;
                case RollingOffset _, Saddle3 _, Saddle4 _, OverBent90 _, Run _ -> Level.ADVANCED;
            };
        }

        /**
         * By the chart, as it is taught; but a kick's mark is off by most of an inch then: that is for a lesson on methods, not for
         * a judged piece.
         */
        Method method() {
            return switch (bend) {
                case Kick _ -> Method.EXACT;
                case Stub90 _,
                        BackToBack90 _,
                        BoxOffset _,
                        Offset _,
                        RollingOffset _,
                        Saddle3 _,
                        Saddle4 _,
                        OverBent90 _,
                        Run _ -> Method.CHART;
            };
        }

        Situation situation() {
            return switch (bend) {
                case Stub90 _ -> Situation.UP_FROM_BOX;
                case BackToBack90 _ -> Situation.BETWEEN_WALLS;
                case BoxOffset _ -> Situation.INTO_BOX;
                case Offset _ -> Situation.ONTO_PLINTH;
                case Kick _ -> Situation.UP_TO_LAMP;
                case RollingOffset _ -> Situation.UP_AND_ACROSS;
                case Saddle3 _ -> Situation.OVER_PIPE;
                case Saddle4 _ -> Situation.OVER_DUCT;
                case OverBent90 _ -> Situation.OVER_BEAM;
                case Run _ -> Situation.BOX_TO_BOX;
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

    static final List<DemoPerson> AT_THE_MACHINE = List.of(
            steady("Xenia Marlow", 0.05, 0.5),
            // Pulls to the angle itself: it springs back.
            new DemoPerson("Yorick Tansy", 0, 0.06, -3.2, 0.5, 0.15, 0),
            new DemoPerson("Zelda Prynne", 0, 0.07, 0, 0.7, 0.5, 0.3),
            steady("Anselm Dray", 0.09, 0.9),
            steady("Birgit Soames", 0.03, 0.4));

    static final List<DemoPerson> WITH_HEAT = List.of(
            steady("Cosmo Ivell", 0.06, 1.1),
            // Lets go before it is cold.
            new DemoPerson("Dorrit Lamb", 0, 0.07, -4.5, 1.2, 0.2, 0),
            // Warms too little of it.
            new DemoPerson("Emeric Vane", 0, 0.07, 0, 1.1, 0.2, 0, 0.28),
            steady("Freya Nettle", 0.1, 1.6),
            steady("Gideon Sparr", 0.04, 0.8));

    /** Whoever knows the single bends: runs from box to box. */
    static final List<DemoPerson> THIRD_YEAR = List.of(
            steady("Hollis Varne", 0.035, 0.4),
            // Pulls every bend a little too far.
            new DemoPerson("Ingrid Pell", 0, 0.05, 1.4, 0.5, 0.2, 0),
            steady("Jasper Tolk", 0.06, 0.8),
            steady("Kirra Benlow", 0.02, 0.3));

    /** One session a week: runs along the walls of the new cold store. The last day begins again. */
    static final List<DemoExercise> THIRD_YEAR_TERM = List.of(
            new DemoExercise(
                    "From the switch box round the corner",
                    run(box(Towards.IN), none(), leg(24, Towards.RIGHT), leg(20, Towards.UP), leg(18, Towards.OUT))),
            new DemoExercise(
                    "Along the ceiling to the fan",
                    run(none(), none(), leg(22, Towards.UP), leg(30, Towards.RIGHT), leg(20, Towards.OUT))),
            new DemoExercise(
                    "Box to box past the door",
                    run(
                            box(Towards.IN),
                            box(Towards.OUT),
                            leg(20, Towards.UP),
                            leg(34, Towards.RIGHT),
                            leg(22, Towards.DOWN))));

    /** Longer than a stick: bent by several, a piece each. */
    static final DemoExercise TOGETHER = new DemoExercise(
            "From the panel round the cold store",
            run(
                    none(),
                    none(),
                    leg(60, Towards.UP),
                    leg(110, Towards.RIGHT),
                    leg(112, Towards.OUT),
                    leg(60, Towards.RIGHT)));

    /** One session a week at the machine: large conduit for the cold store's feed. The last day begins again. */
    static final List<DemoExercise> MACHINE_TERM = List.of(
            stub("Feeder up from the switch room", 34, 48),
            stub("Feeder down to the trench", 40.5, 52),
            offset("Feeder up onto the plant plinth", 14, 30, 60, 118),
            stub("Feeder past the chiller", 28.25, 60),
            new DemoExercise("Feeder round the tank room", backToBack(30, 62, 36)),
            new DemoExercise("Feeder up to the tray", new Kick(in(22), Angle.ofDegrees(30), in(84), BEFORE_OBSTACLE)),
            offset("Feeder past the duct bank", 12, 22.5, 64, 130),
            stub("Feeder up to the changeover switch", 36.75, 44));

    /** One session a week with heat guns: plastic along the wash-down walls. The last day begins again. */
    static final List<DemoExercise> HEAT_TERM = List.of(
            stub("Up to the wash-down switch", 18, 24),
            offset("Round the drain pipe", 5, 30, 34, 64),
            stub("Down to the sump pump", 14.5, 28),
            boxOffset("Into the float switch", 30),
            offset("Over the tiled ledge", 4, 22.5, 36, 70),
            stub("Up beside the hose reel", 20.25, 22),
            new DemoExercise("Between the two wash basins", backToBack(16, 36, 18)),
            stub("Up to the door sensor", 16.75, 26));

    /** Two sessions a week: stubs at first, then the first bends that belong together. The last day begins again. */
    static final List<DemoExercise> FIRST_YEAR_TERM = List.of(
            stub("Up from the pump-room box", 12, 18),
            stub("Up beside the brine pipe", 14.5, 20),
            stub("Up to the defrost switch", 17.625, 22),
            stub("Down behind the plinth", 10.25, 24),
            stubByTheStar("Up to the door heater", 21.375, 19.5),
            stub("Up by the insulated column", 16.125, 26),
            new DemoExercise("Round the pump-room door", backToBack(13.5, 31.25, 15)),
            stubByTheStar("To the alarm box", 13.75, 30),
            stub("Under the air duct", 19.8125, 24.5),
            boxOffset("Into the light switch", 36),
            stub("Up to the fan isolator", 15.375, 23),
            new DemoExercise("Between the column and the wall", backToBack(12.25, 34.5, 16.5)),
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
                    new RollingOffset(
                            in(4.5), in(3), Angle.ofDegrees(30), in(40), BEFORE_OBSTACLE, Optional.of(in(72)))),
            new DemoExercise(
                    "Up to the lamp over the door", new Kick(in(9), Angle.ofDegrees(30), in(44), BEFORE_OBSTACLE)),
            saddle3("Over the drain pipe", 3.5, 34, 70),
            saddle4("Over the cable tray", 2.5, 9.25, 32, 84),
            new DemoExercise("Between the two condensers", backToBack(14, 38.25, 12.75)));

    private static Bend run(Optional<BoxEnd> start, Optional<BoxEnd> end, Leg... legs) {
        Length intoTheBox = Surround.USUAL_INSERTION;
        return new Run(List.of(legs), intoTheBox, intoTheBox, start, end, List.of(), List.of());
    }

    private static Leg leg(double inches, Towards towards) {
        return new Leg(in(inches), towards, Length.ZERO);
    }

    private static Optional<BoxEnd> box(Towards towards) {
        return Optional.of(new BoxEnd(in(0.5), Angle.ofDegrees(10), in(3), towards));
    }

    private static Optional<BoxEnd> none() {
        return Optional.empty();
    }

    private static Length in(double inches) {
        return Length.ofInches(inches);
    }

    private static DemoExercise stub(String place, double legIn, double otherLegIn) {
        return new DemoExercise(place, new Stub90(in(legIn), Optional.of(in(otherLegIn)), Placement.ARROW));
    }

    private static DemoExercise stubByTheStar(String place, double legIn, double otherLegIn) {
        return new DemoExercise(place, new Stub90(in(legIn), Optional.of(in(otherLegIn)), Placement.STAR));
    }

    private static Bend backToBack(double firstLegIn, double betweenIn, double secondLegIn) {
        return new BackToBack90(in(firstLegIn), in(betweenIn), in(secondLegIn));
    }

    private static DemoExercise boxOffset(String place, double overallIn) {
        return new DemoExercise(
                place, new BoxOffset(in(0.5), Angle.ofDegrees(10), in(2.5), Optional.of(in(overallIn))));
    }

    private static DemoExercise offset(
            String place, double riseIn, double angleDeg, double distanceIn, double overallIn) {
        return new DemoExercise(
                place,
                new Offset(
                        in(riseIn),
                        Length.ZERO,
                        Angle.ofDegrees(angleDeg),
                        in(distanceIn),
                        BEFORE_OBSTACLE,
                        Optional.of(in(overallIn))));
    }

    private static DemoExercise saddle3(String place, double heightIn, double centreIn, double overallIn) {
        return new DemoExercise(
                place,
                new Saddle3(
                        in(heightIn),
                        in(1),
                        Saddle3.USUAL_OUTER_ANGLE,
                        in(centreIn),
                        Saddle3.Spacing.FACTOR,
                        Saddle3.Order.CENTRE_FIRST,
                        Optional.of(in(overallIn))));
    }

    private static DemoExercise saddle4(
            String place, double heightIn, double widthIn, double distanceIn, double overallIn) {
        return new DemoExercise(
                place,
                new Saddle4(
                        in(heightIn),
                        in(0.75),
                        Angle.ofDegrees(30),
                        in(widthIn),
                        in(0.5),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        in(distanceIn),
                        Placement.ARROW,
                        Optional.of(in(overallIn))));
    }
}
