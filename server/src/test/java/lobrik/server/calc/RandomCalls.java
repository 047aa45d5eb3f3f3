package lobrik.server.calc;

import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Calls of the calculation interface as schools might make them, and some that nobody should make: the same ones for every seed,
 * on every machine. What is drawn here must stay as it is, since answers to it are on record.
 */
final class RandomCalls {

    /** One call. */
    record Call(String path, String body) {}

    private static final List<String> KINDS =
            List.of("stub90", "backToBack90", "offset", "boxOffset", "rollingOffset", "kick", "saddle3", "saddle4");

    private static final double[] OUTSIDE = {0.706, 0.922, 1.163, 1.51};
    private static final double[] TAKE_UP = {5, 6, 8, 11};
    private static final double[] RADIUS = {4.3125, 5.125, 6.875, 8.75};
    private static final double[] LINES = {10, 22.5, 30, 45, 60};
    private static final double[] DIVISIONS = {0, 1 / 32.0, 1 / 16.0, 1 / 8.0, 1 / 25.4};
    private static final List<String> TEXTS =
            List.of("14 3/8", "14.375", "3' 2 1/2", "365 mm", "12-20 3/4", "7/0", "ten", "-3/8", "45°", "", "1 1/3");

    private final Random random;

    RandomCalls(long seed) {
        this.random = new Random(seed);
    }

    /** Of ten calls five lay out, one each simulates, diagnoses and scores, one explains, and one is any of the others. */
    Call next(int number) {
        return switch (number % 10) {
            case 0 -> new Call("simulate", simulate().toString());
            case 1 -> new Call("diagnose", diagnose().toString());
            case 2 -> new Call("score", score().toString());
            case 3 -> new Call("why", layout().toString());
            case 4 -> other(number / 10);
            default -> new Call("layout", layout().toString());
        };
    }

    private Call other(int number) {
        return switch (number % 5) {
            case 0 -> new Call("quantity", quantity().toString());
            case 1 -> new Call("clearance", clearance().toString());
            case 2 -> new Call("offset-of-marks", offsetOfMarks().toString());
            case 3 -> new Call("tooling", tools(object()).toString());
            default -> new Call("parallel-runs", alongside().toString());
        };
    }

    private static ObjectNode object() {
        return JsonMapper.shared().createObjectNode();
    }

    private boolean oneIn(int times) {
        return random.nextInt(times) == 0;
    }

    private double of(double... values) {
        return values[random.nextInt(values.length)];
    }

    private String of(String... values) {
        return values[random.nextInt(values.length)];
    }

    /** A length to the sixteenth, as people type it; now and then one to the thousandth. */
    private double length(double from, double to) {
        double any = from + (to - from) * random.nextDouble();
        return oneIn(8) ? Math.round(any * 1000) / 1000.0 : Math.round(any * 16) / 16.0;
    }

    private double angle() {
        return oneIn(5) ? Math.round((5 + 75 * random.nextDouble()) * 2) / 2.0 : of(LINES);
    }

    private ObjectNode tools(ObjectNode call) {
        int size = random.nextInt(OUTSIDE.length);
        call.putObject("conduit").put("outsideDiameterIn", OUTSIDE[size]);
        ObjectNode bender = call.putObject("bender");
        bender.put("takeUpIn", TAKE_UP[size] + (oneIn(3) ? length(-0.5, 0.5) : 0));
        bender.put("radiusIn", RADIUS[size]);
        if (oneIn(3)) {
            bender.put("minSpacingIn", of(0, 2, 3));
            bender.put("minStubIn", of(0, 2, 5));
        }
        if (oneIn(3)) {
            bender.put("springbackDeg", of(0, 2, 3.5));
        }
        if (oneIn(6)) {
            bender.put("minStandingIn", of(10, 24));
        }
        return call;
    }

