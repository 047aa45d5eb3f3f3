package lobrik.progress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lobrik.progress.ClassCalibration.Change;
import lobrik.progress.ClassCalibration.Figure;
import lobrik.progress.ClassCalibration.Said;
import lobrik.progress.ClassCalibration.Told;

/**
 * What pieces say of one figure of several benders, over time, with the day from which a bender is another one.
 *
 * <p>A bender may have changed between any two days on which it was used. Each such day is tried: the figure before and from then on are
 * two, and whether they differ is told by Student's t with the people taken out ({@link MixedFit}). The likeliest day of the likeliest
 * bender is kept if chance alone would show as much once in {@value #FALSE_ALARM} of schools (Bonferroni over all days and benders); then
 * the others are looked through once more. So a false alarm is rare, and a change is told as soon as a few pieces show it.
 */
final class BenderSeries {

    /** How often a change is told where there is none, over all benders and days of a figure. */
    static final double FALSE_ALARM = 0.01;

    private static final int FEWEST_BEFORE = 6;
    private static final int FEWEST_AFTER = 2;
    private static final int MOST_CHANGES = 6;

    private final List<Said> near;
    private final Map<String, Integer> leftOut;

    private BenderSeries(List<Said> near, Map<String, Integer> leftOut) {
        this.near = near;
        this.leftOut = leftOut;
    }

    /** @param least spread that instruments leave in any case, in the unit of what is said */
    static BenderSeries of(List<Said> said, double least) {
        List<Said> near = new ArrayList<>();
        Map<String, Integer> leftOut = new LinkedHashMap<>();
        said.stream()
                .collect(Collectors.groupingBy(Said::bender, TreeMap::new, Collectors.toList()))
                .forEach((bender, own) -> {
                    List<Said> kept = ClassCalibration.near(own, least);
                    if (ClassCalibration.areEnough(kept)) {
                        near.addAll(kept);
                        leftOut.put(bender, own.size() - kept.size());
                    }
                });
        return new BenderSeries(near, leftOut);
    }

    /** A bender from some day on, or from the beginning; the last of a bender is what it is now. */
    private record Level(String bender, long from) {}

    private record Found(String bender, Change change, double chance) {}

    Map<String, Told> told(Figure figure) {
        Map<String, Told> told = new LinkedHashMap<>();
        if (near.isEmpty()) {
            return told;
        }
        Map<String, Change> changes = changes();
        List<Level> levels = levels(changes);
        MixedFit fit = MixedFit.of(rows(levels));
        for (int i = 0; i < levels.size(); i++) {
            Level level = levels.get(i);
            Optional<Change> since = Optional.ofNullable(changes.get(level.bender()));
            if (since.isPresent() && since.get().day() != level.from()) {
                continue;
            }
            MixedFit.Known known = fit.known(unit(levels.size(), i, -1));
            List<Said> own = near.stream()
                    .filter(said -> said.bender().equals(level.bender()) && said.day() >= level.from())
                    .toList();
            told.put(
                    level.bender(),
                    new Told(
                            figure,
                            known.value(),
                            known.reach(),
                            own.size(),
                            ClassCalibration.people(own),
                            leftOut.getOrDefault(level.bender(), 0),
                            since));
        }
        return told;
    }

    /** The last change of each bender that changed. */
    private Map<String, Change> changes() {
        Map<String, Change> changes = new LinkedHashMap<>();
        // How much people differ hardly hangs on one bender's change, so it is worked out once.
        double ratio = MixedFit.of(rows(levels(changes))).ratio();
        boolean again = true;
        while (again && changes.size() < MOST_CHANGES) {
            Optional<Found> next = likeliest(changes, ratio);
            again = next.isPresent();
            next.ifPresent(found -> changes.put(found.bender(), found.change()));
        }
        return changes;
    }

    private Optional<Found> likeliest(Map<String, Change> known, double ratio) {
        List<Found> tried = new ArrayList<>();
        for (String bender : leftOut.keySet()) {
            if (!known.containsKey(bender)) {
                for (long day : days(bender)) {
                    tried.add(tried(bender, day, known, ratio));
                }
            }
        }
        return tried.stream()
                .min(Comparator.comparingDouble(Found::chance))
                .filter(found -> found.chance() * tried.size() <= FALSE_ALARM);
    }

    /** The days from which on it may be another one: with enough pieces before, and some from then on. */
    private List<Long> days(String bender) {
        List<Long> sorted = near.stream()
                .filter(said -> said.bender().equals(bender))
                .map(Said::day)
                .sorted()
                .toList();
        List<Long> days = new ArrayList<>();
        for (int i = FEWEST_BEFORE; i <= sorted.size() - FEWEST_AFTER; i++) {
            if (!sorted.get(i).equals(sorted.get(i - 1))) {
                days.add(sorted.get(i));
            }
        }
        return days;
    }

    private Found tried(String bender, long day, Map<String, Change> known, double ratio) {
        Map<String, Change> with = new LinkedHashMap<>(known);
        with.put(bender, new Change(day, 0, 0));
        List<Level> levels = levels(with);
        int before = levels.indexOf(new Level(bender, Long.MIN_VALUE));
        int after = levels.indexOf(new Level(bender, day));
        MixedFit.Known difference = MixedFit.of(rows(levels), ratio).known(unit(levels.size(), after, before));
        return new Found(bender, new Change(day, difference.value(), difference.reach()), difference.chance());
    }

    private List<Level> levels(Map<String, Change> changes) {
        List<Level> levels = new ArrayList<>();
        for (String bender : leftOut.keySet()) {
            levels.add(new Level(bender, Long.MIN_VALUE));
            Change change = changes.get(bender);
            if (change != null) {
                levels.add(new Level(bender, change.day()));
            }
        }
        return levels;
    }

    private List<MixedFit.Row> rows(List<Level> levels) {
        return near.stream()
                .map(said -> {
                    int at = -1;
                    for (int i = 0; i < levels.size(); i++) {
                        Level level = levels.get(i);
                        if (level.bender().equals(said.bender()) && said.day() >= level.from()) {
                            at = i;
                        }
                    }
                    return new MixedFit.Row(said.person(), unit(levels.size(), at, -1), said.value());
                })
                .toList();
    }

    /** One at a place, minus one at another, and nothing elsewhere. */
    private static List<Double> unit(int size, int plus, int minus) {
        List<Double> unit = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            unit.add(i == plus ? 1.0 : i == minus ? -1.0 : 0.0);
        }
        return unit;
    }
}
