package lobrik.wire;

import java.util.List;
import java.util.stream.Stream;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Choice;
import lobrik.bend.Count;
import lobrik.bend.End;
import lobrik.bend.Field;
import lobrik.bend.Form;
import lobrik.bend.Group;
import lobrik.feature.FeatureKind;
import lobrik.measure.QuantityKind;
import lobrik.progress.Family;
import lobrik.reading.Nudge;
import lobrik.shop.ToolKind;
import lobrik.verdict.Scheme;
import lobrik.verdict.Tolerances;
import org.jspecify.annotations.Nullable;

/**
 * What can be set and what can be measured, with their names: what a form and a drawing are made from.
 *
 * @param kinds from the one that is learnt first
 * @param families each kind of bend with each sort of tool: what is learnt and signed for by itself
 * @param features in the order of a sheet
 * @param schemes how credit falls with a deviation
 * @param angleStepDeg by which an angle goes up and down
 * @param usualFlattening how flat a bend may be, in per cent, where a set of tolerances does not say otherwise
 */
public record KindsAnswer(
        List<KindAnswer> kinds,
        List<FamilyAnswer> families,
        List<FeatureKindAnswer> features,
        List<SchemeAnswer> schemes,
        double angleStepDeg,
        double usualFlattening) {

    /** How credit falls with a deviation, in two words and in a sentence. */
    public record SchemeAnswer(String id, String name, String words) {

        static SchemeAnswer of(Scheme scheme) {
            return new SchemeAnswer(scheme.id(), scheme.title(), scheme.words());
        }
    }

    /** A kind of bend with a sort of tool. */
    public record FamilyAnswer(String id, String kind, ToolKind tool, String name) {

        static FamilyAnswer of(Family family) {
            return new FamilyAnswer(family.id(), family.bend().id(), family.tool(), family.title());
        }
    }

    /**
     * A kind of bend with what it asks for.
     *
     * @param charted whether there is a chart for it; what has none is laid out exactly
     * @param groups the parts that it has
     */
    public record KindAnswer(
            String kind,
            String name,
            boolean charted,
            List<InputAnswer> inputs,
            List<ChoiceAnswer> choices,
            List<GroupAnswer> groups) {

        static KindAnswer of(BendKind kind) {
            Form<? extends Bend> form = Form.of(kind);
            return new KindAnswer(
                    kind.id(),
                    kind.title(),
                    kind.isCharted(),
                    form.fields().stream().map(InputAnswer::of).toList(),
                    form.choices().stream().map(ChoiceAnswer::of).toList(),
                    form.groups().stream().map(GroupAnswer::of).toList());
        }
    }

    /**
     * Parts of one name: a list of them, or one that may be missing.
     *
     * @param name as a request names it
     * @param list whether there may be several
     * @param most how many there may be
     * @param sorts what they may be; where there is only one, its sort is empty
     */
    public record GroupAnswer(String name, boolean list, int most, List<SortAnswer> sorts) {

        static GroupAnswer of(Group group) {
            return new GroupAnswer(
                    group.id(),
                    group.isList(),
                    group.most(),
                    group.sorts().entrySet().stream()
                            .map(sort -> SortAnswer.of(sort.getKey(), sort.getValue()))
                            .toList());
        }
    }

    /** What a part of a sort asks for. */
    public record SortAnswer(
            String sort, List<InputAnswer> inputs, List<CountAnswer> counts, List<ChoiceAnswer> choices) {

        static SortAnswer of(String sort, Form<?> form) {
            return new SortAnswer(
                    sort,
                    form.fields().stream().map(InputAnswer::of).toList(),
                    form.counts().stream().map(CountAnswer::of).toList(),
                    form.choices().stream().map(ChoiceAnswer::of).toList());
        }
    }

    /** A number that a part is given by. */
    public record CountAnswer(String name, String label, int least, int most) {

        static CountAnswer of(Count count) {
            return new CountAnswer(count.id(), count.title(), count.least(), count.most());
        }
    }

    /**
     * One of its inputs.
     *
     * @param name as a request names it
     * @param at the place on the drawing where it stands; only in the list without one
     * @param optional whether it may be left open
     * @param ends of the conduit that it is measured to: what goes into a fitting there is added to it
     * @param first a good size to begin with
     */
    public record InputAnswer(
            String name,
            String label,
            QuantityKind kind,
            @Nullable String at,
            boolean optional,
            List<End> ends,
            FirstAnswer first) {

        static InputAnswer of(Field field) {
            return new InputAnswer(
                    field.id().id(),
                    field.title(),
                    field.id().measured(),
                    field.place().orElse(null),
                    field.mayStayOpen(),
                    Stream.of(End.values()).filter(field.ends()::contains).toList(),
                    new FirstAnswer(field.first().inches(), field.first().millimetres()));
        }
    }

    /** A size as it is typed, where bare numbers are inches and where they are millimetres; degrees in both. */
    public record FirstAnswer(String in, String mm) {}

    /** A choice; the first option is the usual one. */
    public record ChoiceAnswer(String name, String label, List<OptionAnswer> options) {

        static ChoiceAnswer of(Choice choice) {
            return new ChoiceAnswer(
                    choice.id(),
                    choice.title(),
                    choice.options().stream()
                            .map(option -> new OptionAnswer(option.id(), option.title()))
                            .toList());
        }
    }

    /** One of its options. */
    public record OptionAnswer(String value, String name) {}

    /**
     * A kind of feature.
     *
     * @param id of a feature of this kind, with the number of its bend behind it if it is numbered
     * @param name on a form, without a number
     * @param hint where to hold the tape or the level
     * @param ofFinishedPiece whether it is a dimension of the finished piece: read anew once that was bent again
     * @param byLevel whether it may be read with a level, so that what that reads on the floor is taken off
     */
    public record FeatureKindAnswer(
            String id,
            String name,
            String hint,
            Unit unit,
            boolean numbered,
            boolean signed,
            boolean ofFinishedPiece,
            boolean byLevel) {

        static FeatureKindAnswer of(FeatureKind kind) {
            return new FeatureKindAnswer(
                    kind.id(),
                    kind.title(),
                    kind.hint(),
                    Unit.of(kind.measured()),
                    kind.isNumbered() && !kind.mayBeNumbered(),
                    kind.isSigned(),
                    kind.isOfFinishedPiece(),
                    kind.isReadByLevel());
        }
    }

    /** All there are. */
    static KindsAnswer all() {
        return new KindsAnswer(
                Stream.of(BendKind.values()).map(KindAnswer::of).toList(),
                Family.all().stream().map(FamilyAnswer::of).toList(),
                Stream.of(FeatureKind.values()).map(FeatureKindAnswer::of).toList(),
                Stream.of(Scheme.values()).map(SchemeAnswer::of).toList(),
                Nudge.ANGLE_STEP.degrees(),
                Tolerances.USUAL_FLATTENING.perCent());
    }
}
