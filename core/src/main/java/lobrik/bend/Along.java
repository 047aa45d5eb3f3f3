package lobrik.bend;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.Field.First;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * Something on a leg of a run (handbook 4.9).
 *
 * @param leg its number, from 1
 * @param towards where the conduit moves to
 * @param bend an offset from an edge, or a saddle; its distance is from the start of the leg, and nothing is said of its overall
 *     length
 */
public record Along(int leg, Towards towards, AlongLeg bend) {

    private static final Count LEG = new Count("leg", "Leg", 1, Run.MOST_LEGS);
    private static final Field AT =
            Field.of(InputId.AT, "From the leg's start", Role.PLACE, Range.POSITIVE, new First("12", "300"));
    private static final Field RISE = Field.of(InputId.RISE, "Rise", Role.SIZE, Range.POSITIVE, new First("3", "75"));
    private static final Field ANGLE =
            Field.of(InputId.ANGLE, "Angle", Role.ANGLE, Range.OF_ANGLE, new First("30", "30"));

    private static final Form<Along> OFFSET = Form.of(Along.class)
            .ask(AT, along -> ((Offset) along.bend).distance())
            .ask(RISE, along -> ((Offset) along.bend).rise())
            .ask(ANGLE, along -> ((Offset) along.bend).angle())
            .leave(Fields.TOWARDS, Along::towards)
            .count(LEG, Along::leg)
            .makes(said -> new Along(
                    said.count(LEG),
                    said.option(Fields.TOWARDS, Towards.class),
                    offset(said.length(InputId.AT), said.length(InputId.RISE), said.angle(InputId.ANGLE))));

    static final Map<String, Form<?>> SORTS = sorts();

    private static Map<String, Form<?>> sorts() {
        Map<String, Form<?>> sorts = new LinkedHashMap<>();
        sorts.put(BendKind.OFFSET.id(), OFFSET);
        sorts.put(BendKind.SADDLE_3.id(), ofSaddle(Saddle3.FORM, Saddle3.class));
        sorts.put(BendKind.SADDLE_4.id(), ofSaddle(Saddle4.FORM, Saddle4.class));
        return sorts;
    }

    /** Everything that the saddle asks for when it stands alone, but for its overall length. */
    private static <S extends AlongLeg> Form<Along> ofSaddle(Form<S> alone, Class<S> type) {
        Form.Builder<Along> form = Form.of(Along.class);
        for (Field field : alone.fields()) {
            if (field.id() != InputId.OVERALL) {
                Function<Along, Quantity> read =
                        along -> alone.read(type.cast(along.bend)).size(field.id());
                form.ask(field, read);
            }
        }
        for (Choice choice : alone.choices()) {
            form.leave(choice, along -> alone.read(along.bend).option(choice));
        }
        return form.leave(Fields.TOWARDS, Along::towards)
                .count(LEG, Along::leg)
                .makes(said ->
                        new Along(said.count(LEG), said.option(Fields.TOWARDS, Towards.class), alone.make(said)));
    }

    /** In a sentence: {@code the offset on leg 2}. */
    static String words(Entries.Item item) {
        return "the " + BendKind.withId(item.sort()).orElseThrow().words() + " on leg "
                + item.said().count(LEG);
    }

    /** An offset that leaves its surface at a place. */
    public static Offset offset(Length at, Length rise, Angle angle) {
        Faults faults = new Faults();
        AT.require(faults, at);
        RISE.require(faults, rise);
        ANGLE.require(faults, angle);
        faults.refuseIfAny();
        return new Offset(rise, Length.ZERO, angle, at, OffsetLayout.FROM_EDGE, Optional.empty());
    }

    /** Where it lies, from the start of its leg. */
    public Length at() {
        return switch (bend) {
            case Offset offset -> offset.distance();
            case Saddle3 saddle -> saddle.centre();
            case Saddle4 saddle -> saddle.distance();
        };
    }

    /**
     * The same at another place.
     *
     * @param otherLeg its number, from 1
     * @param at from the start of that leg
     */
    public Along placed(int otherLeg, Length at) {
        return new Along(
                otherLeg,
                towards,
                switch (bend) {
                    case Offset offset -> offset(at, offset.rise(), offset.angle());
                    case Saddle3 saddle -> saddle.at(at);
                    case Saddle4 saddle -> saddle.at(at);
                });
    }
}
