package lobrik.server.transfer;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.WireJson;
import lobrik.server.progress.Gradebook;
import lobrik.server.progress.Gradebook.PieceRow;
import lobrik.server.progress.SignOffView;
import lobrik.server.progress.TraineePages;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.SequenceWriter;

/**
 * Learning records as statements of the Experience API (xAPI 1.0.3): each finished piece was passed or failed, each signature says
 * that a kind of bend was mastered, and a withdrawal voids it. Ids are those of the records, so that a statement sent twice is one.
 */
@Service
class Statements {

    private static final String VERBS = "http://adlnet.gov/expapi/verbs/";
    private static final String ASSESSMENT = "http://adlnet.gov/expapi/activities/assessment";
    private static final String SKILL = "http://adlnet.gov/expapi/activities/objective";
    private static final String OWN = "urn:lobrik:";

    private final Gradebook gradebook;
    private final TraineePages pages;
    private final Cohorts cohorts;

    Statements(Gradebook gradebook, TraineePages pages, Cohorts cohorts) {
        this.gradebook = gradebook;
        this.pages = pages;
        this.cohorts = cohorts;
    }

    /** Who is meant by an account: where it lives, and its id there. */
    private record Account(String homePage, UUID name) {}

    private record Actor(String objectType, String name, Account account) {

        static Actor of(String home, UUID id, String name) {
            return new Actor("Agent", name, new Account(home, id));
        }
    }

    private record Verb(String id, Map<String, String> display) {

        static Verb of(String verb) {
            return new Verb(VERBS + verb, english(verb));
        }
    }

    /** What somebody did something with: an activity, or a statement by its id. */
    private sealed interface Target {}

    private record Activity(String objectType, String id, Definition definition) implements Target {

        static Activity of(String id, String type, String name, String about) {
            return new Activity(
                    "Activity", id, new Definition(type, english(name), about.isEmpty() ? null : english(about)));
        }
    }

    private record Definition(
            String type, Map<String, String> name, @Nullable Map<String, String> description) {}

    private record Reference(String objectType, UUID id) implements Target {}

    private record Points(double scaled, double raw, int min, int max) {}

    private record Result(
            @Nullable Points score,
            @Nullable Boolean success,
            @Nullable Boolean completion,
            @Nullable String response,
            @Nullable Duration duration,
            @Nullable Map<String, Object> extensions) {}

    private record Context(String platform, Map<String, Object> extensions) {}

    private record Statement(
            UUID id,
            Actor actor,
            Verb verb,
            Target object,
            Result result,
            @Nullable Context context,
            Instant timestamp) {}

    private static final ObjectWriter JSON = WireJson.mapper()
            .rebuild()
            .changeDefaultPropertyInclusion(usual -> usual.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build()
            .writer();

    /**
     * Writes the statements of a cohort as one array.
     *
     * @param home address of this installation, which the ids of people belong to
     */
    void write(SignedIn who, Cohort cohort, String home, OutputStream to) {
        List<Trainee> trainees = cohorts.trainees(who, cohort.id());
        try (SequenceWriter statements = JSON.writeValuesAsArray(to)) {
            gradebook.pieces(List.of(cohort), piece -> statements.write(finished(piece, home, cohort)));
            for (Trainee trainee : trainees) {
                Actor actor = Actor.of(home, trainee.id(), trainee.fullName());
                for (SignOffView signature : pages.signOffs(trainee.id())) {
                    statements.write(signed(signature, actor));
                    SignOffView.WithdrawalView withdrawal = signature.withdrawal();
                    if (withdrawal != null) {
                        statements.write(withdrawn(signature, withdrawal, actor));
                    }
                }
            }
        }
    }

    private static Statement finished(PieceRow piece, String home, Cohort cohort) {
        Map<String, Object> extensions = new LinkedHashMap<>();
        extensions.put(OWN + "bend", piece.family().bend().id());
        extensions.put(OWN + "tool", piece.family().tool().id());
        extensions.put(OWN + "conduit", piece.conduitLabel());
        extensions.put(OWN + "bender", piece.benderLabel());
        extensions.put(OWN + "tolerances", piece.preset());
        extensions.put(OWN + "rebent", piece.rebent());
        if (piece.cause() != null) {
            extensions.put(OWN + "cause", piece.cause());
        }
        return new Statement(
                piece.attemptId(),
                Actor.of(home, piece.traineeId(), piece.fullName()),
                Verb.of(piece.passed() ? "passed" : "failed"),
                Activity.of(
                        OWN + "attempt:" + piece.attemptId(),
                        ASSESSMENT,
                        piece.title(),
                        piece.family().id()),
                new Result(
                        new Points(Math.round(piece.points() * 100) / 10_000.0, piece.points(), 0, 100),
                        piece.passed(),
                        true,
                        null,
                        piece.minutes() == null ? null : Duration.ofMinutes(piece.minutes()),
                        extensions),
                new Context("Lobrik", Map.of(OWN + "cohort", cohort.name())),
                piece.measuredAt());
    }

    private static Statement signed(SignOffView signature, Actor actor) {
        Map<String, Object> extensions = new LinkedHashMap<>();
        extensions.put(OWN + "signed-by", signature.signedBy());
        extensions.put(
                OWN + "evidence",
                signature.evidence().stream().map(each -> each.attemptId()).toList());
        return new Statement(
                signature.id(),
                actor,
                Verb.of("mastered"),
                Activity.of(OWN + "bend:" + signature.family(), SKILL, signature.family(), signature.remark()),
                new Result(null, true, null, null, null, extensions),
                null,
                signature.signedAt());
    }

    private static Statement withdrawn(SignOffView signature, SignOffView.WithdrawalView withdrawal, Actor actor) {
        return new Statement(
                UUID.nameUUIDFromBytes((signature.id() + "/withdrawal").getBytes(StandardCharsets.UTF_8)),
                actor,
                Verb.of("voided"),
                new Reference("StatementRef", signature.id()),
                new Result(null, null, null, withdrawal.reason(), null, null),
                null,
                withdrawal.at());
    }

    private static Map<String, String> english(String words) {
        return Map.of("en", words);
    }
}
