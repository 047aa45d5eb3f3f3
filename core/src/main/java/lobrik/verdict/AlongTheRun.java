package lobrik.verdict;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lobrik.bend.Run;
import lobrik.bend.RunShape.Part;
import lobrik.bend.RunShape.Stretch;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;

/**
 * What lies further along a run is held to, so that one slip counts once (handbook 7): a leg that brings the conduit back to where it
 * should be after one that was too long, a dog leg that is one turn read wrong, and above all where the far end is. The slips that are
 * charged are put into the right piece, one by one, and what the simulation then shows is right for whatever follows from them.
 */
public final class AlongTheRun {

    /** What was read of a finished dimension, and what it is held to by itself. */
    public record Read(FeatureId id, Quantity target, Quantity value, Tolerance tolerance) {

        private Quantity off() {
            return value.minus(target);
        }

        private boolean isOutside() {
            return !tolerance.holds(off());
        }
    }

    /**
     * What a dimension is held to instead.
     *
     * @param from slips that it follows from, charged at their own place
     */
    public record Followed(Quantity target, List<FeatureId> from) {

        public Followed {
            from = List.copyOf(from);
        }
    }

    /** So much of a tolerance must a slip be worth at a dimension beyond it to be named there. */
    private static final double NAMED_FROM = 0.5;

    private final Layout layout;
    private final Run run;
    private final List<Stretch> ninetys;
    private final Map<FeatureId, Read> read;
    private final Map<FeatureId, Quantity> right;
    private final Map<FeatureId, Followed> followed = new TreeMap<>();

    /** Slips that are charged at their own place, in the order in which they were found. */
    private final Set<FeatureId> charged = new LinkedHashSet<>();

    /** By how much each leg is put off in the piece that the slips make, inches; by its number. */
    private final Map<Integer, Double> legsOff = new TreeMap<>();

    /** By how much each rise is put off beside what angles make of it, inches. */
    private final Map<FeatureId, Double> risesOff = new TreeMap<>();

    private AlongTheRun(Layout layout, Run run, Collection<Read> read) {
        this.layout = layout;
        this.run = run;
        this.ninetys = run.shape().ninetys();
        this.read = read.stream().collect(Collectors.toMap(Read::id, each -> each, (one, _) -> one, TreeMap::new));
        this.right = features(layout.predicted()).orElse(Map.of());
    }

    /**
     * Finds what follows from an earlier slip.
     *
     * @param read finished dimensions of the piece
     * @return by dimension, those that do; none for anything but a run
     */
    public static Map<FeatureId, Followed> of(Layout layout, Collection<Read> read) {
        return layout.job()
                .bend()
                .run()
                .map(run -> new AlongTheRun(layout, run, read).followed())
                .orElse(Map.of());
    }

    private Map<FeatureId, Followed> followed() {
        if (right.isEmpty()) {
            return Map.of();
        }
        read.values().stream()
                .filter(each -> isAngleOrTurn(each.id().kind()) && each.isOutside())
                .map(Read::id)
                .forEach(charged::add);
        legs();
        rises();
        if (charged.isEmpty()) {
            return Map.of();
        }
        Set<FeatureId> all = new LinkedHashSet<>(charged);
        all.addAll(risesOff.keySet());
        made(all, legsOff)
                .ifPresent(far -> read.values().stream()
                        .filter(each -> each.id().kind().isReach() || each.id().equals(FeatureId.DOG_LEG))
                        .forEach(each -> follow(each, far)));
        return followed;
    }

    private static boolean isAngleOrTurn(FeatureKind kind) {
        return kind == FeatureKind.ANGLE || kind == FeatureKind.TURN;
    }

    private static boolean isRise(FeatureId id) {
        return id.kind() == FeatureKind.RISE || id.equals(FeatureId.START_RISE) || id.equals(FeatureId.END_RISE);
    }

