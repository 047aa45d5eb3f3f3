package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import lobrik.bend.Bend;
import lobrik.bend.Run;
import lobrik.bend.Situation;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Alternatives;
import lobrik.layout.Job;
import lobrik.layout.RunOrder;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Obstacle;
import lobrik.shape.Piece;
import lobrik.shape.Solid;
import lobrik.shape.Surround;
import lobrik.shop.Conduit;
import lobrik.shop.Placing;
import lobrik.shop.ShoeFigures;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;
import org.jspecify.annotations.Nullable;

/**
 * Translates one request to the core's values, collecting everything that is wrong with it. Each method returns an empty
 * answer where its part of the request was bad; {@link #finish} then refuses with all faults.
 */
final class Translation {

    private static final double MOST_FRICTION = 2;

    private static final Length SIXTEENTH = Length.ofFraction(0, 1, 16);

    private final List<Fault> faults = new ArrayList<>();

    /** Ends the translation: the value, or everything that was wrong. */
    <T> T finish(Optional<T> value) {
        if (!faults.isEmpty() || value.isEmpty()) {
            throw Refused.badInput(faults);
        }
        return value.get();
    }

    void fault(FaultCode code, String input, String message) {
        faults.add(new Fault(code, input, message));
    }

    <T> Optional<T> required(String input, @Nullable T value) {
        if (value == null) {
            fault(FaultCode.MISSING, input, "this is missing");
        }
        return Optional.ofNullable(value);
    }

    Optional<Length> length(String input, @Nullable Double inches) {
        return required(input, inches).flatMap(value -> length(input, value.doubleValue()));
    }

    Optional<Angle> angle(String input, @Nullable Double degrees) {
        return required(input, degrees).flatMap(value -> angle(input, value.doubleValue()));
    }

    private Optional<Length> length(String input, double inches) {
        return quantity(input, () -> Length.ofInches(inches));
    }

    private Optional<Angle> angle(String input, double degrees) {
        return quantity(input, () -> Angle.ofDegrees(degrees));
    }

