package lobrik.progress;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.shop.ToolKind;

/**
 * In which order bends are learnt, and what has to be steady before the next (handbook 7). A school has one of its own or the usual
 * one.
 *
 * @param steps from the first; none twice, and what comes before a step stands before it
 */
public record Curriculum(List<Step> steps) {

    /** A family of bends with what has to be steady before it. */
    public record Step(Family family, List<Family> after) {

        public Step {
            after = List.copyOf(after);
        }
    }

    /**
     * By hand: stub, back-to-back, box offset, offset, kick, rolling offset, three-point, four-point, over-bent, run. At the machine and with
     * heat the same, after a stub by hand; conduit that a machine bends is too large for box offsets.
     */
    public static final Curriculum USUAL = new Curriculum(
            Stream.of(ToolKind.values()).flatMap(tool -> usual(tool).stream()).toList());

    private static List<Step> usual(ToolKind tool) {
        BendKind beforeOffset = bendsSmall(tool) ? BendKind.BOX_OFFSET : BendKind.STUB_90;
        return Stream.of(
                        new Step(new Family(BendKind.STUB_90, tool), beforeStub(tool)),
                        step(tool, BendKind.BACK_TO_BACK_90, BendKind.STUB_90),
                        step(tool, BendKind.BOX_OFFSET, BendKind.STUB_90),
                        step(tool, BendKind.OFFSET, beforeOffset),
                        step(tool, BendKind.KICK, BendKind.STUB_90),
                        step(tool, BendKind.ROLLING_OFFSET, BendKind.OFFSET),
                        step(tool, BendKind.SADDLE_3, BendKind.OFFSET),
                        step(tool, BendKind.SADDLE_4, BendKind.SADDLE_3),
                        step(tool, BendKind.OVER_BENT_90, BendKind.BACK_TO_BACK_90, BendKind.OFFSET),
                        step(tool, BendKind.RUN, BendKind.BACK_TO_BACK_90, BendKind.OFFSET))
                .filter(step -> bendsSmall(tool) || !step.family().bend().isSmall())
                .toList();
    }

    /** Whether it bends conduit that enters small boxes. */
    private static boolean bendsSmall(ToolKind tool) {
        return switch (tool) {
            case SHOE, FORMER -> true;
            case MACHINE -> false;
        };
    }

    private static List<Family> beforeStub(ToolKind tool) {
        return switch (tool) {
            case SHOE -> List.of();
            case MACHINE, FORMER -> List.of(Family.byHand(BendKind.STUB_90));
        };
    }

    private static Step step(ToolKind tool, BendKind bend, BendKind... after) {
        return new Step(
                new Family(bend, tool),
                Stream.of(after).map(each -> new Family(each, tool)).toList());
    }

    /** @throws Refused if there is no step, if one comes twice, or if something is to come before it that does not */
    public Curriculum {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw refused(FaultCode.MISSING, "steps", "an order has at least one step");
        }
        Set<Family> before = new HashSet<>();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            for (Family after : step.after()) {
                if (!before.contains(after)) {
                    throw refused(
                            FaultCode.NOT_INCREASING,
                            "steps/" + i + "/after",
                            step.family().title() + " is to come after " + after.words()
                                    + ", which does not stand before it; move that up, or take the condition away");
                }
            }
            if (!before.add(step.family())) {
                throw refused(
                        FaultCode.DUPLICATE,
                        "steps/" + i + "/family",
                        step.family().title() + " stands in the order twice; take one away");
            }
        }
    }

    private static Refused refused(FaultCode code, String input, String reason) {
        return Refused.badInput(List.of(new Fault(code, input, reason)));
    }

    /** The families in the order in which they are learnt. */
    public List<Family> families() {
        return steps.stream().map(Step::family).toList();
    }

    /**
     * What a group learns and has learnt, in order: the steps with the tools that it uses, the tool of the first step where it uses none
     * yet; and behind them whatever else was bent.
     *
     * @param bent what somebody of them has bent or is signed off in
     */
    public List<Family> shownTo(Collection<Family> bent) {
        Set<ToolKind> tools = new HashSet<>(bent.stream().map(Family::tool).toList());
        if (tools.isEmpty()) {
            tools.add(steps.getFirst().family().tool());
        }
        List<Family> shown = new ArrayList<>(families().stream()
                .filter(family -> tools.contains(family.tool()))
                .toList());
        bent.stream()
                .distinct()
                .sorted()
                .filter(family -> !shown.contains(family))
                .forEach(shown::add);
        return List.copyOf(shown);
    }

    /** What has to be steady before a family. */
    List<Family> before(Family family) {
        return steps.stream()
                .filter(step -> step.family().equals(family))
                .flatMap(step -> step.after().stream())
                .toList();
    }

    /**
     * The first family that is not steady while all before it are: first with the tool that somebody is at, then with any that the school
     * has. A family that was never bent by whoever has begun one that builds on it counts as shown: a second-year need not bend a stub
     * for the record, nor one who is at the machine go back to the hand bender.
     *
     * @param at the tool of the last piece
     * @param has the tools that there are; where they are none that the order has, all count
     */
    Optional<Family> next(Map<Family, Standing> standings, Optional<ToolKind> at, Set<ToolKind> has) {
        List<Family> bendable = with(has);
        return Stream.concat(
                        open(standings)
                                .filter(family ->
                                        at.filter(tool -> tool == family.tool()).isPresent()),
                        open(standings).filter(bendable::contains))
                .findFirst();
    }

    /** The families that can be bent with these tools, in order; all where there is none. */
    List<Family> with(Set<ToolKind> has) {
        List<Family> bendable = families().stream()
                .filter(family -> has.contains(family.tool()))
                .toList();
        return bendable.isEmpty() ? families() : bendable;
    }

    private Stream<Family> open(Map<Family, Standing> standings) {
        return steps.stream()
                .filter(step -> !isShown(step.family(), standings)
                        && step.after().stream().allMatch(family -> isShown(family, standings)))
                .map(Step::family);
    }

    private boolean isShown(Family family, Map<Family, Standing> standings) {
        Standing standing = standings.getOrDefault(family, Standing.NOT_TRIED);
        return standing.isSteady() || (standing == Standing.NOT_TRIED && isBuiltOn(family, standings));
    }

    private boolean isBuiltOn(Family family, Map<Family, Standing> standings) {
        return steps.stream()
                .filter(step -> step.after().contains(family))
                .anyMatch(step -> standings.getOrDefault(step.family(), Standing.NOT_TRIED) != Standing.NOT_TRIED
                        || isBuiltOn(step.family(), standings));
    }
}