    /**
     * From the datum end on. A leg is right where it is as long as it should be, and where it takes back what an earlier one was off, as
     * all marks are measured from the datum end and only one was wrong.
     */
    private void legs() {
        Map<FeatureId, Quantity> asBent = made(charged, Map.of()).orElse(right);
        List<FeatureId> angles = List.copyOf(charged);
        // How far the end of each leg is off along the conduit, from the datum end.
        List<Length> ends = new ArrayList<>(List.of(Length.ZERO));
        List<Integer> slipped = new ArrayList<>();
        for (int number = 1; number <= run.legs().size(); number++) {
            Length before = ends.getLast();
            Read leg = read.get(FeatureId.leg(number));
            if (leg == null) {
                ends.add(before);
                continue;
            }
            Length byAngles = (Length) change(leg.id(), asBent);
            Quantity base = leg.target().withCount(leg.target().count() + byAngles.count());
            Followed held = new Followed(leg.target(), List.of());
            if (byAngles.count() != 0) {
                List<FeatureId> from =
                        angles.stream().filter(slip -> counts(slip, leg)).toList();
                held = from.isEmpty() ? held : nearer(leg, held, new Followed(base, from));
            }
            for (int end = 0; end < number - 1; end++) {
                int from = end;
                List<FeatureId> since = slipped.stream()
                        .filter(slip -> slip > from)
                        .map(FeatureId::leg)
                        .toList();
                if (!since.isEmpty()) {
                    long back = ends.get(end).count() - before.count();
                    held = nearer(leg, held, new Followed(base.withCount(base.count() + back), since));
                }
            }
            Length off = (Length) leg.value().minus(base);
            ends.add(before.plus(off));
            if (!held.from().isEmpty()) {
                followed.put(leg.id(), held);
            } else if (leg.isOutside()) {
                charged.add(leg.id());
                slipped.add(number);
            } else if (byAngles.count() == 0) {
                continue;
            }
            legsOff.put(number, off.inches());
        }
    }

    /** Each is charged by itself: what rises wrongly at one place is no reason for another to. */
    private void rises() {
        Map<FeatureId, Quantity> asBent = made(charged, Map.of()).orElse(right);
        for (Read each : read.values()) {
            if (isRise(each.id())) {
                Quantity byAngles = change(each.id(), asBent);
                if (each.isOutside()) {
                    charged.add(each.id());
                }
                if (each.isOutside() || byAngles.count() != 0) {
                    risesOff.put(each.id(), each.off().number() - byAngles.number());
                }
            }
        }
    }

    /** The other only where the reading is within the tolerance of it, and nearer: a second slip is charged by itself. */
    private static Followed nearer(Read read, Followed one, Followed other) {
        Quantity off = read.value().minus(other.target());
        boolean isNearer = Math.abs(off.count())
                < Math.abs(read.value().minus(one.target()).count());
        return isNearer && read.tolerance().holds(off) ? other : one;
    }

    /** The far end is where all that was charged has brought it; whatever else it is off is its own. */
    private void follow(Read far, Map<FeatureId, Quantity> made) {
        Quantity follows = far.target()
                .withCount(far.target().count() + change(far.id(), made).count());
        boolean isNearer = Math.abs(far.value().minus(follows).count())
                < Math.abs(far.off().count());
        if (!isNearer) {
            return;
        }
        List<FeatureId> from =
                charged.stream().filter(slip -> counts(slip, far)).toList();
        if (!from.isEmpty()) {
            followed.put(far.id(), new Followed(follows, from));
        }
    }

    /** Whether a slip by itself brings a dimension off by what is worth naming; a leg with what was taken back of it later. */
    private boolean counts(FeatureId slip, Read other) {
        Map<Integer, Double> legs = new TreeMap<>();
        if (slip.kind() == FeatureKind.LEG) {
            legsOff.forEach((leg, off) -> {
                boolean takesBack = followed.containsKey(FeatureId.leg(leg))
                        && followed.get(FeatureId.leg(leg)).from().contains(slip);
                if (leg == slip.number() || takesBack) {
                    legs.put(leg, off);
                }
            });
        }
        return made(Set.of(slip), legs)
                .filter(alone -> Math.abs(change(other.id(), alone).count())
                        >= NAMED_FROM * other.tolerance().widest().count())
                .isPresent();
    }

    private Quantity change(FeatureId id, Map<FeatureId, Quantity> made) {
        Quantity was = right.get(id);
        Quantity now = made.get(id);
        if (was == null || now == null) {
            return read.get(id).target().withCount(0);
        }
        return now.minus(was);
    }

