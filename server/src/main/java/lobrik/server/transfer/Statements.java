package lobrik.server.transfer;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.progress.Gradebook;
import lobrik.server.progress.Gradebook.PieceRow;
import lobrik.server.progress.SignOffView;
import lobrik.server.progress.TraineePages;
import org.springframework.stereotype.Service;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

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
    private record Actor(String home, UUID id, String name) {}

    /**
     * Writes the statements of a cohort as one array.
     *
     * @param home address of this installation, which the ids of people belong to
     */
    void write(SignedIn who, Cohort cohort, String home, OutputStream to) {
        List<Trainee> trainees = cohorts.trainees(who, cohort.id());
        try (JsonGenerator json = JsonMapper.shared().createGenerator(to)) {
            json.writeStartArray();
            gradebook.pieces(List.of(cohort), piece -> write(json, piece, home, cohort));
            for (Trainee trainee : trainees) {
                Actor actor = new Actor(home, trainee.id(), trainee.fullName());
                pages.signOffs(trainee.id()).forEach(signature -> write(json, signature, actor));
            }
            json.writeEndArray();
        }
    }

    private static void write(JsonGenerator json, PieceRow piece, String home, Cohort cohort) {
        json.writeStartObject();
        json.writeStringProperty("id", piece.attemptId().toString());
        actor(json, new Actor(home, piece.traineeId(), piece.fullName()));
        verb(json, piece.passed() ? "passed" : "failed");
        object(json, OWN + "attempt:" + piece.attemptId(), ASSESSMENT, piece.title(), piece.kind());
        json.writeObjectPropertyStart("result");
        json.writeObjectPropertyStart("score");
        json.writeNumberProperty("scaled", Math.round(piece.points() * 100) / 10_000.0);
        json.writeNumberProperty("raw", piece.points());
        json.writeNumberProperty("min", 0);
        json.writeNumberProperty("max", 100);
        json.writeEndObject();
        json.writeBooleanProperty("success", piece.passed());
        json.writeBooleanProperty("completion", true);
        if (piece.minutes() != null) {
            json.writeStringProperty(
                    "duration", Duration.ofMinutes(piece.minutes()).toString());
        }
        json.writeObjectPropertyStart("extensions");
        json.writeStringProperty(OWN + "bend", piece.kind());
        json.writeStringProperty(OWN + "conduit", piece.conduitLabel());
        json.writeStringProperty(OWN + "bender", piece.benderLabel());
        json.writeStringProperty(OWN + "tolerances", piece.preset());
        json.writeNumberProperty(OWN + "rebent", piece.rebent());
        if (piece.cause() != null) {
            json.writeStringProperty(OWN + "cause", piece.cause());
        }
        json.writeEndObject();
        json.writeEndObject();
        json.writeObjectPropertyStart("context");
        json.writeStringProperty("platform", "Lobrik");
        json.writeObjectPropertyStart("extensions");
        json.writeStringProperty(OWN + "cohort", cohort.name());
        json.writeEndObject();
        json.writeEndObject();
        timestamp(json, piece.measuredAt());
        json.writeEndObject();
    }

    private static void write(JsonGenerator json, SignOffView signature, Actor actor) {
        json.writeStartObject();
        json.writeStringProperty("id", signature.id().toString());
        actor(json, actor);
        verb(json, "mastered");
        object(json, OWN + "bend:" + signature.kind(), SKILL, signature.kind(), signature.remark());
        json.writeObjectPropertyStart("result");
        json.writeBooleanProperty("success", true);
        json.writeObjectPropertyStart("extensions");
        json.writeStringProperty(OWN + "signed-by", signature.signedBy());
        json.writeArrayPropertyStart(OWN + "evidence");
        signature.evidence().forEach(piece -> json.writeString(piece.attemptId().toString()));
        json.writeEndArray();
        json.writeEndObject();
        json.writeEndObject();
        timestamp(json, signature.signedAt());
        json.writeEndObject();
        SignOffView.WithdrawalView withdrawal = signature.withdrawal();
        if (withdrawal != null) {
            json.writeStartObject();
            json.writeStringProperty(
                    "id",
                    UUID.nameUUIDFromBytes((signature.id() + "/withdrawal").getBytes(StandardCharsets.UTF_8))
                            .toString());
            actor(json, actor);
            verb(json, "voided");
            json.writeObjectPropertyStart("object");
            json.writeStringProperty("objectType", "StatementRef");
            json.writeStringProperty("id", signature.id().toString());
            json.writeEndObject();
            json.writeObjectPropertyStart("result");
            json.writeStringProperty("response", withdrawal.reason());
            json.writeEndObject();
            timestamp(json, withdrawal.at());
            json.writeEndObject();
        }
    }

    private static void actor(JsonGenerator json, Actor actor) {
        json.writeObjectPropertyStart("actor");
        json.writeStringProperty("objectType", "Agent");
        json.writeStringProperty("name", actor.name());
        json.writeObjectPropertyStart("account");
        json.writeStringProperty("homePage", actor.home());
        json.writeStringProperty("name", actor.id().toString());
        json.writeEndObject();
        json.writeEndObject();
    }

    private static void verb(JsonGenerator json, String verb) {
        json.writeObjectPropertyStart("verb");
        json.writeStringProperty("id", VERBS + verb);
        words(json, "display", verb);
        json.writeEndObject();
    }

    private static void object(JsonGenerator json, String id, String type, String name, String about) {
        json.writeObjectPropertyStart("object");
        json.writeStringProperty("objectType", "Activity");
        json.writeStringProperty("id", id);
        json.writeObjectPropertyStart("definition");
        json.writeStringProperty("type", type);
        words(json, "name", name);
        if (!about.isEmpty()) {
            words(json, "description", about);
        }
        json.writeEndObject();
        json.writeEndObject();
    }

    private static void words(JsonGenerator json, String property, String words) {
        json.writeObjectPropertyStart(property);
        json.writeStringProperty("en", words);
        json.writeEndObject();
    }

    private static void timestamp(JsonGenerator json, Instant at) {
        json.writeStringProperty("timestamp", at.toString());
    }
}
