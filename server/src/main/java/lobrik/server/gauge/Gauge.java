package lobrik.server.gauge;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.reading.Steadiness;
import lobrik.reading.Steadiness.Sample;
import lobrik.server.gauge.GaugeView.GaugeState;
import org.jspecify.annotations.Nullable;

/** What is known of one gauge: who it is, and what it showed lately. Safe to use from several threads. */
final class Gauge {

    private static final int MOST_SAMPLES = 64;
    private static final int REPEATED_WITHIN = 100;

    /** What it does, and the text of what it shows while it can be read. */
    record Now(
            GaugeState state,
            @Nullable String text,
            @Nullable String said) {}

    private final GaugeLine.Hello who;
    private final GaugePort port;
    private final Deque<Sample> samples = new ArrayDeque<>();
    private String unit = "";
    private long lastNumber = -1;
    private boolean connected = true;

    Gauge(GaugeLine.Hello who, GaugePort port) {
        this.who = who;
        this.port = port;
    }

    /** Where it was heard first. */
    GaugePort port() {
        return port;
    }

    GaugeLine.Hello who() {
        return who;
    }

    synchronized void connect() {
        connected = true;
        samples.clear();
        lastNumber = -1;
    }

    synchronized void lose() {
        connected = false;
        samples.clear();
    }

    /** Notes what it shows. Values in another unit than before are not held against each other. */
    synchronized void show(GaugeLine.Shown shown, long millis) {
        // A line that comes again is one; a number from far behind means that the gauge counts anew, or that the last
        // was garbled.
        if (shown.number() <= lastNumber && shown.number() > lastNumber - REPEATED_WITHIN) {
            return;
        }
        lastNumber = shown.number();
        if (!shown.unit().equals(unit)) {
            unit = shown.unit();
            samples.clear();
        }
        quantity(shown).ifPresent(value -> samples.addLast(new Sample(millis, value)));
        if (samples.size() > MOST_SAMPLES) {
            samples.removeFirst();
        }
    }

    private Optional<Quantity> quantity(GaugeLine.Shown shown) {
        if (who.kind().suffix(shown.unit()).isEmpty()) {
            return Optional.empty();
        }
        String size = shown.figure().replace("-", "");
        boolean below = !size.equals(shown.figure());
        Quantity quantity = LengthUnit.withId(shown.unit())
                .<Quantity>map(unit -> Length.parse(size, unit))
                .orElseGet(() -> Angle.parse(size));
        return Optional.of(below ? quantity.withCount(-quantity.count()) : quantity);
    }

    /** What is said of one that cannot be heard. */
    static Now lost(GaugeLine.Hello who) {
        return new Now(GaugeState.LOST, null, who.label() + " is lost: switch it on, or type the reading");
    }

    synchronized Now now(long millis) {
        if (!connected) {
            return lost(who);
        }
        if (!unit.isEmpty() && who.kind().suffix(unit).isEmpty()) {
            return new Now(
                    GaugeState.WRONG_UNIT,
                    null,
                    who.label() + " shows " + brief(unit) + "; set it to "
                            + who.kind().wantedUnits());
        }
        Steadiness steadiness = Steadiness.of(List.copyOf(samples), millis);
        return switch (steadiness.state()) {
            case STEADY ->
                new Now(GaugeState.STEADY, steadiness.reading().map(this::text).orElse(null), null);
            case MOVING -> new Now(GaugeState.MOVING, last(), "wait until it is still");
            case NOISY ->
                new Now(
                        GaugeState.NOISY,
                        last(),
                        who.label() + " jumps by " + text(steadiness.spread()) + ": hold it still, clean its feet");
            case SILENT ->
                new Now(GaugeState.LOST, null, who.label() + " says nothing: switch it on, or type the reading");
        };
    }

    private @Nullable String last() {
        return samples.isEmpty() ? null : text(samples.getLast().value());
    }

    /** To the figures that such a gauge has: a twentieth of a degree, a hundredth of a millimetre, half a thousandth. */
    private String text(Quantity quantity) {
        return switch (quantity) {
            case Angle angle -> rounded(angle.degrees(), 20);
            case Percentage part -> rounded(part.perCent(), 20) + " %";
            case Length length ->
                unit.equals("mm") ? rounded(length.millimetres(), 100) + " mm" : rounded(length.inches(), 2000) + " in";
        };
    }

    private static String rounded(double value, int parts) {
        String figure = String.valueOf((double) Math.round(value * parts) / parts);
        return (figure.endsWith(".0") ? figure.substring(0, figure.length() - 2) : figure).replace('-', '−');
    }

    private static String brief(String word) {
        return word.length() <= 12 ? word : word.substring(0, 12) + "…";
    }
}
