package lobrik.progress;

import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;

/**
 * Says habits in the trade's words: {@code Bend 2 of offsets comes out 2° heavy}.
 *
 * @param unit that lengths are said in
 */
public record HabitWords(LengthUnit unit) {

    /** What is done, in a sentence. */
    public String sentence(Habit habit) {
        return switch (habit) {
            case Habit.Bias bias -> bias(bias);
            case Habit.Recurring recurring ->
                recurring.cause().title()
                        + (recurring.bend().isPresent()
                                ? " at bend " + recurring.bend().getAsInt()
                                : "")
                        + ", again and again.";
        };
    }

    /** What it is concluded from. */
    public String evidence(Habit habit) {
        return switch (habit) {
            case Habit.Bias bias -> {
                Interval interval = bias.estimate().biasInterval().orElseThrow();
                yield "The same way in " + bias.sameWay() + " of the last "
                        + bias.estimate().count() + " " + bias.family().plural() + inRuns(bias.inRuns())
                        + "; on the whole between "
                        + signed(interval.from()) + " and " + signed(interval.to()) + " ("
                        + percent(bias.estimate().confidence()) + " sure)"
                        + (bias.persists() ? "." : ". The last ones were better.");
            }
            case Habit.Recurring recurring ->
                "In " + recurring.times() + " of the last " + recurring.of() + " pieces; others have it in "
                        + oneIn(recurring.usual()) + ".";
        };
    }

    private String bias(Habit.Bias bias) {
        FeatureId feature = bias.feature();
        Quantity off = bias.estimate().bias();
        boolean more = off.count() > 0;
        String size = size(off);
        String many = bias.family().plural();
        return switch (feature.kind()) {
            case ANGLE ->
                (bias.family().bend().isSingleBend() ? "The bend" : "Bend " + feature.number()) + " of " + many
                        + " comes out " + size + (more ? " heavy." : " light.");
            case MARK ->
                (bias.family().bend().isSingleBend() ? "The mark" : "Mark " + feature.number()) + " of " + many
                        + " is ringed " + size + (more ? " too far out." : " short.");
            case DOG_LEG -> capital(many) + " come out with a dog leg of " + size + ".";
            case FLATTENING ->
                (bias.family().bend().isSingleBend() ? "The bend" : "Bend " + feature.number()) + " of " + many
                        + " is flattened by " + size + ".";
            case TAIL_LIFT -> "The far end of " + many + (more ? " kicks up " + size + "." : " dips " + size + ".");
            case LANDING, CENTRE ->
                capital(feature.words()) + " of " + many + " comes " + size + (more ? " too far out." : " short.");
            case TURN ->
                "Turn " + feature.number() + " of " + many + " comes out " + size
                        + (more ? " too far clockwise." : " too far the other way.");
            case REACH_RIGHT, REACH_UP, REACH_OUT ->
                capital(feature.words()) + " of " + many + " comes " + size + (more ? " too far." : " short.");
            case RISE, HEIGHT, START_RISE, END_RISE ->
                capital(feature.words()) + " of " + many + " comes out " + size + (more ? " high." : " low.");
            case LEG, OTHER_LEG, BETWEEN, SECOND_LEG, DROP, SET_BACK, ROLL, FLAT, OVERALL ->
                capital(feature.words()) + " of " + many + " comes out " + size + (more ? " long." : " short.");
        };
    }

    private static String inRuns(int runs) {
        return runs == 0 ? "" : " (" + runs + " of them in " + (runs == 1 ? "a run)" : "runs)");
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private String size(Quantity off) {
        return switch (off) {
            case Length length -> fine(length.abs());
            case Angle angle -> Angle.ofDegrees(Math.abs(angle.degrees())).text();
            case Percentage part -> new Percentage(Math.abs(part.billionths())).text();
        };
    }

    private String signed(Quantity off) {
        return switch (off) {
            case Length length ->
                unit == LengthUnit.MILLIMETRE
                        ? TapeDivision.MILLIMETRE.signedText(length)
                        : TapeDivision.THIRTY_SECOND.signedText(length);
            case Angle angle -> angle.signedText();
            case Percentage part -> part.signedText();
        };
    }

    private String fine(Length length) {
        return unit == LengthUnit.MILLIMETRE ? length.inWords(unit) : TapeDivision.THIRTY_SECOND.text(length) + " in";
    }

    private static String percent(double confidence) {
        return Math.round(1000 * confidence) / 10.0 + " %";
    }

    private static String oneIn(double rate) {
        return "1 of " + Math.max(1, Math.round(1 / rate));
    }
}
