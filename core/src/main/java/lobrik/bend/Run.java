package lobrik.bend;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * One conduit from fitting to fitting (handbook 4.9): straight legs along the six directions, a ninety between two legs, and on a leg,
 * where it is needed, an offset or a saddle.
 *
 * @param legs 2 to 9, from the datum end; each square to the one before
 * @param startInsertion what the datum end goes into its fitting: the first leg is that much longer than what was measured
 * @param endInsertion the same of the far end and the last leg
 * @param startOffset at the box that the datum end enters, if there is one
 * @param endOffset at the box that the far end enters, if there is one
 * @param along what lies on the legs, at most one on each
 * @param order in which the bends are made, and which end the hook looks to; empty where nobody has said it
 */
public record Run(
        List<Leg> legs,
        Length startInsertion,
        Length endInsertion,
        Optional<BoxEnd> startOffset,
        Optional<BoxEnd> endOffset,
        List<Along> along,
        List<OrderedBend> order)
        implements Bend {

    /** No run has more in one conduit: it could not be pulled through. */
    public static final int MOST_BENDS = 12;

    public static final int MOST_LEGS = 9;

    private static final Length MOST_INSERTION = Length.ofInches(12);

    private static final Group LEGS = Group.list("legs", "leg", MOST_LEGS, Leg.FORM);
    private static final Group START_OFFSET = Group.one("startOffset", "the offset at the start", BoxEnd.AT_START);
    private static final Group END_OFFSET = Group.one("endOffset", "the offset at the end", BoxEnd.AT_END);
    private static final Group ALONG = Group.list(
            "along",
            Along::words,
            MOST_BENDS,
            Along.SORTS,
            Along.class,
            along -> along.bend().kind().id());
    private static final Group ORDER = Group.list("order", "step", MOST_BENDS, OrderedBend.FORM);

    private static final Field START_INSERTION =
            insertion(InputId.START_INSERTION, "Insertion at the start", End.START);
    private static final Field END_INSERTION = insertion(InputId.END_INSERTION, "Insertion at the end", End.END);

    static final Form<Run> FORM = Form.of(Run.class)
            .ask(START_INSERTION, Run::startInsertion)
            .ask(END_INSERTION, Run::endInsertion)
            .have(LEGS, Run::legs)
            .have(START_OFFSET, run -> run.startOffset().stream().toList())
            .have(END_OFFSET, run -> run.endOffset().stream().toList())
            .have(ALONG, Run::along)
            .have(ORDER, Run::order)
            .makes(said -> new Run(
                    LEGS.make(said.parts(LEGS), Leg.class),
                    said.length(InputId.START_INSERTION),
                    said.length(InputId.END_INSERTION),
                    START_OFFSET.make(said.parts(START_OFFSET), BoxEnd.class).stream()
                            .findFirst(),
                    END_OFFSET.make(said.parts(END_OFFSET), BoxEnd.class).stream()
                            .findFirst(),
                    ALONG.make(said.parts(ALONG), Along.class),
                    ORDER.make(said.parts(ORDER), OrderedBend.class)));

    private static Field insertion(InputId id, String title, End end) {
        return Field.of(id, title, Role.FIT, new Range.Lengths(Length.ZERO, MOST_INSERTION), new First("0", "0"))
                .to(end)
                .orElse(new WhenOpen.Usual(Length.ZERO));
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range or does not go with the others */
    public Run {
        legs = List.copyOf(legs);
        along = List.copyOf(along);
        order = List.copyOf(order);
        Faults faults = new Faults();
        START_INSERTION.require(faults, startInsertion);
        END_INSERTION.require(faults, endInsertion);
        requireLegs(faults, legs);
        if (faults.found().isEmpty()) {
            if (startOffset.isPresent()) {
                requireSquare(faults, START_OFFSET.id(), startOffset.get().towards(), legs, 1);
            }
            if (endOffset.isPresent()) {
                requireSquare(faults, END_OFFSET.id(), endOffset.get().towards(), legs, legs.size());
            }
            requireAlong(faults, along, legs);
            requireOrder(faults, order, bends(legs, startOffset, endOffset, along));
        }
        faults.refuseIfAny();
    }

    /** Of legs alone, between ends that enter nothing. */
    public static Run of(List<Leg> legs) {
        return new Run(legs, Length.ZERO, Length.ZERO, Optional.empty(), Optional.empty(), List.of(), List.of());
    }

    private static void requireLegs(Faults faults, List<Leg> legs) {
        if (legs.size() < 2 || legs.size() > MOST_LEGS) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    LEGS.id(),
                    "a run has from 2 to " + MOST_LEGS + " legs; this has " + legs.size());
        }
        for (int i = 1; i < legs.size(); i++) {
            Towards before = legs.get(i - 1).towards();
            Towards now = legs.get(i).towards();
            if (!now.isSquareTo(before)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        LEGS.path(i) + "/" + Fields.TOWARDS.id(),
                        "leg " + (i + 1) + " runs " + now.words() + " after one that runs " + before.words()
                                + "; a ninety lies between two legs, so it must run square to it");
            }
        }
    }

    private static void requireSquare(Faults faults, String path, Towards moved, List<Leg> legs, int leg) {
        Towards runs = legs.get(leg - 1).towards();
        if (!moved.isSquareTo(runs)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    path + "/" + Fields.TOWARDS.id(),
                    "leg " + leg + " runs " + runs.words() + "; what lies on it moves the conduit square to that, not "
                            + moved.words());
        }
    }

    private static void requireAlong(Faults faults, List<Along> along, List<Leg> legs) {
        Set<Integer> taken = new HashSet<>();
        for (int i = 0; i < along.size(); i++) {
            int leg = along.get(i).leg();
            if (leg < 1 || leg > legs.size()) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        ALONG.path(i) + "/leg",
                        "there is no leg " + leg + "; this run has legs 1 to " + legs.size());
            } else if (!taken.add(leg)) {
                faults.add(
                        FaultCode.DUPLICATE,
                        ALONG.path(i) + "/leg",
                        "leg " + leg + " has an offset or a saddle already; it can have one");
            } else {
                requireSquare(faults, ALONG.path(i), along.get(i).towards(), legs, leg);
            }
        }
    }

    private static void requireOrder(Faults faults, List<OrderedBend> order, int bends) {
        if (bends > MOST_BENDS) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    LEGS.id(),
                    "this run has " + bends + " bends; one conduit can have at most " + MOST_BENDS
                            + ": divide it at a coupling");
            return;
        }
        Set<Integer> made = new HashSet<>();
        for (int i = 0; i < order.size(); i++) {
            int bend = order.get(i).bend();
            if (bend < 1 || bend > bends || !made.add(bend)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        ORDER.path(i) + "/bend",
                        "bend " + bend + " is not there, or made twice; this run has bends 1 to " + bends);
            }
        }
        if (faults.found().isEmpty() && !order.isEmpty() && order.size() < bends) {
            faults.add(
                    FaultCode.MISSING,
                    ORDER.id(),
                    "the order names " + order.size() + " of " + bends + " bends; name each once, or none");
        }
    }

    private static int bends(
            List<Leg> legs, Optional<BoxEnd> startOffset, Optional<BoxEnd> endOffset, List<Along> along) {
        int boxes = (startOffset.isPresent() ? 1 : 0) + (endOffset.isPresent() ? 1 : 0);
        int onLegs = 0;
        for (Along each : along) {
            onLegs += each.bend().bends();
        }
        return legs.size() - 1 + 2 * boxes + onLegs;
    }

    int bendsInAll() {
        return bends(legs, startOffset, endOffset, along);
    }

    /** What lies along it, one after the other, and which way each bend turns. */
    public RunShape shape() {
        return RunShape.of(this);
    }

    /**
     * Outside length of a leg as it is bent: with what goes into a fitting, without its play.
     *
     * @param leg its number, from 1
     */
    public Length outside(int leg) {
        Leg asked = legs.get(leg - 1);
        Length length = asked.measured().length().minus(asked.play());
        if (leg == 1) {
            length = length.plus(startInsertion);
        }
        return leg == legs.size() ? length.plus(endInsertion) : length;
    }

    /** The same run, with its bends made in an order. */
    public Run inOrder(List<OrderedBend> other) {
        return new Run(legs, startInsertion, endInsertion, startOffset, endOffset, along, other);
    }

    /** The same run in a mirror: right and left change places. */
    public Run mirrored() {
        return new Run(
                legs.stream()
                        .map(leg -> new Leg(leg.measured(), leg.towards().mirrored(), leg.play()))
                        .toList(),
                startInsertion,
                endInsertion,
                startOffset.map(BoxEnd::mirrored),
                endOffset.map(BoxEnd::mirrored),
                along.stream()
                        .map(each -> new Along(each.leg(), each.towards().mirrored(), each.bend()))
                        .toList(),
                order);
    }

    /** The first input that says how long a leg is: {@code bend/legs/0/lengthIn}. */
    public String pointer(int leg) {
        InputId id = switch (legs.get(leg - 1).measured()) {
            case Leg.Measured.Outright _ -> InputId.LENGTH;
            case Leg.Measured.FromOneSurface _ -> InputId.READ_TO;
        };
        return "bend/" + LEGS.path(leg - 1) + "/" + id.id();
    }

    /** The input that makes a bend come close to the one before it: the length of the leg, or the size of what lies on it. */
    public String pointerBefore(int bend) {
        RunShape.Stretch stretch = shape().of(bend);
        if (bend == stretch.firstBend()) {
            return pointer(stretch.leg());
        }
        return switch (stretch.part()) {
            case RunShape.Part.Ninety _ -> pointer(stretch.leg());
            case RunShape.Part.AtStart _ -> "bend/" + START_OFFSET.id() + "/" + InputId.RISE.id();
            case RunShape.Part.AtEnd _ -> "bend/" + END_OFFSET.id() + "/" + InputId.RISE.id();
            case RunShape.Part.OnLeg(int index, AlongLeg along) ->
                "bend/" + ALONG.path(index) + "/"
                        + Form.of(along.kind())
                                .first(Role.SIZE)
                                .orElseThrow()
                                .id()
                                .id();
        };
    }
}
