package lobrik.sticks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import lobrik.bend.RunShape;
import lobrik.bending.BendingOrder;
import lobrik.bending.Standing;
import lobrik.bending.Workplace;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shop.Placing;
import lobrik.shop.Tooling;

/**
 * Divides a run into pieces that a stick holds and that can be bent, at couplings on its straights (handbook 4.9): as few pieces as
 * possible, then as few sticks. Places are on the straight conduit of the whole run.
 */
public final class Division {

    private static final TapeDivision ON_THE_TAPE = TapeDivision.SIXTEENTH;
    /** Of a stick, at a coupling: so that it can stand on a line of the tape that is laid along the leg, and both ends be sawn square. */
    private static final Length SPARE = Length.ofFraction(0, 1, 8);

    private static final TapeDivision WHOLE_INCH = new TapeDivision(Length.ofInches(1));

    private final Layout layout;
    private final Stock stock;
    private final Tooling tooling;
    private final List<Mark> marks;
    private final Length length;
    private final Map<Span, Optional<List<Standing>>> bent = new HashMap<>();

    private record Span(Length from, Length to) {}

    /** Where a coupling may lie: both ends included. */
    private record Room(Length from, Length to) {}

    /** A way from the datum end to a place, with the couplings before it. */
    private record Way(Length at, Optional<Way> before) {

        List<Length> ends() {
            List<Length> ends = new ArrayList<>();
            for (Optional<Way> way = Optional.of(this);
                    way.isPresent();
                    way = way.get().before()) {
                ends.addFirst(way.get().at());
            }
            return ends;
        }
    }

    private Division(Layout layout, Stock stock) {
        this.layout = layout;
        this.stock = stock;
        this.tooling = layout.job().tooling();
        this.marks = layout.marks();
        this.length = layout.predicted().length();
    }

    /**
     * Divides a run.
     *
     * @param layout of a run, whose cut length is known
     * @return empty where no couplings make pieces that can be bent and that a stick holds
     */
    public static Optional<List<Piece>> of(Layout layout, RunShape shape, Stock stock) {
        return new Division(layout, stock).pieces(shape);
    }

    /** Breadth first: all places that so many pieces reach, before those that one more reaches. */
    private Optional<List<Piece>> pieces(RunShape shape) {
        List<Room> rooms = rooms(shape);
        List<Way> ways = List.of(new Way(Length.ZERO, Optional.empty()));
        for (int pieces = 1; pieces <= rooms.size() + 1 && !ways.isEmpty(); pieces++) {
            List<Way> ended =
                    ways.stream().filter(way -> isPiece(way.at(), length)).toList();
            if (!ended.isEmpty()) {
                return Optional.of(fewestSticks(ended));
            }
            ways = further(ways, rooms);
        }
        return Optional.empty();
    }

    private List<Way> further(List<Way> ways, List<Room> rooms) {
        Map<Length, Way> next = new HashMap<>();
        for (Way way : ways) {
            for (Length place : places(way.at(), rooms)) {
                if (!next.containsKey(place) && isPiece(way.at(), place)) {
                    next.put(place, new Way(place, Optional.of(way)));
                }
            }
        }
        return next.values().stream()
                .sorted(Comparator.comparing(Way::at).reversed())
                .toList();
    }

    /** Where the next coupling may be: as far as a stick reaches, or at the edges and in the middle of where one may lie. */
    private List<Length> places(Length from, List<Room> rooms) {
        Length reach = from.plus(stock.stick()).minus(SPARE);
        TreeSet<Length> places = new TreeSet<>();
        for (Room room : rooms) {
            if (room.to().isMoreThan(from) && !room.from().isMoreThan(reach)) {
                places.add(room.from());
                places.add(room.to().isMoreThan(reach) ? reach : room.to());
                Length middle = room.from().plus(room.to()).times(0.5).nearest(WHOLE_INCH);
                if (!middle.isLessThan(room.from()) && !middle.isMoreThan(room.to())) {
                    places.add(middle);
                }
            }
        }
        return places.stream()
                .filter(place -> place.isMoreThan(from) && !place.isMoreThan(reach))
                .toList();
    }

    /** Straights between one stretch and the next, as far as a coupling and its grip keep off the curves; none within an offset or a saddle. */
    private List<Room> rooms(RunShape shape) {
        List<Room> rooms = new ArrayList<>();
        Length from = stock.fromArc();
        for (RunShape.Stretch stretch : shape.stretches()) {
            add(rooms, from, start(stretch.firstBend()).minus(stock.fromArc()));
            from = end(stretch.lastBend()).plus(stock.fromArc());
        }
        add(rooms, from, length.minus(stock.fromArc()));
        return rooms;
    }