    /**
     * The right piece with some slips in it.
     *
     * @param legs how much longer legs are, by number, inches
     * @return its features; empty where no conduit can look like that
     */
    private Optional<Map<FeatureId, Quantity>> made(Set<FeatureId> slips, Map<Integer, Double> legs) {
        Changed changed = new Changed(layout.predicted());
        slips.forEach(slip -> put(slip, changed));
        legs.forEach((leg, off) -> changed.moved(leg > ninetys.size() ? changed.bends() : bend(leg), off));
        return changed.piece().flatMap(this::features);
    }

    private void put(FeatureId slip, Changed changed) {
        Read slipped = read.get(slip);
        double off = risesOff.getOrDefault(slip, slipped.off().number());
        if (slip.kind() == FeatureKind.ANGLE) {
            changed.angles[slip.number() - 1] += off;
        } else if (slip.kind() == FeatureKind.TURN) {
            // What lies beyond a wrong turn goes with it.
            changed.turned(bend(slip.number() + 1), off);
        } else {
            // A leg is put off by where its end is, with what was taken back of it.
            offset(slip).ifPresent(stretch -> rise(stretch, off, changed));
        }
    }

    /** The rings of an offset apart so that it rises so much more, and the leg as long as it was. */
    private void rise(Stretch stretch, double off, Changed changed) {
        double theta = layout.marks().get(stretch.firstBend() - 1).angle().radians();
        changed.moved(stretch.lastBend() - 1, off / Math.sin(theta));
        int end = stretch.leg() > ninetys.size() ? changed.bends() : bend(stretch.leg());
        changed.moved(end, -off / Math.tan(theta));
    }

    private Optional<Stretch> offset(FeatureId rise) {
        return run.shape().stretches().stream()
                .filter(stretch -> switch (stretch.part()) {
                    case Part.AtStart _ -> rise.equals(FeatureId.START_RISE);
                    case Part.AtEnd _ -> rise.equals(FeatureId.END_RISE);
                    case Part.OnLeg _ -> rise.equals(FeatureId.rise(stretch.leg()));
                    case Part.Ninety _ -> false;
                })
                .findFirst();
    }

    /** Index of the bend that is a ninety, by the ninety's number from 1. */
    private int bend(int ninety) {
        return ninetys.get(ninety - 1).firstBend() - 1;
    }

    private Optional<Map<FeatureId, Quantity>> features(Piece piece) {
        try {
            return Optional.of(Features.of(layout.job().bend(), piece).stream()
                    .collect(Collectors.toMap(Feature::id, Feature::value)));
        } catch (Refused notANinety) {
            return Optional.empty();
        }
    }

    /** A piece whose bends are moved, closed and turned. */
    private static final class Changed {

        private final Piece piece;
        private final double[] places;
        private final double[] angles;
        private final double[] rolls;
        private double length;

        Changed(Piece piece) {
            this.piece = piece;
            this.places = new double[piece.bends().size()];
            this.angles = new double[places.length];
            this.rolls = new double[places.length];
        }

        int bends() {
            return places.length;
        }

        /** This bend and all beyond it, with the far end. */
        void moved(int bend, double by) {
            for (int i = bend; i < places.length; i++) {
                places[i] += by;
            }
            length += by;
        }

        void turned(int bend, double by) {
            for (int i = bend; i < rolls.length; i++) {
                rolls[i] += by;
            }
        }

        Optional<Piece> piece() {
            List<BendMade> made = new ArrayList<>();
            for (int i = 0; i < places.length; i++) {
                BendMade was = piece.bends().get(i);
                made.add(new BendMade(
                        was.position().plus(Length.ofInches(places[i])),
                        was.placing(),
                        was.angle().plus(Angle.ofDegrees(angles[i])),
                        was.roll().plus(Angle.ofDegrees(rolls[i])),
                        was.other()));
            }
            try {
                return Optional.of(
                        Piece.simulate(piece.tooling(), piece.length().plus(Length.ofInches(length)), made));
            } catch (Refused | IllegalArgumentException nothingLooksLikeThat) {
                return Optional.empty();
            }
        }
    }
}
