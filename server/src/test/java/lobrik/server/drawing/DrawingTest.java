package lobrik.server.drawing;

import static lobrik.server.exercise.SampleExercises.bend;
import static lobrik.server.exercise.SampleExercises.definition;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;

/** Drawings are read back by plain readers of their formats and measured. */
@ExtendWith(RunningServer.class)
class DrawingTest {

    private static final double CLOSE = 0.001;

    /** Two ends of a line, inches. */
    private record Line(double x1, double y1, double x2, double y2) {

        double middleX() {
            return (x1 + x2) / 2;
        }

        double middleY() {
            return (y1 + y2) / 2;
        }
    }

    private Client client;

    @BeforeEach
    void open(RunningServer.Address server) {
        client = new Client(server);
    }

    static Stream<Arguments> kindsAndMethods() {
        return Stream.of("stub90", "backToBack90", "boxOffset", "offset", "rollingOffset", "kick", "saddle3", "saddle4")
                .flatMap(kind -> Stream.of("chart", "exact").map(method -> Arguments.of(kind, method)));
    }

    private JsonNode plan(String definition) {
        return client.post("/api/calc/layout", definition).body();
    }

    private String drawing(String definition, String view, String format) {
        return new String(
                client.file(
                        "/api/calc/drawing",
                        "{\"definition\":" + definition + ",\"view\":\"" + view + "\",\"format\":\"" + format + "\"}"),
                StandardCharsets.UTF_8);
    }

    private static List<Double> marks(JsonNode plan) {
        return plan.at("/marks")
                .valueStream()
                .map(mark -> mark.at("/positionIn").asDouble())
                .toList();
    }

    /** Lines on a layer of an ASCII DXF: pairs of a group code and a value. */
    private static List<Line> dxfLines(String dxf, String layer) {
        String[] rows = dxf.split("\r\n");
        assertThat(rows.length % 2).as("codes and values come in pairs").isZero();
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < rows.length; i += 2) {
            if (rows[i].equals("0") && rows[i + 1].equals("LINE") && rows[i + 3].equals(layer)) {
                int at = i;
                double[] ends = IntStream.of(5, 7, 9, 11)
                        .mapToDouble(offset -> Double.parseDouble(rows[at + offset]))
                        .toArray();
                lines.add(new Line(ends[0], ends[1], ends[2], ends[3]));
            }
        }
        assertThat(rows[rows.length - 1]).isEqualTo("EOF");
        return lines;
    }

    private static Document svg(String text) throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static List<Line> svgLines(Document svg, String layer) {
        List<Line> lines = new ArrayList<>();
        NodeList groups = svg.getElementsByTagName("g");
        for (int i = 0; i < groups.getLength(); i++) {
            Element group = (Element) groups.item(i);
            if (group.getAttribute("data-layer").equals(layer)) {
                NodeList paths = group.getElementsByTagName("polyline");
                for (int j = 0; j < paths.getLength(); j++) {
                    double[] numbers = Stream.of(((Element) paths.item(j))
                                    .getAttribute("points")
                                    .split("[ ,]"))
                            .mapToDouble(Double::parseDouble)
                            .toArray();
                    lines.add(new Line(numbers[0], -numbers[1], numbers[2], -numbers[3]));
                }
            }
        }
        return lines;
    }

    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void strip_hasItsRingsWhereTheMarksAre(String kind, String method) throws Exception {
        String definition = definition(method, bend(kind));
        List<Double> marks = marks(plan(definition));
        assertRings(dxfLines(drawing(definition, "strip", "dxf"), "RING"), marks);
        Document svg = svg(drawing(definition, "strip", "svg"));
        assertRings(svgLines(svg, "ring"), marks);
        // Full size: a unit of the drawing is an inch on paper.
        double width = Double.parseDouble(
                svg.getDocumentElement().getAttribute("width").replace("in", ""));
        String[] box = svg.getDocumentElement().getAttribute("viewBox").split(" ");
        assertThat(Double.parseDouble(box[2])).isCloseTo(width, within(1e-9));
    }

    private static void assertRings(List<Line> rings, List<Double> marks) {
        assertThat(rings).hasSameSizeAs(marks);
        for (int i = 0; i < marks.size(); i++) {
            assertThat(rings.get(i).middleX()).isCloseTo(marks.get(i), within(CLOSE));
            assertThat(rings.get(i).x1()).isEqualTo(rings.get(i).x2());
        }
    }

    /** Along the centreline that was drawn, each ring lies as far from the datum end as its mark. */
    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void elevation_hasItsRingsOnTheConduit_asFarAlongAsTheMarks(String kind, String method) throws Exception {
        String definition = definition(method, bend(kind));
        if (kind.equals("rollingOffset")) {
            return; // Seen from the side it is foreshortened.
        }
        Document svg = svg(drawing(definition, "elevation", "svg"));
        List<Double> marks = marks(plan(definition));
        List<Line> rings = svgLines(svg, "ring");
        assertThat(rings).hasSameSizeAs(marks);
        List<double[]> centreline = centreline(svg);
        for (int i = 0; i < marks.size(); i++) {
            assertThat(along(centreline, rings.get(i).middleX(), rings.get(i).middleY()))
                    .isCloseTo(marks.get(i), within(CLOSE));
        }
        assertThat(dxfLines(drawing(definition, "elevation", "dxf"), "RING")).hasSameSizeAs(marks);
    }

    private static List<double[]> centreline(Document svg) {
        NodeList groups = svg.getElementsByTagName("g");
        for (int i = 0; i < groups.getLength(); i++) {
            Element group = (Element) groups.item(i);
            if (group.getAttribute("data-layer").equals("centreline")) {
                Element line = (Element) group.getElementsByTagName("polyline").item(0);
                return Stream.of(line.getAttribute("points").split(" "))
                        .map(pair -> pair.split(","))
                        .map(pair -> new double[] {Double.parseDouble(pair[0]), -Double.parseDouble(pair[1])})
                        .toList();
            }
        }
        throw new AssertionError("no centreline");
    }

    /** How far along a line the point of it is that is nearest to a place. */
    private static double along(List<double[]> line, double x, double y) {
        double best = Double.POSITIVE_INFINITY;
        double at = 0;
        double done = 0;
        for (int i = 1; i < line.size(); i++) {
            double dx = line.get(i)[0] - line.get(i - 1)[0];
            double dy = line.get(i)[1] - line.get(i - 1)[1];
            double length = Math.hypot(dx, dy);
            double part = length == 0
                    ? 0
                    : Math.clamp(
                            ((x - line.get(i - 1)[0]) * dx + (y - line.get(i - 1)[1]) * dy) / (length * length), 0, 1);
            double off = Math.hypot(x - line.get(i - 1)[0] - part * dx, y - line.get(i - 1)[1] - part * dy);
            if (off < best) {
                best = off;
                at = done + part * length;
            }
            done += length;
        }
        assertThat(best).as("the ring lies on the centreline").isLessThan(CLOSE);
        return at;
    }
}
