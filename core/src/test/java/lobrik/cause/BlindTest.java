package lobrik.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.shop.ToolKind;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Pieces with one planted fault, read with noise, given to a diagnosis that does not know what was planted: 400 with each kind of tool in every build,
 * 2,000 in a full run, whose table stands in docs/judging.md.
 */
class BlindTest {

    private static final long SEED = 20261124;
    private static final int PIECES = Boolean.getBoolean("lobrik.full") ? 2000 : 400;
    /** Runs have faults of their own, and a test of their own. */
    private static final List<BendKind> KINDS =
            Stream.of(BendKind.values()).filter(kind -> kind != BendKind.RUN).toList();

    /** What the handbook lists, in its order. */
    private static final List<CauseId> PLANTED = List.of(
            CauseId.TAKEUP_OMITTED,
            CauseId.TAKEUP_WRONG_SIZE,
            CauseId.TAKEUP_TWICE,
            CauseId.SHRINK_OMITTED,
            CauseId.SHRINK_TWICE,
            CauseId.SHRINK_SUBTRACTED,
            CauseId.WRONG_MULTIPLIER,
            CauseId.MULTIPLIER_OMITTED,
            CauseId.WRONG_ANGLE_LINE,
            CauseId.ANGLE_OFF,
            CauseId.ANGLE_BIAS,
            CauseId.HOOK_REVERSED,
            CauseId.WRONG_REFERENCE,
            CauseId.DOG_LEG,
            CauseId.BURNED_INCH,
            CauseId.INSERTION_OMITTED,
            CauseId.CLEARANCE_OMITTED,
            CauseId.EDGE_FOR_CENTRE,
            CauseId.MARK_SLIPPED,
            CauseId.MISREAD_FRACTION);

    private static final Map<ToolKind, List<CauseId>> NOT_WITH = Map.of(
            ToolKind.SHOE,
            List.of(),
            ToolKind.MACHINE,
            List.of(CauseId.WRONG_ANGLE_LINE),
            ToolKind.FORMER,
            List.of(
                    CauseId.WRONG_ANGLE_LINE,
                    CauseId.HOOK_REVERSED,
                    CauseId.WRONG_REFERENCE,
                    CauseId.TAKEUP_WRONG_SIZE));

    private static final Map<ToolKind, List<CauseId>> OF_ITS_OWN = Map.of(
            ToolKind.SHOE,
            List.of(),
            ToolKind.MACHINE,
            List.of(CauseId.SPRINGBACK_OMITTED, CauseId.TRAVEL_OF_ANOTHER_ROW, CauseId.WRONG_SHOE),
            ToolKind.FORMER,
            List.of(CauseId.HEATED_SHORT, CauseId.LET_GO_WARM, CauseId.MIDDLE_AS_ARROW));

    /** How often each cause came first for each that was planted. */
    private final Map<CauseId, Map<CauseId, Integer>> table = new EnumMap<>(CauseId.class);

    private static CauseId first(PlantedPieces.Planted piece) {
        return Diagnosis.of(Case.of(piece.layout(), piece.readings()))
                .causes()
                .getFirst()
                .id();
    }

    @ParameterizedTest
    @EnumSource(ToolKind.class)
    void plantedFault_thatShows_comesFirst(ToolKind tool) throws IOException {
        PlantedPieces pieces = new PlantedPieces(SEED);
        List<CauseId> planted = planted(tool);
        int made = 0;
        for (int i = 0; made < PIECES; i++) {
            CauseId cause = planted.get(i % planted.size());
            BendKind kind = KINDS.get(i / planted.size() % KINDS.size());
            var piece = pieces.next(kind, tool, cause);
            if (piece.isPresent()) {
                made++;
                if (piece.get().visible()) {
                    table.computeIfAbsent(cause, _ -> new EnumMap<>(CauseId.class))
                            .merge(first(piece.get()), 1, Integer::sum);
                }
            }
        }
        int visible = table.values().stream().mapToInt(BlindTest::sum).sum();
        int found = table.entrySet().stream()
                .mapToInt(row -> row.getValue().getOrDefault(row.getKey(), 0))
                .sum();
        String report = report(tool, made, visible, found);
        System.out.println(report);
        Files.writeString(Path.of("target", "blind-test-" + tool.id() + ".md"), report);
        assertThat(visible).isGreaterThan(PIECES * 3 / 4);
        assertThat((double) found / visible).isGreaterThanOrEqualTo(0.95);
        // No cause is bought with another: even the one that is hardest to tell is found far more often than not.
        assertThat(table)
                .allSatisfy((cause, row) -> assertThat(row.getOrDefault(cause, 0))
                        .as(cause.id())
                        .isGreaterThanOrEqualTo((int) (0.75 * sum(row))));
    }

    @ParameterizedTest
    @EnumSource(ToolKind.class)
    void withNothingPlanted_faultsAreClaimedSeldom(ToolKind tool) {
        PlantedPieces pieces = new PlantedPieces(SEED + 1);
        int claims = 0;
        for (int i = 0; i < PIECES; i++) {
            var piece = pieces.next(KINDS.get(i % KINDS.size()), tool, CauseId.NONE);
            claims += first(piece.orElseThrow()) == CauseId.NONE ? 0 : 1;
        }
        System.out.println(tool.id() + ", nothing planted, yet a fault claimed: " + claims + " of " + PIECES);
        assertThat(claims).isLessThanOrEqualTo(PIECES / 100);
    }

    /** What the handbook lists, as far as the tool can have it, and what it has of its own. */
    private static List<CauseId> planted(ToolKind tool) {
        List<CauseId> planted = new ArrayList<>(PLANTED);
        planted.removeAll(NOT_WITH.get(tool));
        planted.addAll(OF_ITS_OWN.get(tool));
        return planted;
    }

    private static int sum(Map<CauseId, Integer> row) {
        return row.values().stream().mapToInt(Integer::intValue).sum();
    }

    private String report(ToolKind tool, int made, int visible, int found) {
        StringBuilder report = new StringBuilder(tool.title() + ": planted " + made + ", of which " + visible
                + " change a reading by more than the noise can; first among the causes: " + found + "\n\n"
                + "| planted | pieces | came first | what came first instead |\n|---|---|---|---|\n");
        for (CauseId planted : planted(tool)) {
            Map<CauseId, Integer> row = table.getOrDefault(planted, Map.of());
            String others = row.entrySet().stream()
                    .filter(each -> each.getKey() != planted)
                    .sorted(Map.Entry.<CauseId, Integer>comparingByValue().reversed())
                    .map(each -> each.getKey().id() + " " + each.getValue())
                    .collect(Collectors.joining(", "));
            report.append("| ")
                    .append(planted.id())
                    .append(" | ")
                    .append(sum(row))
                    .append(" | ")
                    .append(row.getOrDefault(planted, 0))
                    .append(" | ")
                    .append(others)
                    .append(" |\n");
        }
        return report.toString();
    }
}
