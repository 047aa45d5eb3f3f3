package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import lobrik.bend.BackToBack90;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.cause.Pieces;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.HookSide;
import lobrik.shop.ShoePlacing;
import org.junit.jupiter.api.Test;

/** What a bender adds, against pieces that are bent on one whose arrow stands elsewhere and that bends further. */
class BenderShareTest {

    private static final Length QUARTER = Length.ofFraction(0, 1, 4);
    private static final Layout U =
            Pieces.laidOut(new BackToBack90(Length.ofInches(12), Length.ofInches(20), Length.ofInches(14)));

    private static KnownBender known(Map<DeviationKind, Quantity> offs) {
        Map<DeviationKind, KnownBender.Effect> effects = new EnumMap<>(DeviationKind.class);
        offs.forEach((kind, off) ->
                effects.put(kind, new KnownBender.Effect(off, off.withCount(Math.abs(off.count()) / 8))));
        return new KnownBender("Bender 7", effects);
    }

    /**
     * How far a piece is off that is bent on a shoe which bends so far beside its marks, away from its hook, and every angle so
     * much further.
     */
    private static Map<FeatureId, Double> made(Layout layout, double beside, double further, boolean followed) {
        double ahead = 0;
        List<Length> rings = new ArrayList<>();
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            double ring = mark.position().inches() + (followed && mark.number() > 1 ? ahead : 0);
            double place =
                    ((ShoePlacing) mark.placing()).hookTowards() == HookSide.DATUM ? ring + beside : ring - beside;
            ahead = place - mark.position().inches();
            rings.add(Length.ofInches(ring));
            bends.add(new BendMade(
                    Length.ofInches(place),
                    mark.placing(),
                    Angle.ofDegrees(mark.angle().degrees() + further),
                    mark.roll()));
        }
        Piece piece = Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
        Map<FeatureId, Double> off = new TreeMap<>();
        Features.of(layout.job().bend(), piece, rings)
                .forEach(feature -> layout.features().stream()
                        .filter(plan ->
                                plan.id().equals(feature.id()) && plan.id().isOfFinishedPiece())
                        .forEach(plan -> off.put(
                                plan.id(),
                                feature.value().minus(plan.predicted()).number())));
        return off;
    }

    private static void assertFound(Layout layout, Map<FeatureId, Double> off, Set<Integer> fromBack) {
        BenderShare share = BenderShare.of(
                known(Map.of(
                        DeviationKind.LEGS, Length.ofInches(off.get(FeatureId.LEG)),
                        DeviationKind.ANGLES, Angle.ofDegrees(off.get(FeatureId.angle(1))))),
                layout,
                fromBack);
        off.forEach((feature, inches) ->
                assertThat(share.of(feature)).as(feature.id()).isCloseTo(inches, within(0.002)));
    }

    @Test
    void stubOnABenderWithMoreTakeUp_losesOnTheOtherLegWhatItsLegGains() {
        Layout stub =
                Pieces.laidOut(new Stub90(Length.ofInches(18), Optional.of(Length.ofInches(22)), Placement.ARROW));
        assertFound(stub, made(stub, 0.25, 0, false), Set.of());
        BenderShare share = BenderShare.of(known(Map.of(DeviationKind.LEGS, QUARTER)), stub);
        assertThat(share.of(FeatureId.LEG)).isCloseTo(0.25, within(1e-6));
        assertThat(share.of(FeatureId.OTHER_LEG)).isCloseTo(-0.25, within(1e-6));
        assertThat(share.of(FeatureId.mark(1))).isZero();
    }

    @Test
    void everyDimensionOfAU_isFound_whicheverWayItsSecondMarkWasMeasured() {
        for (double beside : new double[] {-0.3, -0.1, 0.2, 0.4}) {
            for (double further : new double[] {-2, 0, 3}) {
                assertFound(U, made(U, beside, further, false), Set.of());
                assertFound(U, made(U, beside, further, true), Set.of(2));
            }
        }
    }

    @Test
    void anglesOfAnOffset_raiseIt_andWhatTheRecordsSayOfRisesIsNotAddedTwice() {
        Map<FeatureId, Double> off = made(Pieces.offset(), 0, 2, false);
        KnownBender anglesOnly = known(Map.of(DeviationKind.ANGLES, Angle.ofDegrees(2)));
        KnownBender both = known(Map.of(
                DeviationKind.ANGLES,
                Angle.ofDegrees(2),
                DeviationKind.RISES,
                Length.ofInches(off.get(FeatureId.RISE))));
        for (KnownBender bender : List.of(anglesOnly, both)) {
            BenderShare share = BenderShare.of(bender, Pieces.offset());
            off.forEach((feature, inches) ->
                    assertThat(share.of(feature)).as(feature.id()).isCloseTo(inches, within(1e-4)));
            assertThat(share.besidesAngles().keySet()).doesNotContain(FeatureId.angle(1), FeatureId.RISE);
        }
    }

    @Test
    void riseBeyondItsAngles_isAddedAsItIsKnown() {
        BenderShare share =
                BenderShare.of(known(Map.of(DeviationKind.RISES, Length.ofFraction(0, 1, 8))), Pieces.offset());
        assertThat(share.of(FeatureId.RISE)).isCloseTo(0.125, within(1e-6));
        assertThat(share.error(FeatureId.RISE)).isCloseTo(0.125 / 8, within(1e-6));
        assertThat(share.of(FeatureId.angle(1))).isZero();
        assertThat(share.onto(Length.ofInches(6), FeatureId.RISE)).isEqualTo(Length.ofFraction(6, 1, 8));
        assertThat(share.onto(Length.ofInches(36), FeatureId.LANDING)).isEqualTo(Length.ofInches(36));
    }

    @Test
    void whatConcernsOtherBends_changesNothing() {
        assertThat(BenderShare.of(known(Map.of(DeviationKind.LEGS, QUARTER)), Pieces.offset())
                        .isThere())
                .isFalse();
        assertThat(BenderShare.of(KnownBender.NONE, U)).isSameAs(BenderShare.NONE);
    }

    @Test
    void benderThatNobodyCouldBendItOn_hasNoShare() {
        KnownBender absurd = known(Map.of(DeviationKind.ANGLES, Angle.ofDegrees(170)));
        assertThat(BenderShare.of(absurd, Pieces.offset()).isThere()).isFalse();
    }

    @Test
    void sentence_saysWhetherTheRestIsWithin() {
        BenderShare share = BenderShare.of(known(Map.of(DeviationKind.LEGS, QUARTER)), U);
        assertThat(share.sentence(Map.of(FeatureId.LEG, true, FeatureId.BETWEEN, true), LengthUnit.INCH))
                .isEqualTo("Bender 7 adds 1/4 in to legs; without that yours is within.");
        assertThat(share.sentence(Map.of(FeatureId.LEG, false, FeatureId.BETWEEN, true), LengthUnit.INCH))
                .endsWith("without that the leg is outside all the same.");
        assertThat(share.sentence(Map.of(FeatureId.LEG, false, FeatureId.BETWEEN, false), LengthUnit.MILLIMETRE))
                .isEqualTo("Bender 7 adds 6 mm to legs; without that the leg and the distance back to back are"
                        + " outside all the same.");
    }

    @Test
    void words_sayWhatItAdds_andWhatItTakes() {
        assertThat(known(Map.of(DeviationKind.LEGS, QUARTER)).words(LengthUnit.INCH))
                .isEqualTo("Bender 7 adds 1/4 in to legs");
        assertThat(known(Map.of(
                                DeviationKind.ANGLES, Angle.ofDegrees(-2),
                                DeviationKind.LEGS, Length.ofFraction(0, -1, 4),
                                DeviationKind.PLACES, QUARTER))
                        .words(LengthUnit.INCH))
                .isEqualTo("Bender 7 bends 2° short, takes 1/4 in off legs and lands its rings 1/4 in too far out");
    }
}
