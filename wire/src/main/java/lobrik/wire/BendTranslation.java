package lobrik.wire;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.Bend;
import lobrik.bend.Choice;
import lobrik.bend.Entries;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.InputId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/** Translates the bend of a request, by the form of its kind. */
final class BendTranslation {

    private final Translation translation;
    private final Function<Length, Length> leastGrip;

    /**
     * For one request.
     *
     * @param leastGrip what the request's bender has to hold, given what is usual where its figures leave that open
     */
    BendTranslation(Translation translation, Function<Length, Length> leastGrip) {
        this.translation = translation;
        this.leastGrip = leastGrip;
    }

    Optional<Bend> of(BendInput input) {
        int before = translation.faultCount();
        Form form = Form.of(input.kind());
        Map<InputId, Quantity> sizes = new EnumMap<>(InputId.class);
        for (Field field : form.fields()) {
            size(field, input.number(field.id())).ifPresent(size -> sizes.put(field.id(), size));
        }
        Map<String, Enum<?>> options = new HashMap<>();
        for (Choice choice : form.choices()) {
            Choice.Option option = input.option(choice)
                    .flatMap(choice::withId)
                    .orElse(choice.options().getFirst());
            options.put(choice.id(), option.value());
        }
        return translation.faultCount() > before
                ? Optional.empty()
                : translation.built("bend", () -> form.make(new Entries(sizes, options)));
    }

    private Optional<? extends Quantity> size(Field field, @Nullable Double number) {
        String pointer = "bend/" + field.id().id();
        if (number == null) {
            return switch (field.whenOpen()) {
                case Field.WhenOpen.Missing _ -> {
                    translation.required(pointer, null);
                    yield Optional.empty();
                }
                case Field.WhenOpen.Open _ -> Optional.empty();
                case Field.WhenOpen.Usual usual -> Optional.of(usual.size());
                case Field.WhenOpen.LeastGrip usual -> Optional.of(leastGrip.apply(usual.size()));
            };
        }
        return translation.quantity(pointer, () -> field.id().measured().of(number));
    }
}
