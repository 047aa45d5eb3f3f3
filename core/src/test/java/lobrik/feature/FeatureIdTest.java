package lobrik.feature;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FeatureIdTest {

    private static Stream<FeatureId> all() {
        return Stream.of(FeatureKind.values())
                .flatMap(kind -> kind.isNumbered()
                        ? Stream.of(new FeatureId(kind, 1), new FeatureId(kind, 7), new FeatureId(kind, 12))
                        : Stream.of(new FeatureId(kind, 0)));
    }

    @Test
    void everyFeature_isFoundByItsId() {
        assertThat(all())
                .allSatisfy(
                        feature -> assertThat(FeatureId.withId(feature.id())).contains(feature));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "mark", "mark0", "mark01", "mark100", "angle-1", "roll1", "7", "markx", "wobble", "Mark1"})
    void whatIsNoFeature_isNotFound(String id) {
        assertThat(FeatureId.withId(id)).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(FeatureKind.class)
    void aNumber_belongsToWhatThereAreSeveralOf(FeatureKind kind) {
        int tooFew = kind.isNumbered() ? 0 : 1;
        int wrong = kind.mayBeNumbered() ? 100 : tooFew;
        assertThatIllegalArgumentException().isThrownBy(() -> new FeatureId(kind, wrong));
    }

    @Test
    void words_areThoseOfTheBench() {
        assertThat(FeatureId.angle(7).words()).isEqualTo("angle 7");
        assertThat(FeatureId.mark(2).title()).isEqualTo("Mark 2");
        assertThat(FeatureId.TAIL_LIFT.words()).isEqualTo("the kick at the far end");
        assertThat(FeatureId.BETWEEN.title()).isEqualTo("Back to back");
        assertThat(FeatureId.LEG.words()).isEqualTo("the leg");
        assertThat(FeatureId.leg(2).words()).isEqualTo("leg 2");
        assertThat(FeatureId.rise(3).title()).isEqualTo("Rise on leg 3");
        assertThat(FeatureId.turn(1).words()).isEqualTo("turn 1");
    }

    @Test
    void entries_comeInTheOrderOfASheet_whateverOrderTheyWerePutIn() {
        List<FeatureId> inOrder = all().sorted().toList();
        List<FeatureId> shuffled = new ArrayList<>(inOrder);
        Collections.shuffle(shuffled, new Random(4));
        Map<FeatureId, Integer> entries = new HashMap<>();
        shuffled.forEach(feature -> entries.put(feature, 1));
        assertThat(FeatureId.inOrder(entries).keySet()).containsExactlyElementsOf(inOrder);
        assertThat(inOrder.getFirst()).isEqualTo(FeatureId.mark(1));
        assertThat(inOrder.getLast()).isEqualTo(FeatureId.flattening(12));
    }
}
