package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.Choice;
import lobrik.bend.Entries;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Role;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.shape.Obstacle;
import lobrik.shop.Tooling;

/**
 * Everything else that would do at the same place, laid out, so that somebody can choose (handbook, choosing the angle): flatter bends
 * take more room and more conduit, and wire pulls more easily through them.
 */
public final class Alternatives {

    /** {@code µ} of wire in conduit, where nobody says otherwise. */
    public static final double USUAL_FRICTION = 0.4;

    /** What people bend to: the lines of a shoe short of a ninety, and the one between that the card has. */
    private static final List<Angle> ANGLES = Stream.of(10, 15, 22.5, 30, 45, 60)
            .map(angle -> Angle.ofDegrees(angle.doubleValue()))
            .toList();

    private final Job job;
    private final Optional<Obstacle> obstacle;
    private final double friction;
    private final Entries said;

    private Alternatives(Job job, Optional<Obstacle> obstacle, double friction) {
        this.job = job;
        this.obstacle = obstacle;
        this.friction = friction;
        this.said = Form.of(job.bend().kind()).read(job.bend());
    }

    /**
     * Lays out all of them, by the job's own method.
     *
     * @param obstacle to clear; without one, what the bend's own inputs say
     * @param friction {@code µ}, 0 to 2
     * @param others tools that the conduit could be bent with instead
     */
    public static List<Alternative> of(Job job, Optional<Obstacle> obstacle, double friction, List<Tooling> others) {
        Alternatives alternatives = new Alternatives(job, obstacle, friction);
        List<Alternative> all = new ArrayList<>(alternatives.angles());
        all.addAll(alternatives.ways());
        for (int i = 0; i < others.size(); i++) {
            all.add(alternatives.laidOut(new Alternative.Of.OtherTool(i), job.bend(), others.get(i), false));
        }
        return List.copyOf(all);
    }

    /** The usual angles, and the one that is asked for. */
    private List<Alternative> angles() {
        Optional<Field> steep = Form.of(job.bend().kind()).first(Role.ANGLE);
        if (steep.isEmpty()) {
            return List.of();
        }
        Angle now = (Angle) said.size(steep.get().id());
        TreeSet<Angle> angles = new TreeSet<>(ANGLES);
        angles.add(now);
        return angles.stream()
                .flatMap(angle -> made(said.with(steep.get().id(), angle)).stream()
                        .map(bend -> laidOut(
                                new Alternative.Of.Steepness(steep.get().id().id(), angle),
                                bend,
                                job.tooling(),
                                angle.equals(now))))
                .toList();
    }

    /** Both options of each choice that changes how the piece is made, and not where it was measured to. */
    private List<Alternative> ways() {
        List<Alternative> ways = new ArrayList<>();
        for (Choice choice : Form.of(job.bend().kind()).choices()) {
            if (choice.of() == Choice.Of.WORKING) {
                for (Choice.Option option : choice.options()) {
                    boolean now = option.value() == said.options().get(choice.id());
                    made(said.with(choice.id(), option.value()))
                            .ifPresent(bend -> ways.add(laidOut(
                                    new Alternative.Of.Way(choice.id(), option.id(), option.title()),
                                    bend,
                                    job.tooling(),
                                    now)));
                }
            }
        }
        return ways;
    }

    /** Nothing where the size is outside of what the bend may have: that is no alternative of it. */
    private Optional<Bend> made(Entries entries) {
        try {
            return Optional.of(Form.of(job.bend().kind()).make(entries));
        } catch (Refused outOfRange) {
            return Optional.empty();
        }
    }

    private Alternative laidOut(Alternative.Of of, Bend bend, Tooling tooling, boolean isCurrent) {
        try {
            Layout layout = Layout.of(new Job(bend, tooling, job.school()));
            Alternative.Takes takes = Alternative.Takes.of(layout, obstacle, friction);
            return new Alternative(of, bend, tooling, isCurrent, new Alternative.Result.Fits(layout, takes));
        } catch (Refused impossible) {
            return new Alternative(
                    of,
                    bend,
                    tooling,
                    isCurrent,
                    new Alternative.Result.Impossible(impossible.faults().getFirst()));
        }
    }
}
