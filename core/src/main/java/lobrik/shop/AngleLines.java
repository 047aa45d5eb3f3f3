package lobrik.shop;

import java.util.Comparator;
import java.util.List;
import lobrik.measure.Angle;

/** The angle lines cast into a hand shoe (handbook 3): what somebody can bend to by eye. */
public final class AngleLines {

    private static final List<Angle> LINES = List.of(
            Angle.ofDegrees(10),
            Angle.ofDegrees(22.5),
            Angle.ofDegrees(30),
            Angle.ofDegrees(45),
            Angle.ofDegrees(60),
            Angle.ofDegrees(90));

    private AngleLines() {}

    /** All of them, the smallest first. */
    public static List<Angle> all() {
        return LINES;
    }

    /** All of them, the nearest first. */
    public static List<Angle> nearestTo(Angle angle) {
        return LINES.stream()
                .sorted(Comparator.comparingLong(line -> Math.abs(line.count() - angle.count())))
                .toList();
    }

    /** Whether the shoe has a line for it. */
    public static boolean has(Angle angle) {
        return LINES.contains(angle);
    }
}
