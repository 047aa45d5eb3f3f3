package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import lobrik.fault.FaultCode;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Conduit;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.RamTravel;
import lobrik.shop.Shoe;
import lobrik.shop.Springback;
import lobrik.shop.Tool;
import org.jspecify.annotations.Nullable;

/** Translates the figures of a tool, whatever kind it is. */
final class ToolTranslation {

    /** More rows than this are no table that somebody made. */
    private static final int MOST_ROWS = 200;

    private final Translation translation;

    ToolTranslation(Translation translation) {
        this.translation = translation;
    }

    /** @param conduit that it bends, as far as that is known: a machine leaves as much past its shoe as that is thick */
    Optional<Tool> of(BenderInput input, Optional<Conduit> conduit) {
        return switch (input.sort()) {
            case SHOE -> shoe(input);
            case MACHINE -> machine(input, conduit.map(Conduit::outsideDiameter).orElse(Length.ZERO));
            case FORMER -> former(input);
        };
    }

    private Optional<Tool> shoe(BenderInput input) {
        Optional<Length> takeUp = translation.length("bender/takeUpIn", input.takeUpIn());
        Optional<Length> radius = translation.length("bender/radiusIn", input.radiusIn());
        Optional<Length> spacing = spacing(input);
        Optional<Length> stub = translation.lengthOr("bender/minStubIn", input.minStubIn(), Shoe.USUAL_MIN_STUB);
        Optional<Length> standing =
                translation.lengthOr("bender/minStandingIn", input.minStandingIn(), Shoe.USUAL_MIN_STANDING);
        Optional<Angle> springback = sameSpringback(input);
        if (takeUp.isEmpty()
                || radius.isEmpty()
                || spacing.isEmpty()
                || stub.isEmpty()
                || standing.isEmpty()
                || springback.isEmpty()) {
            return Optional.empty();
        }
        return translation.built(
                "bender",
                () -> new Shoe(
                        takeUp.get(), radius.get(), spacing.get(), stub.get(), standing.get(), springback.get()));
    }

    private Optional<Tool> machine(BenderInput input, Length diameter) {
        Optional<Length> deduct = translation.length("bender/takeUpIn", input.takeUpIn());
        Optional<Length> radius = translation.length("bender/radiusIn", input.radiusIn());
        Optional<Length> spacing = spacing(input);
        Optional<Length> past = translation.lengthOr("bender/minPastShoeIn", input.minPastShoeIn(), diameter);
        Optional<Length> stub = translation.lengthOr(
                "bender/minStubIn",
                input.minStubIn(),
                deduct.flatMap(d -> past.map(d::plus)).orElse(Length.ZERO));
        Optional<Springback> springback = springback(input);
        Optional<RamTravel> travel = travel(input);
        if (deduct.isEmpty()
                || radius.isEmpty()
                || spacing.isEmpty()
                || past.isEmpty()
                || stub.isEmpty()
                || springback.isEmpty()
                || travel.isEmpty()) {
            return Optional.empty();
        }
        return translation.built(
                "bender",
                () -> new Machine(
                        deduct.get(),
                        radius.get(),
                        spacing.get(),
                        stub.get(),
                        past.get(),
                        springback.get(),
                        travel.get()));
    }

    private Optional<Tool> former(BenderInput input) {
        Optional<Length> radius = translation.length("bender/radiusIn", input.radiusIn());
        Optional<Length> spacing = spacing(input);
        Former.Support support = Objects.requireNonNullElse(input.support(), Former.Support.NONE);
        int warm = Objects.requireNonNullElse(input.warmSeconds(), Former.USUAL_WARM_SECONDS);
        int cool = Objects.requireNonNullElse(input.coolSeconds(), Former.USUAL_COOL_SECONDS);
        return radius.flatMap(r ->
                spacing.flatMap(s -> translation.built("bender", () -> new Former(r, s, support, warm, cool))));
    }

    private Optional<Length> spacing(BenderInput input) {
        return translation.lengthOr("bender/minSpacingIn", input.minSpacingIn(), Tool.USUAL_MIN_SPACING);
    }

    private Optional<Angle> sameSpringback(BenderInput input) {
        return input.springbackDeg() == null
                ? Optional.of(Angle.ZERO)
                : translation.angle("bender/springbackDeg", input.springbackDeg());
    }

    /** Rows, or the same at every angle. */
    private Optional<Springback> springback(BenderInput input) {
        if (input.springback() == null) {
            return sameSpringback(input).flatMap(same -> translation.built("bender", () -> Springback.always(same)));
        }
        return rows(
                        "bender/springback",
                        input.springback(),
                        (at, row) -> translation
                                .angle(at + "/angleDeg", row.angleDeg())
                                .flatMap(rest -> translation
                                        .angle(at + "/springbackDeg", row.springbackDeg())
                                        .map(back -> new Springback.Row(rest, back))))
                .flatMap(rows -> translation.built("bender", () -> new Springback(rows)));
    }

    private Optional<RamTravel> travel(BenderInput input) {
        if (input.ramTravel() == null) {
            return Optional.of(RamTravel.NONE);
        }
        return rows(
                        "bender/ramTravel",
                        input.ramTravel(),
                        (at, row) -> translation
                                .angle(at + "/angleDeg", row.angleDeg())
                                .flatMap(load -> translation
                                        .length(at + "/travelIn", row.travelIn())
                                        .map(travel -> new RamTravel.Row(load, travel))))
                .flatMap(rows -> translation.built("bender", () -> new RamTravel(rows)));
    }

    /** All rows, or nothing where one of them is bad. */
    private <I, R> Optional<List<R>> rows(String at, List<@Nullable I> inputs, BiFunction<String, I, Optional<R>> row) {
        if (inputs.size() > MOST_ROWS) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE, at, "there are " + inputs.size() + " rows; give at most " + MOST_ROWS);
            return Optional.empty();
        }
        List<R> rows = new ArrayList<>();
        for (int i = 0; i < inputs.size(); i++) {
            String here = at + "/" + i;
            translation
                    .required(here, inputs.get(i))
                    .flatMap(input -> row.apply(here, input))
                    .ifPresent(rows::add);
        }
        return rows.size() == inputs.size() ? Optional.of(rows) : Optional.empty();
    }
}
