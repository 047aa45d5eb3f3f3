package lobrik.server.drawing;

import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.server.drawing.Sketch.Anchor;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;

/** The straight conduit with its rings and the tape beneath it. */
public final class StripSketch {

    private final Layout layout;
    private final double textSize;
    private final Sketch sketch = new Sketch();

    private StripSketch(Layout layout, double textSize) {
        this.layout = layout;
        this.textSize = textSize;
    }

    /**
     * Draws a layout's strip.
     *
     * @param textSize height of figures, inches at full size
     * @param rings whether the rings are drawn: they are the answer
     */
    public static Sketch of(Layout layout, double textSize, boolean rings) {
        StripSketch strip = new StripSketch(layout, textSize);
        strip.conduit();
        strip.tape();
        if (rings) {
            layout.marks().forEach(strip::ring);
        }
        return strip.sketch;
    }

    private double diameter() {
        return layout.job().tooling().conduit().outsideDiameter().inches();
    }

    private void conduit() {
        double length = layout.predicted().length().inches();
        sketch.rectangle(Layer.CONDUIT, 0, 0, length, diameter());
        sketch.line(Layer.CENTRELINE, new Point(0, diameter() / 2), new Point(length, diameter() / 2));
    }

    /** Inches, or centimetres where the exercise is marked in millimetres; halves where there is room. */
    private void tape() {
        boolean metric = !layout.job().school().division().isInchFraction()
                && !layout.job().school().division().equals(TapeDivision.NONE);
        Length unit = metric ? Length.ofMillimetres(10) : Length.ofInches(1);
        double length = layout.predicted().length().inches();
        double top = -textSize * 0.25;
        int every = Math.max(1, (int) Math.ceil(textSize * 2.4 / unit.inches()));
        int labelled = every == 1 ? 1 : every <= 2 ? 2 : every <= 6 ? 6 : 12;
        sketch.line(Layer.TAPE, new Point(0, top), new Point(length, top));
        for (int i = 0; i * unit.inches() <= length + 1e-9; i++) {
            double x = i * unit.inches();
            boolean labelledHere = i % labelled == 0;
            sketch.line(Layer.TAPE, new Point(x, top), new Point(x, top - textSize * (labelledHere ? 0.8 : 0.4)));
            if (labelledHere && i > 0) {
                sketch.text(
                        Layer.TAPE,
                        new Point(x, top - textSize * 1.4),
                        textSize * 0.75,
                        Anchor.MIDDLE,
                        Integer.toString(metric ? i * 10 : i));
            }
        }
    }

    private void ring(Mark mark) {
        double x = mark.position().inches();
        double top = diameter();
        // Flags fly to the right: the higher the further left, so that none crosses another's line.
        int under = layout.marks().size() - mark.number();
        double flag = top + textSize * (1 + 1.35 * under);
        sketch.line(Layer.RING, new Point(x, 0), new Point(x, top));
        sketch.line(Layer.DIMENSION, new Point(x, top), new Point(x, flag + textSize * 0.4));
        boolean last = x > layout.predicted().length().inches() * 0.75 && under == 0;
        sketch.text(
                Layer.LABEL,
                new Point(x + (last ? -1 : 1) * textSize * 0.3, flag),
                textSize,
                last ? Anchor.END : Anchor.START,
                mark.number() + ": " + layout.job().school().division().text(mark.position()) + " "
                        + layout.job().tooling().words(mark.placing()));
    }
}
