package lobrik.server.job;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.wire.DivideAnswer.CutAnswer;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.PieceShape;
import org.jspecify.annotations.Nullable;

/**
 * A run of several pieces, and what was made of it.
 *
 * @param libraryId the entry that the whole run is saved as
 * @param plan of the whole run
 * @param pieces from the datum end; between two of them is a coupling
 * @param cuts what they are cut from
 * @param fittings what is needed besides conduit
 * @param strapsIn where it is fastened, along the conduit from the datum end
 * @param pullBoxOnLegs legs on which a box is needed to pull wire at
 * @param assembly the pieces put together; null until one of them is measured
 */
record JobView(
        UUID id,
        UUID libraryId,
        int version,
        String title,
        String conduitLabel,
        String benderLabel,
        LayoutRequest definition,
        double outsideDiameterIn,
        Instant givenAt,
        LayoutAnswer plan,
        List<JobPieceView> pieces,
        List<CutAnswer> cuts,
        List<FittingView> fittings,
        List<Double> strapsIn,
        List<Integer> pullBoxOnLegs,
        @Nullable AssemblyView assembly) {

    /**
     * A piece.
     *
     * @param fromIn where it begins on the straight conduit of the whole run
     * @param fromLeg first leg of the whole run that it is on
     * @param couplingIn from where that leg is measured to the coupling that it begins at; null for the first piece
     * @param bends of the whole run, by number
     * @param definition that lays it out; null for a straight, and for a straight with an offset, which nobody is given
     * @param sheet whose it is; null for a straight, and where it was taken back
     */
    record JobPieceView(
            int number,
            double fromIn,
            double lengthIn,
            int fromLeg,
            @Nullable Double couplingIn,
            List<Integer> bends,
            @Nullable LayoutRequest definition,
            @Nullable JobSheetView sheet) {}

    /**
     * Whose a piece is, and how far it is.
     *
     * @param attemptId what was last measured of it
     * @param measured whether all of it is
     */
    record JobSheetView(
            UUID assignmentId,
            UUID givingId,
            String code,
            UUID traineeId,
            String fullName,
            int bench,
            @Nullable UUID attemptId,
            boolean measured,
            @Nullable Double points,
            @Nullable Boolean passed) {}

    /** So many of something. */
    record FittingView(String what, int count) {}

    /**
     * The pieces put together, those that are not measured as they should be.
     *
     * @param complete whether every piece is measured
     * @param sentence whether it goes in, and who spent what it is off
     * @param spent by each piece, in their order
     * @param made the whole run as it is
     */
    record AssemblyView(boolean complete, boolean enters, String sentence, List<SpentView> spent, PieceShape made) {}

    /**
     * Where a piece brings the far end, in words, and how far in all.
     *
     * @param straight whether nobody bends it: it is as it was cut
     */
    record SpentView(int piece, boolean measured, boolean straight, String brings, double farIn) {}

    /** The job that a piece is of; null for an exercise by itself. */
    record JobOfPiece(@Nullable UUID jobId) {}

    /** In a list. */
    record JobListed(UUID id, String title, Instant givenAt, List<String> trainees) {}
}