    /** On lines of the tape, so that a coupling can be marked. */
    private static void add(List<Room> rooms, Length from, Length to) {
        Length first = from.nearest(ON_THE_TAPE);
        first = first.isLessThan(from) ? first.plus(ON_THE_TAPE.step()) : first;
        Length last = to.nearest(ON_THE_TAPE);
        last = last.isMoreThan(to) ? last.minus(ON_THE_TAPE.step()) : last;
        if (!first.isMoreThan(last)) {
            rooms.add(new Room(first, last));
        }
    }

    private Length start(int bend) {
        Mark mark = marks.get(bend - 1);
        return tooling.arcStart(mark.position(), mark.placing(), mark.angle());
    }

    private Length end(int bend) {
        return start(bend).plus(tooling.arcLength(marks.get(bend - 1).angle()));
    }

    private boolean isPiece(Length from, Length to) {
        return !to.minus(from).isMoreThan(stock.stick()) && bent(from, to).isPresent();
    }

    /** How the piece between two places is bent, if it can be. */
    private Optional<List<Standing>> bent(Length from, Length to) {
        return bent.computeIfAbsent(new Span(from, to), _ -> {
            List<BendMade> bends = bends(from, to);
            BendingOrder.Found found = BendingOrder.of(Workplace.USUAL, tooling, to.minus(from), bends);
            return found.isFree() ? Optional.of(found.steps()) : Optional.empty();
        });
    }

    private List<Mark> within(Length from, Length to) {
        return marks.stream()
                .filter(mark -> !start(mark.number()).isLessThan(from)
                        && !end(mark.number()).isMoreThan(to))
                .toList();
    }

    private List<BendMade> bends(Length from, Length to) {
        return within(from, to).stream()
                .map(mark -> new BendMade(mark.position().minus(from), mark.placing(), mark.angle(), mark.roll()))
                .toList();
    }

    private List<Piece> fewestSticks(List<Way> ways) {
        return ways.stream()
                .map(way -> cut(way.ends()))
                .min(Comparator.comparingInt((List<Piece> pieces) ->
                                CutList.of(lengths(pieces), stock).sticks().size())
                        .thenComparing(
                                pieces -> CutList.of(lengths(pieces), stock).longestLeft(), Comparator.reverseOrder()))
                .orElseThrow();
    }

    private static List<Length> lengths(List<Piece> pieces) {
        return pieces.stream().map(Piece::length).toList();
    }

    private List<Piece> cut(List<Length> ends) {
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            Length from = ends.get(i);
            Length to = i + 1 < ends.size() ? ends.get(i + 1) : length;
            pieces.add(new Piece(
                    i + 1,
                    from,
                    to.minus(from),
                    within(from, to).stream().map(Mark::number).toList(),
                    bends(from, to),
                    bent(from, to).orElseThrow()));
        }
        return pieces;
    }

    /**
     * A piece of a run, with a datum end of its own.
     *
     * @param number from 1 at the run's datum end
     * @param from where it begins on the straight conduit of the whole run: where a coupling is, but for the first
     * @param bendNumbers of the run's bends that are on it
     * @param bends the same, from its own datum end
     * @param steps how it is bent; bends are numbered from its own datum end
     */
    public record Piece(
            int number,
            Length from,
            Length length,
            List<Integer> bendNumbers,
            List<BendMade> bends,
            List<Standing> steps) {

        public Piece {
            bendNumbers = List.copyOf(bendNumbers);
            bends = List.copyOf(bends);
            steps = List.copyOf(steps);
        }

        /** Its bends in the order in which they are made, each with its ring for the hook's side that it is made with. */
        public List<Step> inOrder(Tooling tooling) {
            List<Step> inOrder = new ArrayList<>();
            for (Standing standing : steps) {
                BendMade laid = bends.get(standing.bend() - 1);
                boolean asLaid = laid.placing()
                        .hook()
                        .filter(hook -> hook != standing.hookTowards())
                        .isEmpty();
                Placing placing = asLaid ? laid.placing() : Placing.arrow(standing.hookTowards());
                Length arc = tooling.arcStart(laid.position(), laid.placing(), laid.angle());
                Length ring = asLaid ? laid.position() : tooling.markFor(arc, placing, laid.angle());
                inOrder.add(new Step(
                        bendNumbers.get(standing.bend() - 1),
                        new BendMade(ring, placing, laid.angle(), laid.roll()),
                        standing));
            }
            return List.copyOf(inOrder);
        }

        /** Where it ends on the straight conduit of the whole run. */
        public Length to() {
            return from.plus(length);
        }
    }

    /**
     * A bend of a piece.
     *
     * @param bend its number in the run
     * @param made from the piece's own datum end
     */
    public record Step(int bend, BendMade made, Standing standing) {}
}
