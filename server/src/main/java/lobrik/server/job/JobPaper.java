package lobrik.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.server.giving.SheetCode;
import lobrik.server.job.RunJobs.PieceStanding;
import lobrik.server.job.RunJobs.Standing;
import lobrik.server.sheet.JobPage;
import lobrik.server.sheet.Paper;
import lobrik.sticks.CutList;
import lobrik.wire.Divided;
import lobrik.wire.Question;

/** Puts a job into words for its page. */
record JobPaper(Standing standing, LengthUnit unit) {

    byte[] pdf(Paper paper, Question run) {
        Divided divided = standing.divided();
        List<Divided.Alone> alone =
                standing.pieces().stream().map(PieceStanding::piece).toList();
        return JobPage.pdf(
                new JobPage.Contents(
                        standing.whole().title(),
                        standing.whole().conduitLabel() + ", "
                                + standing.whole().benderLabel() + ", "
                                + standing.pieces().size() + " pieces, cut to "
                                + length(alone.stream().map(Divided.Alone::cut).reduce(Length.ZERO, Length::plus))
                                + " in all",
                        run,
                        couplings(),
                        standing.pieces().stream().map(this::row).toList(),
                        divided.cuts(alone).sticks().stream().map(this::cut).toList(),
                        needs(),
                        notes()),
                paper);
    }

    private List<Length> couplings() {
        List<Length> couplings = new ArrayList<>();
        Length from = Length.ZERO;
        for (PieceStanding piece : standing.pieces()) {
            if (from.isPositive()) {
                couplings.add(from);
            }
            from = from.plus(piece.piece().portion().length());
        }
        return List.copyOf(couplings);
    }

    private JobPage.PieceRow row(PieceStanding piece) {
        var portion = piece.piece().portion();
        return new JobPage.PieceRow(
                String.valueOf(portion.number()),
                length(piece.piece().cut()),
                portion.number() == 1
                        ? "at the datum end"
                        : "at a coupling " + length(portion.coupling()) + " on leg " + portion.fromLeg(),
                portion.bendNumbers().isEmpty()
                        ? "none"
                        : portion.bendNumbers().stream().map(String::valueOf).collect(Collectors.joining(", ")),
                piece.sheet().map(sheet -> sheet.trainee().fullName()).orElse("–"),
                piece.sheet()
                        .map(sheet -> SheetCode.printed(sheet.assignment().code()))
                        .orElse(""));
    }

    private String cut(CutList.Cut cut) {
        String pieces = cut.pieces().stream().map(String::valueOf).collect(Collectors.joining(", "));
        return (cut.isLeftOver() ? "Left-over of " : "Stick of ") + length(cut.length())
                + (cut.pieces().size() == 1 ? ": piece " : ": pieces ") + pieces + "; " + length(cut.left()) + " left";
    }

    private List<String> needs() {
        List<String> needs = new ArrayList<>();
        for (JobView.FittingView fitting : JobViews.fittings(standing.divided())) {
            needs.add(fitting.count() + " " + fitting.what());
        }
        needs.add("Straps at "
                + standing.divided().straps().stream().map(this::length).collect(Collectors.joining(", ")));
        return List.copyOf(needs);
    }

    private List<String> notes() {
        List<String> notes = new ArrayList<>();
        List<Integer> boxes = standing.divided().points().boxesOnLegs();
        if (!boxes.isEmpty()) {
            notes.add(standing.divided().points().total().text()
                    + " of bends are more than may lie between two pull points: a box on leg "
                    + boxes.stream().map(String::valueOf).collect(Collectors.joining(" and leg ")) + ".");
        }
        notes.add(
                "Ream every cut. A coupling is measured along its leg, from the end face or the back where the leg begins.");
        notes.add(
                "Straps, couplings and degrees between pull points are matters of local code: local code and the licensed"
                        + " person in charge decide.");
        return List.copyOf(notes);
    }

    private String length(Length length) {
        return length.inWords(unit);
    }
}