    <T> Optional<T> quantity(String input, Supplier<T> value) {
        try {
            return Optional.of(value.get());
        } catch (IllegalArgumentException e) {
            fault(FaultCode.OUT_OF_RANGE, input, String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    Optional<Length> lengthOr(String input, @Nullable Double inches, Length usual) {
        return inches == null ? Optional.of(usual) : length(input, inches.doubleValue());
    }

    /** Builds a core value; its faults are about inputs below {@code parent}. */
    <T> Optional<T> built(String parent, Supplier<T> value) {
        try {
            return Optional.of(value.get());
        } catch (Refused refused) {
            refused.faults().forEach(fault -> faults.add(parent.isEmpty() ? fault : fault.within(parent)));
            return Optional.empty();
        }
    }

    TapeDivision division(@Nullable Double inches) {
        Optional<Length> step = lengthOr("tapeDivisionIn", inches, SIXTEENTH);
        if (step.filter(length -> length.isNegative() || length.isMoreThan(Length.ofInches(1)))
                .isPresent()) {
            fault(FaultCode.OUT_OF_RANGE, "tapeDivisionIn", "a tape division is from 0 (do not round) to 1 in");
            return TapeDivision.NONE;
        }
        return step.map(TapeDivision::new).orElse(TapeDivision.NONE);
    }

    Optional<Tooling> tooling(@Nullable ConduitInput conduit, @Nullable BenderInput bender) {
        Optional<Conduit> pipe = conduit(conduit);
        Optional<Tool> tool = required("bender", bender).flatMap(input -> new ToolTranslation(this).of(input, pipe));
        return pipe.flatMap(d -> tool.flatMap(t -> built("", () -> new Tooling(d, t))));
    }

    Optional<Conduit> conduit(@Nullable ConduitInput conduit) {
        return required("conduit", conduit)
                .flatMap(input -> length("conduit/outsideDiameterIn", input.outsideDiameterIn()))
                .flatMap(diameter -> built("conduit", () -> new Conduit(diameter)));
    }

    /** What a bender has to hold: what a request names, or what is usual for the bend. */
    Function<Length, Length> leastGrip(@Nullable BenderInput named, Optional<Tooling> tooling) {
        return usual -> named == null || named.minStubIn() == null
                ? usual
                : tooling.flatMap(Tooling::shoe).map(ShoeFigures::minGrip).orElse(usual);
    }

    Optional<Bend> bend(@Nullable BendInput bend, Function<Length, Length> leastGrip) {
        return required("bend", bend).flatMap(input -> new BendTranslation(this, leastGrip).of(input));
    }

    /** Of wire in conduit, {@code µ}. */
    double friction(@Nullable Double given) {
        double friction = Objects.requireNonNullElse(given, Alternatives.USUAL_FRICTION);
        if (!(friction >= 0 && friction <= MOST_FRICTION)) {
            fault(
                    FaultCode.OUT_OF_RANGE,
                    "friction",
                    "the friction is " + friction + "; it is from 0 to 2, and " + Alternatives.USUAL_FRICTION
                            + " where nobody measured it");
        }
        return friction;
    }

    int faultCount() {
        return faults.size();
    }

    Optional<List<BendMade>> bendsMade(
            @Nullable List<SimulateRequest.@Nullable BendMadeInput> inputs, Optional<Tooling> tooling) {
        return required("bends", inputs).map(given -> {
            List<BendMade> made = new ArrayList<>();
            for (int i = 0; i < given.size(); i++) {
                String at = "bends/" + i;
                required(at, given.get(i))
                        .flatMap(input -> bendMade(at, input, tooling))
                        .ifPresent(made::add);
            }
            return List.copyOf(made);
        });
    }

    private Optional<BendMade> bendMade(String at, SimulateRequest.BendMadeInput input, Optional<Tooling> tooling) {
        Optional<Length> position = length(at + "/positionIn", input.positionIn());
        Optional<Placing> placing =
                required(at + "/reference", input.reference()).flatMap(on -> placing(at, input, on, tooling));
        Optional<Angle> angle = angle(at + "/angleDeg", input.angleDeg());
        Optional<Angle> roll = input.rollDeg() == null
                ? Optional.of(Angle.ZERO)
                : angle(at + "/rollDeg", input.rollDeg().doubleValue());
        if (position.isEmpty() || placing.isEmpty() || angle.isEmpty() || roll.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new BendMade(position.get(), placing.get(), angle.get(), roll.get()));
    }

    /** What stood on a ring; it must be something that the tool has. */
    private Optional<Placing> placing(
            String at, SimulateRequest.BendMadeInput input, OnRing on, Optional<Tooling> tooling) {
        Optional<Placing> placing = on.reference().isEmpty()
                ? Optional.of(Placing.middle())
                : required(at + "/hookTowards", input.hookTowards())
                        .map(hook -> new ShoePlacing(on.reference().get(), hook));
        if (tooling.isPresent()
                && tooling.get().shoe().isPresent() == on.reference().isEmpty()) {
            fault(
                    FaultCode.TOOL_WITHOUT_MARK,
                    at + "/reference",
                    on.reference().isEmpty()
                            ? "a shoe is set by its arrow, star or notch, not by the middle of the curve"
                            : "bent with heat there is no " + on.id() + ": the ring is the middle of the curve");
            return Optional.empty();
        }
        return placing;
    }

    /** A whole layout request as the core's question. */
    LayoutQuestion layoutQuestion(LayoutRequest request) {
        School school = new SchoolTranslation(this).school(request);
        Optional<Tooling> tooling = tooling(request.conduit(), request.bender());
        Optional<Bend> bend = bend(request.bend(), leastGrip(request.bender(), tooling));
        Optional<Obstacle> given = new SchoolTranslation(this).obstacle(request.obstacle());
        Optional<Situation> situation = Optional.ofNullable(request.place())
                .map(LayoutRequest.PlaceInput::situation)
                .flatMap(Situation::withId);
        List<Solid> solids = new RoomTranslation(this).solids(request.place());
        Function<Bend, Optional<Obstacle>> obstacle = b -> given.or(() -> RoomTranslation.around(b, solids))
                .or(() -> situation.flatMap(place -> Obstacle.of(place, b)));
        Function<Piece, List<Surround>> around = new SchoolTranslation(this).around(request.place());
        return finish(tooling.flatMap(t -> bend.map(b -> new LayoutQuestion(
                RunOrder.proposed(new Job(b, t, school)),
                obstacle,
                b.run().map(Translation::boxesOf).orElse(around)))));
    }

    /** A run goes from fitting to fitting. */
    private static Function<Piece, List<Surround>> boxesOf(Run run) {
        return piece -> Surround.fittings(piece, Optional.of(run.startInsertion()), Optional.of(run.endInsertion()));
    }

    /** What the core needs to lay a bend out; with what stands around the piece. */
    record LayoutQuestion(
            Job job, Function<Bend, Optional<Obstacle>> obstacleOf, Function<Piece, List<Surround>> around) {

        /** What the asked bend has to clear, if it is not what its own inputs say. */
        Optional<Obstacle> obstacle() {
            return obstacleOf.apply(job.bend());
        }
    }
}