    private ObjectNode layout() {
        ObjectNode call = tools(object());
        if (!oneIn(3)) {
            call.put("method", of("chart", "exact"));
        }
        if (!oneIn(4)) {
            call.put("tapeDivisionIn", of(DIVISIONS));
        }
        call.set("bend", bend(KINDS.get(random.nextInt(KINDS.size()))));
        if (oneIn(6)) {
            call.putArray("multipliers")
                    .addObject()
                    .put("angleDeg", of(22.5, 30, 45))
                    .put("multiplier", of(2.6, 2, 1.4))
                    .put("shrinkPerInch", of(0.1875, 0.25, 0.375));
        }
        if (oneIn(6)) {
            call.putObject("limits").put("stickIn", of(48, 120)).put("mostBendsDeg", of(90, 360));
        }
        if (oneIn(6)) {
            ObjectNode obstacle = call.putObject("obstacle");
            if (oneIn(2)) {
                obstacle.put("shape", "round").put("centreIn", length(10, 40)).put("diameterIn", length(1, 6));
            } else {
                obstacle.put("shape", "rectangular")
                        .put("fromIn", length(10, 40))
                        .put("widthIn", length(1, 12))
                        .put("heightIn", length(1, 6));
            }
        }
        if (oneIn(4)) {
            call.putObject("place")
                    .put(
                            "situation",
                            of(
                                    "upFromBox",
                                    "betweenWalls",
                                    "intoBox",
                                    "ontoPlinth",
                                    "upToLamp",
                                    "overPipe",
                                    "roundColumn"));
        }
        return call;
    }

    private ObjectNode bend(String kind) {
        ObjectNode bend = object().put("kind", kind);
        switch (kind) {
            case "stub90" -> {
                bend.put("legIn", length(4, 40));
                sometimes(bend, "otherLegIn", 10, 60);
                choice(bend, "placement", "arrow", "star");
            }
            case "backToBack90" ->
                bend.put("firstLegIn", length(8, 40))
                        .put("betweenIn", length(8, 50))
                        .put("secondLegIn", length(8, 40));
            case "offset" -> {
                bend.put("riseIn", length(0.5, 14)).put("angleDeg", angle()).put("distanceIn", length(8, 60));
                sometimes(bend, "clearanceIn", 0, 1);
                choice(bend, "layout", "beforeObstacle", "fromEdge");
            }
            case "boxOffset" -> {
                bend.put("firstMarkIn", length(1, 8));
                sometimes(bend, "riseIn", 0.25, 1);
                if (oneIn(3)) {
                    bend.put("angleDeg", of(5, 10, 15));
                }
            }
            case "rollingOffset" -> {
                bend.put("riseIn", length(0, 12)).put("rollIn", length(0, 12));
                bend.put("angleDeg", angle()).put("distanceIn", length(8, 60));
                choice(bend, "layout", "beforeObstacle", "fromEdge");
            }
            case "kick" -> {
                bend.put("riseIn", length(1, 16)).put("angleDeg", angle()).put("distanceIn", length(8, 60));
                choice(bend, "layout", "beforeObstacle", "fromEdge");
            }
            case "saddle3" -> {
                bend.put("heightIn", length(0.5, 6)).put("centreIn", length(14, 60));
                sometimes(bend, "clearanceIn", 0, 1);
                if (oneIn(2)) {
                    bend.put("outerAngleDeg", of(15, 22.5, 30, 45));
                }
                choice(bend, "spacing", "factor", "cosecant");
                choice(bend, "order", "centreFirst", "pushThrough");
            }
            case "saddle4" -> {
                bend.put("heightIn", length(0.5, 8)).put("widthIn", length(2, 16));
                bend.put("angleDeg", angle()).put("distanceIn", length(14, 60));
                sometimes(bend, "clearanceIn", 0, 1);
                sometimes(bend, "edgeClearanceIn", 0, 2);
                choice(bend, "reference", "nearEdge", "centred");
                choice(bend, "placement", "arrow", "star");
            }
            default -> throw new IllegalArgumentException(kind);
        }
        if (!List.of("stub90", "backToBack90", "kick").contains(kind)) {
            sometimes(bend, "overallIn", 40, 110);
        }
        spoilt(bend);
        return bend;
    }

    private void sometimes(ObjectNode bend, String input, double from, double to) {
        if (oneIn(3)) {
            bend.put(input, length(from, to));
        }
    }

    private void choice(ObjectNode bend, String option, String one, String other) {
        if (!oneIn(3)) {
            bend.put(option, of(one, other));
        }
    }

    /** One call in twelve misses an input, or has one that is out of all range. */
    private void spoilt(ObjectNode bend) {
        if (oneIn(12)) {
            List<String> inputs = bend.propertyNames().stream()
                    .filter(name -> !name.equals("kind"))
                    .toList();
            String input = inputs.get(random.nextInt(inputs.size()));
            if (oneIn(2)) {
                bend.remove(input);
            } else if (bend.get(input).isNumber()) {
                bend.put(input, of(-1, 0, 1000, 89.75));
            }
        }
    }

    private static int bends(String kind) {
        return switch (kind) {
            case "stub90", "kick" -> 1;
            case "saddle3" -> 3;
            case "saddle4" -> 4;
            default -> 2;
        };
    }

