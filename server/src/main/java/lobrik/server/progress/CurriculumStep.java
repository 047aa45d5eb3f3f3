package lobrik.server.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import lobrik.progress.Curriculum;
import lobrik.progress.Family;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;

/**
 * A step of the order in which bends are learnt, as it is sent and stored.
 *
 * @param family of bends
 * @param after the families that have to be steady first
 */
public record CurriculumStep(
        @Nullable String family, @Nullable List<String> after) {

    static List<CurriculumStep> of(Curriculum order) {
        return order.steps().stream()
                .map(step -> new CurriculumStep(
                        step.family().id(),
                        step.after().stream().map(Family::id).toList()))
                .toList();
    }

    /**
     * As the core has it.
     *
     * @throws TurnedDown if a step names no family that there is
     * @throws lobrik.fault.Refused if the order cannot be kept
     */
    static Curriculum toCore(List<CurriculumStep> steps) {
        List<Curriculum.Step> order = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            CurriculumStep step = steps.get(i);
            String pointer = "/steps/" + i;
            order.add(new Curriculum.Step(
                    family(step.family(), pointer + "/family"),
                    Objects.requireNonNullElse(step.after(), List.<String>of()).stream()
                            .map(id -> family(id, pointer + "/after"))
                            .toList()));
        }
        return new Curriculum(order);
    }

    private static Family family(@Nullable String id, String pointer) {
        return Family.withId(String.valueOf(id))
                .orElseThrow(() -> TurnedDown.badInput(pointer, "unknown-value", "“" + id + "” is no family of bends"));
    }
}
