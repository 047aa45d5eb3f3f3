package lobrik.server.demo;

import static lobrik.server.demo.DemoPerson.steady;

import java.util.List;

/** The made-up people of Tern Quay Apprentice School and what they were set. All names are invented. */
final class DemoCast {

    /** A session's exercise: where in the mocked-up cold store, the leg, the other leg, by the star or the arrow. */
    record DemoExercise(String place, double legIn, double otherLegIn, boolean byTheStar) {}

    private DemoCast() {}

    static final List<DemoPerson> FIRST_YEAR = List.of(
            steady("Abel Ferrow", 0.091, 1.26),
            steady("Bettina Crake", 0.065, 0.98),
            // Forgets the take-up now and then: the leg comes out half a foot long.
            new DemoPerson("Caspian Wold", 0, 0.08, 0, 1.0, 0.3, 0.22),
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
            steady("Odile Farrant", 0.039, 0.7),
            steady("Piet Rowanger", 0.065, 0.84),
            new DemoPerson("Quill Sandoz", 0, 0.05, 1.3, 0.5, 0.2, 0),
            steady("Rasmus Eelby", 0.052, 1.12),
            steady("Saskia Thornet", 0.026, 0.56),
            steady("Tamsin Gorrie", 0.078, 0.98),
            steady("Ulf Brackenby", 0.065, 1.26),
            new DemoPerson("Vesna Korrin", -0.07, 0.04, 0, 0.6, 0.4, 0.02),
            steady("Wilf Okonde", 0.052, 0.7));

    static final List<DemoExercise> EXERCISES = List.of(
            new DemoExercise("Up from the pump-room box", 12, 18, false),
            new DemoExercise("Up beside the brine pipe", 14.5, 20, false),
            new DemoExercise("Up to the defrost switch", 17.625, 22, false),
            new DemoExercise("Down behind the plinth", 10.25, 24, false),
            new DemoExercise("Up to the door heater", 21.375, 19.5, true),
            new DemoExercise("Up by the insulated column", 16.125, 26, false),
            new DemoExercise("To the alarm box", 13.75, 30, true),
            new DemoExercise("Under the air duct", 19.8125, 24.5, false));
}
