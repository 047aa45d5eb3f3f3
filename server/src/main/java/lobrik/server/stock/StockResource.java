package lobrik.server.stock;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.shed.BenderCards;
import lobrik.server.shed.ConduitSize;
import lobrik.server.stock.StockEntry.Movement;
import lobrik.server.stock.StockEntry.What;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The rack of a school. */
@RestController
@Tag(name = "stock")
class StockResource {

    private static final int PAGE = 50;
    private static final double WIDEST_IN = 100_000;

    /** Left-overs of one length. */
    record LeftOverView(double lengthIn, int pieces) {}

    /**
     * Conduit on the rack.
     *
     * @param isKept whether anything was ever counted or delivered; of what is not, nothing is taken when exercises are given out
     * @param sticks whole ones; less than 0 where more was taken than anybody had counted
     * @param price of a stick; null where nobody keeps it
     * @param isLow whether there are fewer sticks than there should be
     */
    record StockedConduit(
            UUID id,
            String label,
            String material,
            double outsideDiameterIn,
            boolean isKept,
            int sticks,
            List<LeftOverView> leftOvers,
            double stickIn,
            int fewestSticks,
            double shortestKeptIn,
            @Nullable Double price,
            boolean isLow,
            int edition) {}

    /** The whole rack. */
    record StockView(String currency, List<StockedConduit> conduits) {}

    /** What came or went. */
    record StockEntryView(
            UUID id,
            What what,
            double lengthIn,
            int pieces,
            Instant at,
            @Nullable String by,
            String note,
            @Nullable Double price) {}

    /** Some of it, and how much there is in all. */
    record StockEntries(List<StockEntryView> entries, long all) {}

    /** Something to write down; of a whole stick where no length is said. */
    record StockNote(
            @Nullable What what,
            @Nullable Double lengthIn,
            @Nullable Integer pieces,
            @Nullable String note,
            @Nullable Double price) {}

    /** How conduit is kept. */
    record StockToKeep(
            @Nullable Integer edition,
            @Nullable String material,
            @Nullable Double stickIn,
            @Nullable Integer fewestSticks,
            @Nullable Double shortestKeptIn,
            @Nullable Double price,
            @Nullable String currency) {}

    /** What was used up and wasted of one kind of bend, or by somebody. */
    record UsedView(String name, int pieces, double usedIn, double failedIn, double wastedIn, double cost) {}

    /** What was cut of one kind of conduit. */
    record CutOfConduit(String conduitLabel, int pieces, double inPiecesIn, double wastedIn, double cost) {}

    /** What became of the conduit on some days. */
    record StockUseView(String currency, List<UsedView> families, List<UsedView> trainees, List<CutOfConduit> cut) {}

    private final StockKeeping keeping;
    private final StockUse use;
    private final BenderCards cards;
    private final Accounts accounts;

    StockResource(StockKeeping keeping, StockUse use, BenderCards cards, Accounts accounts) {
        this.keeping = keeping;
        this.use = use;
        this.cards = cards;
        this.accounts = accounts;
    }

    @Operation(summary = "What is on the rack, by conduit")
    @Needs(Right.READ)
    @GetMapping("/api/stock")
    StockView rack(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        Map<UUID, Stockroom.OnRack> racks = keeping.racks(who);
        return new StockView(
                keeping.currency(who),
                cards.conduits(who).stream()
                        .filter(size -> !size.isPutAway() || racks.containsKey(size.id()))
                        .map(size -> view(size, racks.get(size.id())))
                        .toList());
    }

    private static StockedConduit view(ConduitSize size, Stockroom.@Nullable OnRack rack) {
        ConduitSize.Keeping kept = size.keeping();
        BigDecimal price = kept.price();
        return new StockedConduit(
                size.id(),
                size.label(),
                kept.material(),
                size.outsideDiameter().inches(),
                rack != null,
                rack == null ? 0 : rack.sticks(),
                rack == null
                        ? List.of()
                        : rack.leftOvers().stream()
                                .distinct()
                                .map(length -> new LeftOverView(length.inches(), (int) rack.leftOvers().stream()
                                        .filter(length::equals)
                                        .count()))
                                .toList(),
                kept.stick().inches(),
                kept.fewestSticks(),
                kept.shortestKept().inches(),
                price == null ? null : price.doubleValue(),
                rack != null && rack.isLow(),
                size.edition());
    }

