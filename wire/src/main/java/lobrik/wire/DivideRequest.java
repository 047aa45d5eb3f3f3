package lobrik.wire;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A run that is to be cut from sticks, coupled and fastened. What local code decides has usual figures where nothing is said.
 *
 * @param layout of a run; its limits say how long a stick is, and how many degrees may lie between two pull points
 * @param leftOversIn of earlier jobs, which are used first; at most 200
 * @param kerfIn what the saw takes at every cut; 1/16 in where nothing is said
 * @param couplingFromArcIn how far a coupling keeps off a curve and an end; 3 in where nothing is said
 * @param strapFromFittingIn at most from a fitting to the first support; 36 in where nothing is said
 * @param strapApartIn at most from one support to the next; 120 in where nothing is said
 * @param friction of wire in conduit, {@code µ} from 0 to 2; 0.4 where nothing is said
 */
public record DivideRequest(
        @Nullable LayoutRequest layout,
        @Nullable List<@Nullable Double> leftOversIn,
        @Nullable Double kerfIn,
        @Nullable Double couplingFromArcIn,
        @Nullable Double strapFromFittingIn,
        @Nullable Double strapApartIn,
        @Nullable Double friction) {}
