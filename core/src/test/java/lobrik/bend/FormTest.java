package lobrik.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.stream.Stream;
import lobrik.fault.Fault;
import lobrik.fault.Refused;
import lobrik.layout.Jobs;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.QuantityKind;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every kind of bend is what its form says it is. */
class FormTest {

    private static List<Bend> bends(BendKind kind) {
        Jobs jobs = new Jobs(53);
        return Stream.generate(() ->
                        jobs.next(kind, Method.EXACT, TapeDivision.SIXTEENTH).bend())
                .limit(50)
                .toList();
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void whatIsReadOffABend_makesTheSameBend(BendKind kind) {
        Form<? extends Bend> form = Form.of(kind);
        assertThat(bends(kind)).allSatisfy(bend -> {
            assertThat(bend.kind()).isEqualTo(kind);
            assertThat(form.make(form.read(bend))).isEqualTo(bend);
        });
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void anotherSizeOfAnInput_changesThatOneAndNoOther(BendKind kind) {
        assertThat(bends(kind).subList(0, 5))
                .allSatisfy(bend -> assertThat(Input.of(bend)).allSatisfy(input -> {
                    Bend other = input.with()
                            .apply(input.current()
                                    .withCount(input.current().count()
                                            + (input.current().count() > 0 ? -1 : 1)));
                    List<String> changed = Input.of(other).stream()
                            .filter(now -> Input.of(bend).stream()
                                    .noneMatch(before -> before.path().equals(now.path())
                                            && before.current().equals(now.current())))
                            .map(Input::path)
                            .toList();
                    assertThat(changed).containsExactly(input.path());
                }));
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void everyInput_isRefusedBelowItsRangeAndAbove_byItsOwnName(BendKind kind) {
        Bend bend = bends(kind).getFirst();
        assertThat(Input.of(bend)).allSatisfy(input -> {
            boolean angle = input.id().measured() == QuantityKind.ANGLE;
            for (long count : angle
                    ? new long[] {0, Angle.ofDegrees(91).count()}
                    : new long[] {-1, Length.ofInches(1000).count()}) {
                Refused refused = catchThrowableOfType(
                        Refused.class, () -> input.with().apply(input.current().withCount(count)));
                assertThat(refused.faults()).extracting(Fault::input).containsExactly(input.path());
                assertThat(refused.faults().getFirst().message())
                        .startsWith(input.field().name());
            }
        });
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void everyKind_hasWhatDecidesItsPlaceAndASize_andOptionsWithIdsOfTheirOwn(BendKind kind) {
        Form<? extends Bend> form = Form.of(kind);
        if (form.groups().isEmpty()) {
            assertThat(form.first(Role.PLACE)).isPresent();
        }
        assertThat(form.fields()).extracting(Field::id).doesNotHaveDuplicates();
        assertThat(form.choices())
                .allSatisfy(choice -> assertThat(choice.options())
                        .extracting(Choice.Option::id)
                        .doesNotHaveDuplicates()
                        .allSatisfy(id -> assertThat(choice.withId(id)).isPresent()));
    }
}
