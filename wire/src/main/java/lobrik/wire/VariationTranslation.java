package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.exercise.InputRange;
import lobrik.exercise.Variants;
import lobrik.fault.FaultCode;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/** Translates how variants differ, and writes a variant's bend the way the request wrote the exercise's. */
final class VariationTranslation {

    private VariationTranslation() {}

    static List<InputRange> ranges(Translation translation, VariationInput variation) {
        List<VariationInput.@Nullable RangeInput> inputs = variation.ranges() == null ? List.of() : variation.ranges();
        List<InputRange> ranges = new ArrayList<>();
        for (int i = 0; i < inputs.size(); i++) {
            String at = "ranges/" + i;
            translation
                    .required(at, inputs.get(i))
                    .flatMap(input -> range(translation, at, input))
                    .ifPresent(ranges::add);
        }
        return translation.finish(Optional.of(List.copyOf(ranges)));
    }

    private static Optional<InputRange> range(Translation translation, String at, VariationInput.RangeInput input) {
        Optional<String> path = translation.required(at + "/input", input.input());
        Optional<InputId> id = path.flatMap(name -> InputId.ofPath(name).or(() -> {
            translation.fault(
                    FaultCode.UNKNOWN_VALUE,
                    at + "/input",
                    "this is not a size of a bend; try "
                            + Stream.of(InputId.values()).map(InputId::id).collect(Collectors.joining(", ")));
            return Optional.empty();
        }));
        return id.flatMap(known -> {
            Optional<? extends Quantity> from = size(translation, at + "/from", known, input.from());
            Optional<? extends Quantity> to = size(translation, at + "/to", known, input.to());
            Optional<? extends Quantity> step = size(translation, at + "/step", known, input.step());
            return from.flatMap(f -> to.flatMap(t ->
                    step.flatMap(s -> translation.built("", () -> new InputRange(path.orElseThrow(), f, t, s)))));
        });
    }

    private static Optional<? extends Quantity> size(
            Translation translation, String at, InputId id, @Nullable Double value) {
        return translation
                .required(at, value)
                .flatMap(number -> translation.quantity(at, () -> id.measured().of(number)));
    }

    /** The request's bend with the sizes that a variant has; choices and open sizes stay as they were written. */
    static BendInput varied(BendInput base, Variants.Variant variant, List<InputRange> ranges) {
        Map<String, Quantity> sizes =
                Input.of(variant.layout().job().bend()).stream().collect(Collectors.toMap(Input::path, Input::current));
        BendInput varied = base;
        for (InputRange range : ranges) {
            Quantity size = sizes.get(range.input());
            if (size != null) {
                varied = varied.with(range.input(), size);
            }
        }
        return varied;
    }
}
