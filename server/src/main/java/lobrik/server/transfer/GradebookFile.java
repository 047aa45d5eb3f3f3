package lobrik.server.transfer;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lobrik.progress.Family;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.progress.Gradebook;
import lobrik.server.progress.Gradebook.Grade;
import lobrik.server.progress.Gradebook.GradeRow;
import lobrik.server.progress.Gradebook.PieceRow;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** A cohort's gradebook: a row a trainee, as CSV or as a workbook; the workbook also has every finished piece. */
@Service
class GradebookFile {

    private static final List<String> TRAINEE = List.of("bench", "trainee", "number");
    private static final List<String> GRADE =
            List.of("standing", "pieces", "passes", "last score", "mean of last 4", "signed by", "signed on");
    private static final List<String> PIECE = List.of(
            "trainee",
            "bend",
            "exercise",
            "measured at",
            "conduit",
            "bender",
            "tolerances",
            "score",
            "passed",
            "own arithmetic",
            "re-bent",
            "cause",
            "conduit in",
            "wasted in",
            "minutes",
            "attempt",
            "tool");

    /** What a sheet of a workbook can hold; more pieces go on to a further sheet. */
    private static final int MOST_ROWS = 1_000_000;

    private static final int FLUSHED = 500;

    private final Gradebook gradebook;
    private final Cohorts cohorts;

    GradebookFile(Gradebook gradebook, Cohorts cohorts) {
        this.gradebook = gradebook;
        this.cohorts = cohorts;
    }

    private static List<String> header(List<Family> families) {
        List<String> header = new ArrayList<>(TRAINEE);
        for (Family family : families) {
            GRADE.forEach(name -> header.add(family.words() + ": " + name));
        }
        return header;
    }

    private static List<@Nullable Object> cells(GradeRow row) {
        List<@Nullable Object> cells = new ArrayList<>();
        cells.add(row.trainee().bench());
        cells.add(row.trainee().fullName());
        cells.add(row.trainee().number());
        for (Grade grade : row.grades()) {
            cells.add(grade.standing());
            cells.add(grade.pieces());
            cells.add(grade.passes());
            cells.add(grade.lastPoints().map(GradebookFile::tenths).orElse(null));
            cells.add(grade.meanPoints().map(GradebookFile::tenths).orElse(null));
            cells.add(grade.signedBy().orElse(null));
            cells.add(grade.signedAt().map(GradebookFile::day).orElse(null));
        }
        return cells;
    }

    private static double tenths(double points) {
        return Math.round(points * 10) / 10.0;
    }

    private static String day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate().toString();
    }

    void csv(SignedIn who, UUID cohortId, Writer to) throws IOException {
        try (CSVPrinter printer = Cells.csv(to)) {
            Gradebook.Grades grades = gradebook.grades(who, cohortId);
            Cells.print(printer, header(grades.families()));
            for (GradeRow row : grades.rows()) {
                Cells.print(printer, cells(row));
            }
        }
    }

    void workbook(SignedIn who, UUID cohortId, OutputStream to) throws IOException {
        Cohort cohort = cohorts.cohort(who, cohortId);
        Gradebook.Grades grades = gradebook.grades(who, cohortId);
        try (Workbook workbook = new Workbook(to, "Lobrik", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Gradebook");
            sheet.freezePane(2, 1);
            head(sheet, header(grades.families()));
            for (int i = 0; i < grades.rows().size(); i++) {
                write(sheet, i + 1, cells(grades.rows().get(i)));
            }
            sheet.finish();
            PieceSheets pieces = new PieceSheets(workbook);
            gradebook.pieces(List.of(cohort), pieces::add);
            pieces.finish();
        } catch (UncheckedIOException broken) {
            throw broken.getCause();
        }
    }

    private static void head(Worksheet sheet, List<String> names) {
        for (int i = 0; i < names.size(); i++) {
            sheet.value(0, i, names.get(i));
        }
        sheet.range(0, 0, 0, names.size() - 1).style().bold().set();
    }

    private static void write(Worksheet sheet, int row, List<@Nullable Object> cells) {
        for (int i = 0; i < cells.size(); i++) {
            switch (cells.get(i)) {
                case null -> {
                    // An empty cell.
                }
                case Number number -> sheet.value(row, i, number);
                case Boolean yes -> sheet.value(row, i, yes);
                case Object words -> sheet.value(row, i, Cells.words(words.toString()));
            }
        }
    }

    /** Sheets of pieces, written as they come. */
    private static final class PieceSheets {

        private final Workbook workbook;
        private Worksheet sheet;
        private int sheets = 1;
        private int row;

        PieceSheets(Workbook workbook) {
            this.workbook = workbook;
            this.sheet = begin("Pieces");
        }

        private Worksheet begin(String name) {
            Worksheet begun = workbook.newWorksheet(name);
            begun.freezePane(0, 1);
            head(begun, PIECE);
            return begun;
        }

        void add(PieceRow piece) {
            try {
                if (row >= MOST_ROWS) {
                    sheet.finish();
                    sheets++;
                    sheet = begin("Pieces " + sheets);
                    row = 0;
                }
                row++;
                write(sheet, row, piece(piece));
                if (row % FLUSHED == 0) {
                    sheet.flush();
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        void finish() throws IOException {
            sheet.finish();
        }
    }

    private static List<@Nullable Object> piece(PieceRow piece) {
        List<@Nullable Object> cells = new ArrayList<>();
        cells.add(piece.fullName());
        cells.add(piece.family().bend().id());
        cells.add(piece.title());
        cells.add(Cells.moment(piece.measuredAt()));
        cells.add(piece.conduitLabel());
        cells.add(piece.benderLabel());
        cells.add(piece.preset());
        cells.add(tenths(piece.points()));
        cells.add(piece.passed());
        cells.add(piece.arithmetic() == null ? null : tenths(piece.arithmetic()));
        cells.add(piece.rebent());
        cells.add(piece.cause());
        cells.add(piece.conduit().inches());
        cells.add(piece.wasted().inches());
        cells.add(piece.minutes());
        cells.add(piece.attemptId().toString());
        cells.add(piece.family().tool().id());
        return cells;
    }
}
