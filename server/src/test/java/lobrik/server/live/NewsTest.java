package lobrik.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What is told together says all that changed, and each thing once. */
class NewsTest {

    private static final UUID COHORT = UUID.randomUUID();
    private static final UUID SCREEN = UUID.randomUUID();

    private final News news = new News(COHORT);

    private boolean changed(@Nullable UUID trainee, @Nullable UUID attempt, @Nullable UUID by) {
        return news.add(new Live.Change(COHORT, trainee, attempt, by == null ? null : by.toString()), SCREEN);
    }

    @Test
    void eachBenchAndAttempt_isToldOnce_andThenForgotten() {
        UUID trainee = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        UUID own = UUID.randomUUID();
        assertThat(news.isEmpty()).isTrue();
        assertThat(changed(trainee, attempt, null)).isTrue();
        assertThat(changed(trainee, attempt, UUID.randomUUID())).isFalse();
        changed(trainee, own, SCREEN);
        assertThat(news.take()).isEqualTo(new Live.Changed(COHORT, Set.of(trainee), Set.of(attempt)));
        assertThat(news.isEmpty()).isTrue();
        assertThat(changed(trainee, null, null)).as("from the beginning").isTrue();
    }

    @Test
    void whatMayBeAnybodys_isSoForTheRest() {
        changed(UUID.randomUUID(), null, null);
        changed(null, null, null);
        assertThat(news.take().traineeIds()).isNull();
        changed(UUID.randomUUID(), null, null);
        assertThat(news.take().traineeIds()).hasSize(1);
    }

    @Test
    void whoeverMissedVeryMuch_asksForEverything() {
        for (int i = 0; i < 300; i++) {
            changed(UUID.randomUUID(), null, null);
        }
        assertThat(news.take().traineeIds()).isNull();
    }
}
