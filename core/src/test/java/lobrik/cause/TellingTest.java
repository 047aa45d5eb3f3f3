package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lobrik.bend.BendKind;
import lobrik.measure.LengthUnit;
import org.junit.jupiter.api.Test;

/** What is said of causes: whole sentences with figures, on every kind of bend and in both units. */
class TellingTest {

    private static void assertWellSaid(Telling telling, Cause cause, Object of) {
        String said = telling.what(cause) + " " + telling.evidence(cause);
        assertThat(said)
                .as("%s", of)
                .endsWith(".")
                .doesNotContain("null", "Optional", "  ", "..")
                .matches("[A-Z].*");
        assertThat(telling.title(cause)).isNotBlank().doesNotContain("null", "Optional");
    }

    @Test
    void everyPlantedFault_isToldInWholeSentences() {
        PlantedPieces pieces = new PlantedPieces(3);
        for (BendKind kind : BendKind.values()) {
            for (CauseId planted : CauseId.values()) {
                pieces.next(kind, planted).ifPresent(piece -> {
                    Diagnosis found = Diagnosis.of(Case.of(piece.layout(), piece.readings()));
                    for (LengthUnit unit : LengthUnit.values()) {
                        Telling telling = new Telling(found, unit);
                        found.causes().forEach(cause -> assertWellSaid(telling, cause, piece));
                    }
                });
            }
        }
    }

    @Test
    void pieceWithOneBend_hasNoNumbers() {
        PlantedPieces pieces = new PlantedPieces(4);
        for (CauseId planted : List.of(CauseId.ANGLE_OFF, CauseId.MISREAD_FRACTION, CauseId.HOOK_REVERSED)) {
            PlantedPieces.Planted piece = pieces.next(BendKind.STUB_90, planted).orElseThrow();
            Diagnosis found = Diagnosis.of(Case.of(piece.layout(), piece.readings()));
            Telling telling = new Telling(found, LengthUnit.INCH);
            found.causes().stream()
                    .filter(cause -> cause.id() == planted)
                    .forEach(cause -> assertThat(telling.title(cause) + telling.what(cause))
                            .doesNotContain("end 1", "ark 1", "ing 1 "));
        }
    }
}
