package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import lobrik.fault.FaultCode;
import lobrik.layout.Alternative;
import lobrik.layout.AlternativeWords;
import lobrik.layout.Alternatives;
import lobrik.shop.Tooling;
import org.jspecify.annotations.Nullable;

/** Asks the core what else would do. */
final class Comparing {

    private static final int MOST_BENDERS = 20;

    private Comparing() {}

    static CompareAnswer compare(CompareRequest request) {
        Translation translation = new Translation();
        Optional<LayoutRequest> layout = translation.required("layout", request.layout());
        double friction = translation.friction(request.friction());
        List<Tooling> others = benders(translation, Objects.requireNonNullElse(request.benders(), List.of()));
        Question question = Question.of(translation.finish(layout));
        List<Alternative> all = Alternatives.of(question.layout().job(), question.obstacle(), friction, others);
        return new CompareAnswer(
                all.stream().map(CompareAnswer.AlternativeAnswer::of).toList(),
                new AlternativeWords(all, question.unit()).sentence(),
                friction);
    }

    private static Tooling tooling(ToolingRequest input) {
        Translation own = new Translation();
        return own.finish(own.tooling(input.conduit(), input.bender()));
    }

    private static List<Tooling> benders(Translation translation, List<@Nullable ToolingRequest> given) {
        if (given.size() > MOST_BENDERS) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    "benders",
                    "there are " + given.size() + " benders; give at most " + MOST_BENDERS);
            return List.of();
        }
        List<Tooling> benders = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            String at = "benders/" + i;
            translation
                    .required(at, given.get(i))
                    .flatMap(input -> translation.built(at, () -> tooling(input)))
                    .ifPresent(benders::add);
        }
        return benders;
    }
}
