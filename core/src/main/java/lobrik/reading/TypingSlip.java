package lobrik.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.measure.RefusedText;

/**
 * A reading so far off that a finger may have slipped. It is asked about, never refused: a piece can be that wrong.
 *
 * @param off the reading less what is asked for
 * @param meant what was probably meant, ready to be typed: one slip away from what was typed, and near what is asked for
 */
public record TypingSlip(Quantity off, Optional<String> meant) {

    /** From this many tolerances on, and not before the sizes below, a reading is asked about. */
    private static final int FAR_TOLERANCES = 4;

    private static final Length FAR_LENGTH = Length.ofInches(1);
    private static final Angle FAR_ANGLE = Angle.ofDegrees(8);
    private static final Percentage FAR_PERCENTAGE = Percentage.of(30);

    /** What was meant is not proposed unless it is this near, in tolerances. */
    private static final int NEAR_TOLERANCES = 2;

    private record Meant(String text, long distance) {}

    /**
     * Looks at a reading as it was typed.
     *
     * @param tolerance more than zero
     * @return empty if nothing is suspicious
     * @throws RefusedText if the text is no reading at all
     */
    public static Optional<TypingSlip> in(
            FeatureId feature, String typed, LengthUnit bare, Quantity target, Quantity tolerance) {
        Quantity read = ReadingText.read(feature, typed, bare);
        Quantity off = read.minus(target);
        long far = switch (off) {
            case Length _ -> FAR_LENGTH.count();
            case Angle _ -> FAR_ANGLE.count();
            case Percentage _ -> FAR_PERCENTAGE.count();
        };
        if (Math.abs(off.count()) < Math.max(far, FAR_TOLERANCES * tolerance.count())) {
            return Optional.empty();
        }
        return Optional.of(new TypingSlip(off, meant(feature, typed.strip(), bare, target, tolerance)));
    }

    private static Optional<String> meant(
            FeatureId feature, String typed, LengthUnit bare, Quantity target, Quantity tolerance) {
        List<Meant> near = new ArrayList<>();
        for (String text : slipsBefore(typed, feature, bare)) {
            distance(feature, text, bare, target)
                    .filter(distance -> distance <= NEAR_TOLERANCES * tolerance.count())
                    .ifPresent(distance -> near.add(new Meant(text, distance)));
        }
        return near.stream().min(Comparator.comparingLong(Meant::distance)).map(Meant::text);
    }

    private static Optional<Long> distance(FeatureId feature, String text, LengthUnit bare, Quantity target) {
        try {
            return Optional.of(
                    Math.abs(ReadingText.read(feature, text, bare).minus(target).count()));
        } catch (RefusedText | Refused notAReading) {
            return Optional.empty();
        }
    }

    /** Texts from which one slip leads to what was typed. */
    private static List<String> slipsBefore(String typed, FeatureId feature, LengthUnit bare) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i <= typed.length(); i++) {
            String head = typed.substring(0, i);
            String tail = typed.substring(i);
            // A blank before the fraction or a point was missed, a key was pressed twice, two were pressed the wrong
            // way round.
            texts.add(head + " " + tail);
            texts.add(head + "." + tail);
            if (!tail.isEmpty()) {
                texts.add(head + tail.substring(1));
            }
            if (tail.length() >= 2) {
                texts.add(head + tail.charAt(1) + tail.charAt(0) + tail.substring(2));
            }
        }
        if (feature.measured() == QuantityKind.LENGTH && typed.chars().noneMatch(Character::isLetter)) {
            texts.add(typed + (bare == LengthUnit.INCH ? " mm" : " in"));
        }
        texts.addAll(oneDigitOff(typed));
        return texts;
    }

    /** The key beside the right one, or a line of figures misread by one. */
    private static List<String> oneDigitOff(String typed) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < typed.length(); i++) {
            char digit = typed.charAt(i);
            if (digit >= '0' && digit <= '9') {
                for (char other = '0'; other <= '9'; other++) {
                    texts.add(typed.substring(0, i) + other + typed.substring(i + 1));
                }
            }
        }
        return texts;
    }
}
