package lobrik.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Nothing that somebody typed is worked out by whatever opens a table. */
class CellsTest {

    /** What would be 2 if it were worked out. */
    private static final List<String> ATTACKS = List.of(
            "=1+1",
            "+1+1",
            "-1+3",
            "@SUM(1,1)",
            "\t=1+1",
            "\r=1+1",
            "\n=1+1",
            " =1+1",
            "\u00a0=1+1",
            "\u200b=1+1",
            "\ufeff=1+1",
            "\u202e=1+1",
            "\u2066\u200d =1+1",
            "\u3164=1+1",
            "\u2800=1+1",
            "\ufe0f=1+1",
            "\uff1d1+1",
            "\uff0b1+1",
            "\ufe661+1",
            "\"=1+1\"",
            "'=1+1",
            "a;=1+1",
            "a;\"=1+1\"",
            "a\t=1+1",
            "a|=1+1",
            "a\n=1+1",
            "a;\u200b=1+1",
            "a;;\t =1+1");

    private static String table(List<String> texts) throws IOException {
        StringWriter table = new StringWriter();
        try (CSVPrinter printer = Cells.csv(table)) {
            for (String text : texts) {
                Cells.print(printer, Arrays.asList("before", text, -1.5, null, true, "after"));
            }
        }
        return table.toString();
    }

    @Test
    void whatIsHarmless_staysAsItIs() {
        for (String text : List.of(
                "Ada Finch",
                "3/4 EMT",
                "14-3/8",
                "a; b",
                "Up - and over",
                "O'Neill",
                "\"quoted\"",
                "",
                "x=1",
                "5 > 3|2")) {
            assertThat(Cells.words(text)).isEqualTo(text);
        }
        assertThat(Cells.words(null)).isNull();
    }

    @Test
    void textIsQuoted_andNumbersAreNumbers() throws IOException {
        assertThat(table(List.of("Ada"))).isEqualTo("\"before\",\"Ada\",-1.5,,\"true\",\"after\"\r\n");
    }

    @ParameterizedTest
    @ValueSource(chars = {',', ';', '\t', '|'})
    void noCellBeginsAFormula_howeverTheTableIsTakenApart(char separator) throws IOException {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
        CSVFormat bare = format.builder().setQuote(null).get();
        for (CSVFormat one : List.of(format, bare)) {
            try (CSVParser parser = CSVParser.parse(new StringReader(table(ATTACKS)), one)) {
                for (CSVRecord record : parser) {
                    for (String cell : record) {
                        String seen = cell.replaceAll("[\\s\\p{Cf}\\p{Mn}\\p{Zs}\\u3164\\u2800\"]", "");
                        assertThat(seen)
                                .as(cell)
                                .doesNotStartWith("=1")
                                .doesNotStartWith("+1")
                                .doesNotStartWith("-1+");
                    }
                }
            }
        }
    }

    /** Opened by a real spreadsheet: the full run installs one. */
    @ParameterizedTest
    @ValueSource(ints = {',', ';', '\t', '|'})
    void realSpreadsheet_findsNoFormula(int separator, @TempDir Path folder) throws Exception {
        Path program = Path.of("/usr/bin/soffice");
        Assumptions.assumeTrue(
                Files.isExecutable(program), "there is no spreadsheet here; ./lobrik test --full installs one");
        Path table = folder.resolve("table.csv");
        // So that the test cannot pass without having been opened: this one is meant to be worked out.
        Files.writeString(table, "=1+1\n" + table(ATTACKS), StandardCharsets.UTF_8);
        Process process = new ProcessBuilder(
                        program.toString(),
                        "-env:UserInstallation=file://" + folder.resolve("profile"),
                        "--headless",
                        "--infilter=CSV:" + separator + ",34,76,1",
                        "--convert-to",
                        "fods",
                        "--outdir",
                        folder.toString(),
                        table.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.onExit().join().exitValue()).as(said).isZero();
        String opened = Files.readString(folder.resolve("table.fods"));
        List<String> formulas =
                opened.lines().filter(line -> line.contains("table:formula=")).collect(Collectors.toList());
        assertThat(formulas).hasSize(1);
    }
}
