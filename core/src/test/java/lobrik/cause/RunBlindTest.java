package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import lobrik.bend.BendKind;
import lobrik.shop.ToolKind;
import org.junit.jupiter.api.Test;

/** Planted faults in runs, read with the noise of tape and level; 2,000 in a full run. */
class RunBlindTest {

    private static final int PIECES = Boolean.getBoolean("lobrik.full") ? 2000 : 210;

    private static final List<CauseId> PLANTED = List.of(
            CauseId.GAIN_OMITTED,
            CauseId.WRONG_WAY,
            CauseId.LEGS_EXCHANGED,
            CauseId.PLAY_OMITTED,
            CauseId.INSERTION_OMITTED,
            CauseId.ANGLE_OFF,
            CauseId.BURNED_INCH);

    private static CauseId first(PlantedPieces.Planted piece) {
        return Diagnosis.of(Case.of(piece.layout(), piece.readings()))
                .causes()
                .getFirst()
                .id();
    }

    @Test
    void plantedFault_thatShows_comesFirst() {
        PlantedPieces pieces = new PlantedPieces(20261130);
        Map<CauseId, Map<CauseId, Integer>> table = new EnumMap<>(CauseId.class);
        int visible = 0;
        int found = 0;
        for (int i = 0; i < PIECES; i++) {
            CauseId planted = PLANTED.get(i % PLANTED.size());
            var piece = pieces.next(BendKind.RUN, ToolKind.SHOE, planted);
            if (piece.isPresent() && piece.get().visible()) {
                visible++;
                CauseId first = first(piece.get());
                found += first == planted ? 1 : 0;
                table.computeIfAbsent(planted, _ -> new EnumMap<>(CauseId.class))
                        .merge(first, 1, Integer::sum);
            }
        }
        System.out.println("Runs: of " + visible + " that show, first " + found + "; " + table);
        assertThat(visible).isGreaterThan(PIECES * 3 / 4);
        assertThat((double) found / visible).isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void withNothingPlanted_faultsAreClaimedSeldom() {
        PlantedPieces pieces = new PlantedPieces(20261201);
        int claims = 0;
        for (int i = 0; i < PIECES; i++) {
            claims +=
                    first(pieces.next(BendKind.RUN, ToolKind.SHOE, CauseId.NONE).orElseThrow()) == CauseId.NONE ? 0 : 1;
        }
        System.out.println("Runs, nothing planted, yet a fault claimed: " + claims + " of " + PIECES);
        assertThat(claims).isLessThanOrEqualTo(PIECES / 100);
    }
}
