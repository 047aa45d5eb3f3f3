package lobrik.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.assessment.Assessment;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.giving.Givings;
import lobrik.server.giving.SheetCode;
import lobrik.server.job.JobView.AssemblyView;
import lobrik.server.job.JobView.FittingView;
import lobrik.server.job.JobView.JobPieceView;
import lobrik.server.job.JobView.JobSheetView;
import lobrik.server.job.JobView.SpentView;
import lobrik.server.job.RunJobs.PieceStanding;
import lobrik.server.job.RunJobs.Standing;
import lobrik.server.sheet.Paper;
import lobrik.shape.Piece;
import lobrik.shape.RoomFrame;
import lobrik.sticks.Assembly;
import lobrik.sticks.AssemblyWords;
import lobrik.verdict.Entering;
import lobrik.verdict.Score;
import lobrik.wire.DivideAnswer.CutAnswer;
import lobrik.wire.Divided;
import org.springframework.stereotype.Component;

/** Says how a job stands. */
@Component
class JobViews {

    private final Calculations calculations;
    private final Accounts accounts;

    JobViews(Calculations calculations, Accounts accounts) {
        this.calculations = calculations;
        this.accounts = accounts;
    }

    JobView of(SignedIn who, Standing standing) {
        Divided divided = standing.divided();
        Layout layout = divided.question().layout();
        List<Divided.Alone> alone =
                standing.pieces().stream().map(PieceStanding::piece).toList();
        return new JobView(
                standing.job().id(),
                standing.whole().entryId(),
                standing.whole().version(),
                standing.whole().title(),
                standing.whole().conduitLabel(),
                standing.whole().benderLabel(),
                standing.whole().definition(),
                layout.job().tooling().conduit().outsideDiameter().inches(),
                standing.job().givenAt(),
                calculations.plan(calculations.question(standing.whole().definition())),
                pieces(standing.pieces()),
                divided.cuts(alone).sticks().stream().map(CutAnswer::of).toList(),
                fittings(divided),
                divided.straps().stream().map(length -> length.inches()).toList(),
                divided.points().boxesOnLegs(),
                assembly(standing, accounts.unitOf(who)).orElse(null));
    }

    static List<FittingView> fittings(Divided divided) {
        List<FittingView> fittings = new ArrayList<>();
        fittings.add(new FittingView("connectors", 2));
        fittings.add(new FittingView("couplings", divided.pieces().size() - 1));
        fittings.add(new FittingView("straps", divided.straps().size()));
        if (!divided.points().boxesOnLegs().isEmpty()) {
            fittings.add(
                    new FittingView("pull boxes", divided.points().boxesOnLegs().size()));
        }
        return List.copyOf(fittings);
    }

    /** The page of the whole job, in the unit of the one who asks. */
    byte[] page(SignedIn who, Standing standing, Paper paper) {
        return new JobPaper(standing, accounts.unitOf(who))
                .pdf(paper, calculations.question(standing.whole().definition()));
    }

    private static List<JobPieceView> pieces(List<PieceStanding> standing) {
        List<JobPieceView> pieces = new ArrayList<>();
        Length from = Length.ZERO;
        for (PieceStanding piece : standing) {
            pieces.add(piece(piece, from));
            from = from.plus(piece.piece().portion().length());
        }
        return List.copyOf(pieces);
    }

    private static JobPieceView piece(PieceStanding standing, Length from) {
        var portion = standing.piece().portion();
        return new JobPieceView(
                portion.number(),
                from.inches(),
                standing.piece().cut().inches(),
                portion.fromLeg(),
                portion.number() == 1 ? null : portion.coupling().inches(),
                portion.bendNumbers(),
                standing.piece().request().orElse(null),
                standing.sheet().map(sheet -> sheet(sheet, standing)).orElse(null));
    }

    private static JobSheetView sheet(Givings.Sheet sheet, PieceStanding standing) {
        Optional<Score> score = standing.last().flatMap(last -> last.settled().score());
        return new JobSheetView(
                sheet.assignment().id(),
                sheet.assignment().givingId(),
                SheetCode.printed(sheet.assignment().code()),
                sheet.trainee().id(),
                sheet.trainee().fullName(),
                sheet.trainee().bench(),
                standing.last().map(last -> last.attempt().id()).orElse(null),
                isMeasured(standing),
                score.map(Score::points).orElse(null),
                score.map(Score::passed).orElse(null));
    }

    private static boolean isMeasured(PieceStanding standing) {
        return standing.last()
                .map(last -> last.assessment())
                .filter(Assessment::isComplete)
                .isPresent();
    }

    private static Optional<AssemblyView> assembly(Standing standing, LengthUnit unit) {
        List<Optional<Piece>> made = standing.pieces().stream()
                .map(piece -> isMeasured(piece) ? piece.last().orElseThrow().made() : Optional.<Piece>empty())
                .toList();
        if (made.stream().allMatch(Optional::isEmpty)) {
            return Optional.empty();
        }
        Divided divided = standing.divided();
        Assembly assembly = Assembly.of(
                RoomFrame.of(divided.run()),
                standing.pieces().stream().map(piece -> piece.piece().portion()).toList(),
                made);
        Entering rule = standing.whole().content().tolerances().toCore().entering();
        AssemblyWords words = new AssemblyWords(assembly, rule, unit);
        List<SpentView> spent = new ArrayList<>();
        boolean complete = true;
        for (int i = 0; i < made.size(); i++) {
            boolean straight = standing.pieces().get(i).piece().request().isEmpty();
            complete &= straight || made.get(i).isPresent();
            spent.add(new SpentView(
                    i + 1,
                    made.get(i).isPresent(),
                    straight,
                    words.brings(i),
                    words.far(i).inches()));
        }
        return Optional.of(new AssemblyView(
                complete, assembly.enters(rule), words.sentence(), List.copyOf(spent), divided.put(assembly, made)));
    }
}
