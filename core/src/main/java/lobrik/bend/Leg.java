package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * A straight part of a run (handbook 4.9).
 *
 * @param measured outside length; the first and the last to the face of their fitting
 * @param towards as seen facing the wall at the start of the run
 * @param play taken off, so that the piece goes in
 */
public record Leg(Measured measured, Towards towards, Length play) {

    private static final Field LENGTH = Field.of(
                    InputId.LENGTH, "Length", Role.SIZE, Range.POSITIVE, new First("30", "750"))
            .orElse(Fields.OPEN);
    private static final Field READ_FROM = Field.of(
                    InputId.READ_FROM, "First reading", Role.SIZE, Range.NOT_NEGATIVE, First.NONE)
            .orElse(Fields.OPEN);
    private static final Field READ_TO = Field.of(
                    InputId.READ_TO, "Second reading", Role.SIZE, Range.NOT_NEGATIVE, First.NONE)
            .orElse(Fields.OPEN);
    private static final Field PLAY = Field.of(InputId.PLAY, "Play", Role.FIT, Range.NOT_NEGATIVE, new First("0", "0"))
            .orElse(new WhenOpen.Usual(Length.ZERO));

    static final Form<Leg> FORM = Form.of(Leg.class)
            .askOpen(LENGTH, leg -> leg.outright())
            .askOpen(READ_FROM, leg -> leg.readings().map(Measured.FromOneSurface::from))
            .askOpen(READ_TO, leg -> leg.readings().map(Measured.FromOneSurface::to))
            .ask(PLAY, Leg::play)
            .leave(Fields.TOWARDS, Leg::towards)
            .makes(said ->
                    new Leg(measured(said), said.option(Fields.TOWARDS, Towards.class), said.length(InputId.PLAY)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Leg {
        Faults faults = new Faults();
        switch (measured) {
            case Measured.Outright outright -> LENGTH.require(faults, outright.length());
            case Measured.FromOneSurface readings -> {
                READ_FROM.require(faults, readings.from());
                READ_TO.require(faults, readings.to());
                if (readings.length().equals(Length.ZERO)) {
                    faults.add(
                            FaultCode.NOT_POSITIVE,
                            InputId.READ_TO.id(),
                            "both readings are " + readings.from().inWords()
                                    + "; the leg runs from one to the other, so they must differ");
                }
            }
        }
        PLAY.require(faults, play);
        if (faults.found().isEmpty() && !measured.length().isMoreThan(play)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    InputId.PLAY.id(),
                    "the play of " + play.inWords() + " leaves nothing of a leg of "
                            + measured.length().inWords());
        }
        faults.refuseIfAny();
    }

    /** Measured outright. */
    public Leg(Length length, Towards towards, Length play) {
        this(new Measured.Outright(length), towards, play);
    }

    private static Measured measured(Entries said) {
        Optional<Length> from = said.open(InputId.READ_FROM);
        Optional<Length> to = said.open(InputId.READ_TO);
        if (from.isPresent() && to.isPresent()) {
            return new Measured.FromOneSurface(from.get(), to.get());
        }
        Faults faults = new Faults();
        if (from.isPresent() || to.isPresent()) {
            faults.add(
                    FaultCode.MISSING,
                    (from.isPresent() ? InputId.READ_TO : InputId.READ_FROM).id(),
                    "two readings of one surface make a leg; one of them is missing");
        } else if (said.open(InputId.LENGTH).isEmpty()) {
            faults.add(FaultCode.MISSING, InputId.LENGTH.id(), "the length of the leg is missing");
        }
        faults.refuseIfAny();
        return new Measured.Outright(said.length(InputId.LENGTH));
    }

    private Optional<Length> outright() {
        return switch (measured) {
            case Measured.Outright(Length length) -> Optional.of(length);
            case Measured.FromOneSurface _ -> Optional.empty();
        };
    }

    private Optional<Measured.FromOneSurface> readings() {
        return switch (measured) {
            case Measured.Outright _ -> Optional.empty();
            case Measured.FromOneSurface readings -> Optional.of(readings);
        };
    }

    /** What was measured of a leg. */
    public sealed interface Measured {

        /** What it comes to. */
        Length length();

        /** The leg itself: end face to back, back to back, or back to end face. */
        record Outright(Length length) implements Measured {}

        /** Both of its ends from one common surface. */
        record FromOneSurface(Length from, Length to) implements Measured {
            @Override
            public Length length() {
                return to.minus(from).abs();
            }
        }
    }
}
