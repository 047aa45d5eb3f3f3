package lobrik.wire;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.Bend;
import lobrik.bend.Choice;
import lobrik.bend.Count;
import lobrik.bend.Entries;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Group;
import lobrik.bend.InputId;
import lobrik.fault.FaultCode;
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
        Form<? extends Bend> form = Form.of(input.kind());
        Entries entries = entries("bend/", form, input.said());
        return translation.faultCount() > before
                ? Optional.empty()
                : translation.built("bend", () -> form.make(entries));
    }

    private Entries entries(String path, Form<?> form, PartInput input) {
        Map<InputId, Quantity> sizes = new EnumMap<>(InputId.class);
        for (Field field : form.fields()) {
            size(path, field, input.number(field.id())).ifPresent(size -> sizes.put(field.id(), size));
        }
        Map<String, Enum<?>> options = new HashMap<>();
        for (Choice choice : form.choices()) {
            Optional<Choice.Option> said = input.option(choice).flatMap(choice::withId);
            if (said.isEmpty() && choice.isAsked()) {
                translation.required(path + choice.id(), null);
            }
            options.put(choice.id(), said.orElse(choice.options().getFirst()).value());
        }
        Map<String, Integer> counts = new HashMap<>();
        for (Count count : form.counts()) {
            counted(path, count, input.count(count)).ifPresent(number -> counts.put(count.id(), number));
        }
        Map<String, List<Entries.Item>> parts = new HashMap<>();
        for (Group group : form.groups()) {
            parts.put(group.id(), items(path, group, input.parts(group)));
        }
        return new Entries(sizes, options, counts, parts);
    }

    private List<Entries.Item> items(String path, Group group, List<PartInput.Item> inputs) {
        if (inputs.size() > group.most()) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    path + group.id(),
                    "there are " + inputs.size() + "; give at most " + group.most());
            return List.of();
        }
        List<Entries.Item> items = new ArrayList<>(inputs.size());
        for (int i = 0; i < inputs.size(); i++) {
            PartInput.Item input = inputs.get(i);
            Form<?> form = group.sort(input.sort()).orElseThrow();
            items.add(new Entries.Item(input.sort(), entries(path + group.path(i) + "/", form, input.said())));
        }
        return items;
    }

    private Optional<Integer> counted(String path, Count count, @Nullable Integer number) {
        Optional<Integer> given = translation.required(path + count.id(), number);
        if (given.filter(said -> said < count.least() || said > count.most()).isPresent()) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    path + count.id(),
                    "this is " + number + "; it must be from " + count.least() + " to " + count.most());
        }
        return given;
    }

    private Optional<? extends Quantity> size(String path, Field field, @Nullable Double number) {
        String pointer = path + field.id().id();
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
