package lobrik.study;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.measure.TapeDivision;

/**
 * Says what a study found.
 *
 * @param kind what was measured as
 */
public record StudyWords(QuantityKind kind, LengthUnit unit) {

    /** So much of a tolerance may go to reading before it matters, and before it is too much to judge by: the usual marks. */
    private static final double LITTLE = 0.1;

    private static final double MUCH = 0.3;

    private static final TapeDivision FINE = new TapeDivision(Length.ofFraction(0, 1, 64));
    private static final TapeDivision FINE_METRIC = new TapeDivision(Length.ofMillimetres(0.1));

    /** How much of a tolerance reading eats up, and what that means. */
    public String verdict(MeasurementStudy study, Quantity tolerance) {
        double share = study.share(tolerance.number());
        String part = Math.round(100 * share) + " % of the tolerance goes to reading";
        if (share <= LITTLE) {
            return part + ": what is judged is the piece.";
        }
        return share <= MUCH
                ? part + ": fit to judge by, but for what reads near a limit."
                : part + ": too much to judge single readings by. Read each twice, or give more tolerance.";
    }

    /** Where the spread comes from. */
    public String cause(MeasurementStudy study) {
        if (study.spread() == 0) {
            return "Everybody read the same every time.";
        }
        double people = study.reproducibility() / study.spread();
        boolean mostlyPeople = people * people > 0.5;
        return mostlyPeople
                ? "Most of it is that people read differently: agree where the tape is held and how it is read."
                : "Most of it is that the same person reads differently from time to time: the tool, the light, or haste.";
    }

    /** How somebody reads: long, short, or as all do. */
    public String reads(MeasurementStudy.Reader reader) {
        if (!reader.isOff()) {
            return "reads as all do";
        }
        return "reads " + amount(Math.abs(reader.bias())) + (reader.bias() > 0 ? " long" : " short");
    }

    private String amount(double number) {
        return finely(kind.of(number), unit);
    }

    /** An amount, more finely than a tape has lines. */
    static String finely(Quantity quantity, LengthUnit unit) {
        return switch (quantity) {
            case Length length -> unit == LengthUnit.INCH ? FINE.text(length) + " in" : FINE_METRIC.text(length);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }
}
