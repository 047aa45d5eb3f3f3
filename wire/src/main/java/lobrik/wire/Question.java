package lobrik.wire;

import java.util.List;
import java.util.Optional;
import lobrik.layout.Layout;
import lobrik.layout.Review;
import lobrik.layout.Why;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shape.Obstacle;
import lobrik.shape.Surround;
import lobrik.shop.ToolKind;
import lobrik.verdict.InspectionPoint;

/** An exercise's definition as the core understands it, laid out. */
public record Question(Layout layout, Optional<Obstacle> obstacle, List<Surround> around) {

    /** The unit of the exercise's tape: what everything on its sheet is in. */
    public LengthUnit unit() {
        return layout.job().school().division().equals(TapeDivision.MILLIMETRE)
                ? LengthUnit.MILLIMETRE
                : LengthUnit.INCH;
    }

    /** What is looked over on a piece of it besides its sizes. */
    public List<InspectionPoint> lookedOver() {
        boolean entersFitting = layout.job().bend().kind().entersFitting()
                || around.stream().anyMatch(each -> each.kind() == Surround.Kind.BOX);
        boolean heated = layout.job().tooling().tool().kind() == ToolKind.FORMER;
        return InspectionPoint.on(
                heated, entersFitting, Review.cleared(layout, obstacle).isPresent());
    }

    /**
     * Translates a definition and lays it out.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible
     */
    public static Question of(LayoutRequest request) {
        Translation.LayoutQuestion question = new Translation().layoutQuestion(request);
        Layout layout = Layout.of(question.job());
        return new Question(layout, question.obstacle(), question.around().apply(layout.predicted()));
    }

    /** Reviewed, as the interface writes it. */
    public LayoutAnswer plan() {
        return LayoutAnswer.of(Review.of(layout, obstacle), around);
    }

    /** How each of its bends is seen while it is made. */
    public List<ShownBendAnswer> bending() {
        return ShownBendAnswer.of(layout);
    }

    /** Why its numbers are what they are. */
    public List<ExplanationAnswer> why() {
        return Why.of(layout).stream().map(ExplanationAnswer::of).toList();
    }
}