    @Operation(summary = "Say how conduit is kept: its sticks, how few are too few, what a stick costs")
    @Needs(Right.LEAD)
    @PutMapping("/api/stock/{conduitId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID conduitId,
            @RequestBody StockToKeep wanted) {
        keeping.keep(
                who,
                conduitId,
                TurnedDown.required("/edition", wanted.edition()),
                new ConduitSize.Keeping(
                        Objects.requireNonNullElse(wanted.material(), "").strip(),
                        length("/stickIn", TurnedDown.required("/stickIn", wanted.stickIn())),
                        Objects.requireNonNullElse(wanted.fewestSticks(), 0),
                        length("/shortestKeptIn", TurnedDown.required("/shortestKeptIn", wanted.shortestKeptIn())),
                        price(wanted.price())),
                Objects.requireNonNullElse(wanted.currency(), "").strip());
    }

    @Operation(summary = "What came onto the rack and went off it, the newest first; 50 at a time")
    @Needs(Right.READ)
    @GetMapping("/api/stock/{conduitId}/entries")
    StockEntries entries(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID conduitId,
            @RequestParam(defaultValue = "0") int from) {
        List<StockEntry> entries = keeping.entries(who, conduitId, Math.max(0, from), PAGE);
        Map<UUID, String> names = accounts.namesOf(entries.stream()
                .map(StockEntry::madeBy)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
        return new StockEntries(
                entries.stream()
                        .map(entry -> {
                            UUID by = entry.madeBy();
                            Movement movement = entry.movement();
                            BigDecimal price = movement.price();
                            return new StockEntryView(
                                    entry.id(),
                                    movement.what(),
                                    movement.length().inches(),
                                    movement.pieces(),
                                    entry.at(),
                                    by == null ? null : names.get(by),
                                    movement.note(),
                                    price == null ? null : price.doubleValue());
                        })
                        .toList(),
                keeping.count(who, conduitId));
    }

    @Operation(summary = "Write down what came or went, under an id made by the client")
    @Needs(Right.TEACH)
    @PutMapping("/api/stock/{conduitId}/entries/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void note(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID conduitId,
            @PathVariable UUID id,
            @RequestBody StockNote note) {
        Double said = note.lengthIn();
        Length length = said == null ? keeping.conduit(who, conduitId).keeping().stick() : length("/lengthIn", said);
        keeping.note(
                who,
                conduitId,
                id,
                new Movement(
                        TurnedDown.required("/what", note.what()),
                        length,
                        TurnedDown.required("/pieces", note.pieces()),
                        Objects.requireNonNullElse(note.note(), "").strip(),
                        price(note.price())));
    }

    @Operation(summary = "What was used up and wasted on some days, by kind of bend and by trainee, and what was cut")
    @Needs(Right.READ)
    @GetMapping("/api/stock-use")
    StockUseView use(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam LocalDate first,
            @RequestParam LocalDate last) {
        return new StockUseView(
                keeping.currency(who),
                use.byFamily(who, first, last).stream().map(StockResource::view).toList(),
                use.byTrainee(who, first, last).stream()
                        .map(StockResource::view)
                        .toList(),
                use.cut(who, first, last).stream()
                        .map(cut -> new CutOfConduit(
                                cut.conduitLabel(),
                                cut.pieces(),
                                cut.inPieces().inches(),
                                cut.wasted().inches(),
                                cut.cost()))
                        .toList());
    }

    private static UsedView view(StockUse.Used used) {
        return new UsedView(
                used.name(),
                used.pieces(),
                used.used().inches(),
                used.failed().inches(),
                used.wasted().inches(),
                used.cost());
    }

    private static Length length(String pointer, double inches) {
        if (!Double.isFinite(inches) || Math.abs(inches) > WIDEST_IN) {
            throw TurnedDown.badInput(pointer, "out-of-range", "this is no length");
        }
        return Length.ofInches(inches);
    }

    private static @Nullable BigDecimal price(@Nullable Double given) {
        if (given == null) {
            return null;
        }
        if (!Double.isFinite(given) || Math.abs(given) > 1e9) {
            throw TurnedDown.badInput("/price", "out-of-range", "a stick costs from 0 to 1,000,000");
        }
        return BigDecimal.valueOf(given).setScale(2, RoundingMode.HALF_UP);
    }
}
