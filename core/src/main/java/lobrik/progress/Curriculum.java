package lobrik.progress;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BendKind;

/**
 * In which order bends are learnt, and what has to be steady before the next (handbook 7).
 *
 * @param steps from the first
 */
public record Curriculum(List<Step> steps) {

    /** A kind of bend with what has to be steady before it. */
    public record Step(BendKind kind, List<BendKind> after) {}

    /** Stub, back-to-back, box offset, offset, kick, rolling offset, three-point, four-point, over-bent. */
    public static final Curriculum USUAL = new Curriculum(List.of(
            new Step(BendKind.STUB_90, List.of()),
            new Step(BendKind.BACK_TO_BACK_90, List.of(BendKind.STUB_90)),
            new Step(BendKind.BOX_OFFSET, List.of(BendKind.STUB_90)),
            new Step(BendKind.OFFSET, List.of(BendKind.BOX_OFFSET)),
            new Step(BendKind.KICK, List.of(BendKind.STUB_90)),
            new Step(BendKind.ROLLING_OFFSET, List.of(BendKind.OFFSET)),
            new Step(BendKind.SADDLE_3, List.of(BendKind.OFFSET)),
            new Step(BendKind.SADDLE_4, List.of(BendKind.SADDLE_3)),
            new Step(BendKind.OVER_BENT_90, List.of(BendKind.BACK_TO_BACK_90, BendKind.OFFSET))));

    public Curriculum {
        steps = List.copyOf(steps);
    }

    /** The kinds in the order in which they are learnt. */
    public List<BendKind> kinds() {
        return steps.stream().map(Step::kind).toList();
    }

    /** What has to be steady before a kind. */
    List<BendKind> before(BendKind kind) {
        return steps.stream()
                .filter(step -> step.kind() == kind)
                .flatMap(step -> step.after().stream())
                .toList();
    }

    /**
     * The first kind that is not steady while all before it are. A kind that was never bent by whoever has begun one that builds on
     * it counts as shown: a second-year need not bend a stub for the record.
     */
    Optional<BendKind> next(Map<BendKind, Standing> standings) {
        return steps.stream()
                .filter(step -> !isShown(step.kind(), standings)
                        && step.after().stream().allMatch(kind -> isShown(kind, standings)))
                .map(Step::kind)
                .findFirst();
    }

    private boolean isShown(BendKind kind, Map<BendKind, Standing> standings) {
        Standing standing = standings.getOrDefault(kind, Standing.NOT_TRIED);
        return standing.isSteady() || (standing == Standing.NOT_TRIED && isBuiltOn(kind, standings));
    }

    private boolean isBuiltOn(BendKind kind, Map<BendKind, Standing> standings) {
        return steps.stream()
                .filter(step -> step.after().contains(kind))
                .anyMatch(step -> standings.getOrDefault(step.kind(), Standing.NOT_TRIED) != Standing.NOT_TRIED
                        || isBuiltOn(step.kind(), standings));
    }
}