    private ObjectNode simulate() {
        ObjectNode call = tools(object());
        String kind = KINDS.get(random.nextInt(KINDS.size()));
        call.set("bend", bend(kind));
        call.put("lengthIn", length(70, 120));
        made(call, oneIn(20) ? 2 : bends(kind), kind.contains("90") ? 90 : 30);
        return call;
    }

    private void made(ObjectNode call, int bends, double about) {
        ArrayNode made = call.putArray("bends");
        double at = 0;
        for (int i = 0; i < bends; i++) {
            at += length(11, 18);
            ObjectNode bend = made.addObject().put("positionIn", at).put("reference", of("arrow", "star", "notch"));
            bend.put("hookTowards", of("datum", "far"));
            bend.put("angleDeg", Math.round((about + 6 * random.nextDouble() - 3) * 4) / 4.0);
            if (i > 0) {
                bend.put("rollDeg", of(180, 0) + (oneIn(3) ? of(-2, 1, 3) : 0));
            }
        }
    }

    private ObjectNode diagnose() {
        ObjectNode call = layout();
        call.remove(List.of("limits", "obstacle", "place"));
        JsonNode bend = call.get("bend");
        ArrayNode readings = call.putArray("readings");
        // near what is asked, so that what was done wrong is a matter of inches and degrees
        for (String length : List.of("leg", "rise", "roll", "height", "centre")) {
            JsonNode asked = bend.path(length + "In");
            if (asked.isNumber()) {
                reading(readings, length, asked.asDouble() + length(-1, 1));
            }
        }
        JsonNode asked = bend.has("angleDeg") ? bend.get("angleDeg") : bend.path("outerAngleDeg");
        String kind = bend.get("kind").asString();
        double about = asked.isNumber() ? asked.asDouble() : kind.contains("90") ? 90 : 10;
        for (int i = 1; i <= bends(kind); i++) {
            double middle = kind.equals("saddle3") && i == 2 ? 2 * about : about;
            if (!oneIn(3)) {
                reading(readings, "angle" + i, middle + Math.round(6 * random.nextDouble() - 3));
            }
        }
        if (oneIn(3)) {
            reading(readings, "mark1", length(4, 20));
        }
        if (oneIn(15)) {
            reading(readings, "mark5", 10);
        }
        return call;
    }

    private static void reading(ArrayNode readings, String feature, double value) {
        readings.addObject().put("feature", feature).put("value", value);
    }

    private ObjectNode score() {
        ObjectNode call = object();
        call.putObject("bend").put("kind", oneIn(20) ? "loop" : KINDS.get(random.nextInt(KINDS.size())));
        if (oneIn(2)) {
            call.put("scheme", of("graded", "bands", "passFail"));
        }
        ArrayNode items = call.putArray("items");
        for (String feature : List.of("mark1", "rise", "landing", "angle1", "angle2", "dogLeg")) {
            if (oneIn(2)) {
                double target = length(2, 30);
                double limit = of(0.125, 0.25, 2, 0);
                items.addObject()
                        .put("feature", feature)
                        .put("target", target)
                        .put("reading", target + length(-0.5, 0.5))
                        .put("tolerance", oneIn(8) ? limit : 0.25)
                        .put("weight", of(1, 2, 3))
                        .put("critical", oneIn(2));
            }
        }
        if (oneIn(4)) {
            call.put("passMark", of(60, 80)).put("deductions", of(0, 5));
        }
        return call;
    }

    private ObjectNode quantity() {
        ObjectNode call = object().put("text", TEXTS.get(random.nextInt(TEXTS.size())));
        call.put("kind", of("length", "signedLength", "distance", "angle"));
        return oneIn(3) ? call.put("bare", "mm") : call;
    }

    private ObjectNode clearance() {
        ObjectNode call = tools(object()).put("lengthIn", 100);
        made(call, 2, 30);
        call.putObject("obstacle")
                .put("shape", "round")
                .put("centreIn", length(20, 60))
                .put("diameterIn", length(1, 6));
        return call;
    }

    private ObjectNode offsetOfMarks() {
        ObjectNode call = tools(object()).put("method", of("chart", "exact")).put("spacingIn", length(4, 30));
        return oneIn(2) ? call.put("angleDeg", angle()) : call.put("riseIn", length(1, 10));
    }

    private ObjectNode alongside() {
        ObjectNode call = object().put("centreSpacingIn", length(1.5, 5)).put("count", random.nextInt(2, 7));
        ObjectNode first = tools(object());
        first.set("bend", bend(of("offset", "kick", "offset", "saddle3")));
        call.set("first", first);
        return call;
    }
}
