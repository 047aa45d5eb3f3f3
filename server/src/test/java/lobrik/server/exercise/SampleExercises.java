package lobrik.server.exercise;

/** Exercises as they are sent, for tests. */
public final class SampleExercises {

    public static final String TOLERANCES =
            "{\"preset\":\"site\",\"lengthIn\":0.125,\"angleDeg\":2,\"dogLegDeg\":2,\"passMark\":70}";

    private SampleExercises() {}

    /** A definition on a 3/4 bender. */
    public static String definition(String method, String bend) {
        return """
                {"method":"%s","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
                 "bender":{"takeUpIn":6,"radiusIn":5.125},"bend":%s}""".formatted(method, bend);
    }

    public static String stub(double legIn) {
        return definition("chart", "{\"kind\":\"stub90\",\"legIn\":" + legIn + ",\"otherLegIn\":22}");
    }

    /** One bend of every kind, by its id. */
    public static String bend(String kind) {
        return switch (kind) {
            case "stub90" -> "{\"kind\":\"stub90\",\"legIn\":17.625,\"otherLegIn\":22}";
            case "backToBack90" ->
                "{\"kind\":\"backToBack90\",\"firstLegIn\":13.5,\"betweenIn\":31.25,\"secondLegIn\":16}";
            case "boxOffset" ->
                "{\"kind\":\"boxOffset\",\"riseIn\":0.625,\"angleDeg\":10,\"firstMarkIn\":4,\"overallIn\":40}";
            case "offset" -> "{\"kind\":\"offset\",\"riseIn\":6,\"angleDeg\":30,\"distanceIn\":36,\"overallIn\":70}";
            case "rollingOffset" ->
                "{\"kind\":\"rollingOffset\",\"riseIn\":5,\"rollIn\":3,\"angleDeg\":30,\"distanceIn\":36}";
            case "kick" -> "{\"kind\":\"kick\",\"riseIn\":9,\"angleDeg\":30,\"distanceIn\":44}";
            case "saddle3" ->
                "{\"kind\":\"saddle3\",\"heightIn\":3.375,\"clearanceIn\":1,\"centreIn\":34,\"overallIn\":72}";
            case "saddle4" ->
                "{\"kind\":\"saddle4\",\"heightIn\":3.25,\"clearanceIn\":1,\"angleDeg\":30,\"widthIn\":11.5,"
                        + "\"edgeClearanceIn\":0.5,\"distanceIn\":38,\"overallIn\":96}";
            default -> throw new IllegalArgumentException(kind);
        };
    }

    /** A whole exercise; {@code more} is what else it says, beginning with a comma. */
    public static String exercise(String title, String definition, String more) {
        return """
                {"title":"%s","level":"first","tags":["test"],"conduitLabel":"3/4 EMT","benderLabel":"Bender 4",
                 "definition":%s,"tolerances":%s%s}""".formatted(title, definition, TOLERANCES, more);
    }
}
