package lobrik.server.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import lobrik.bend.Along;
import lobrik.bend.BoxEnd;
import lobrik.bend.Input;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * What a sheet gives of a run, as short as it can be said.
 *
 * @param title what it is
 * @param value how large, and what else there is to know
 */
record RunGiven(String title, String value) {

    /**
     * All that is given.
     *
     * @param size how a size is written
     */
    static List<RunGiven> of(Run run, Function<Quantity, String> size) {
        List<RunGiven> given = new ArrayList<>();
        for (int i = 0; i < run.legs().size(); i++) {
            Leg leg = run.legs().get(i);
            given.add(new RunGiven("Leg " + (i + 1) + ", " + leg.towards().words(), measured(leg, size)));
        }
        end(given, "Goes in at the start", run.startInsertion(), size);
        end(given, "Goes in at the end", run.endInsertion(), size);
        run.startOffset().ifPresent(box -> given.add(new RunGiven("Offset at the start", box(box, size))));
        run.endOffset().ifPresent(box -> given.add(new RunGiven("Offset at the end", box(box, size))));
        for (int i = 0; i < run.along().size(); i++) {
            Along along = run.along().get(i);
            given.add(new RunGiven(
                    along.bend().kind().title() + " on leg " + along.leg() + ", "
                            + along.towards().words(),
                    sizes(run, "along/" + i + "/", size)));
        }
        return List.copyOf(given);
    }

    private static String measured(Leg leg, Function<Quantity, String> size) {
        String length = switch (leg.measured()) {
            case Leg.Measured.Outright(Length outright) -> size.apply(outright);
            case Leg.Measured.FromOneSurface readings ->
                "from " + size.apply(readings.from()) + " to " + size.apply(readings.to());
        };
        return leg.play().isPositive() ? length + " less " + size.apply(leg.play()) + " play" : length;
    }

    private static void end(List<RunGiven> given, String title, Length insertion, Function<Quantity, String> size) {
        if (insertion.isPositive()) {
            given.add(new RunGiven(title, size.apply(insertion)));
        }
    }

    private static String box(BoxEnd box, Function<Quantity, String> size) {
        return size.apply(box.rise()) + " at " + box.angle().text() + ", mark " + size.apply(box.mark()) + ", "
                + box.towards().words();
    }

    /** Each size of a part by its name. */
    private static String sizes(Run run, String path, Function<Quantity, String> size) {
        return String.join(
                ", ",
                Input.of(run).stream()
                        .filter(input -> input.path().startsWith(path))
                        .map(input ->
                                input.field().title().toLowerCase(Locale.ROOT) + " " + size.apply(input.current()))
                        .toList());
    }
}
