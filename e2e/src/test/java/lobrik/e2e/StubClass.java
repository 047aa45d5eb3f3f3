package lobrik.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A cohort whose trainees were all given the same stub, made over HTTP. */
record StubClass(String cohort, List<Sheet> sheets) {

    /** A trainee's part of it. */
    record Sheet(String traineeId, String assignmentId, String code) {}

    /** What is read of the stub, and what of it is right. */
    static final List<Map.Entry<String, String>> RIGHT = List.of(
            Map.entry("mark1", "11 5/8"),
            Map.entry("leg", "17 5/8"),
            Map.entry("angle1", "90"),
            Map.entry("otherLeg", "22"));

    /** Begins one with so many trainees. */
    static StubClass begin(Visitor instructor, String name, int trainees) throws IOException {
        String cohort = UUID.randomUUID().toString();
        JsonArray names = new JsonArray();
        for (int i = 1; i <= trainees; i++) {
            names.add(name + ", " + i);
        }
        JsonObject started = new JsonObject();
        started.addProperty("name", name + " " + cohort);
        started.add("trainees", names);
        put(instructor, "/api/cohorts/" + cohort, started.toString());
        JsonObject given = put(instructor, "/api/givings/" + UUID.randomUUID(), """
                {"exercise":{"title":"Up from the box","conduitLabel":"3/4 EMT","benderLabel":"Bender 4",
                  "definition":{"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
                   "bender":{"takeUpIn":6,"radiusIn":5.125},
                   "bend":{"kind":"stub90","legIn":17.625,"otherLegIn":22,"placement":"arrow"}},
                  "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":{"cohortId":"%s"}}""".formatted(cohort));
        List<Sheet> sheets = new ArrayList<>();
        for (JsonElement each : given.getAsJsonArray("sheets")) {
            JsonObject sheet = each.getAsJsonObject();
            sheets.add(new Sheet(
                    sheet.get("traineeId").getAsString(),
                    sheet.get("assignmentId").getAsString(),
                    sheet.get("code").getAsString()));
        }
        return new StubClass(cohort, List.copyOf(sheets));
    }

    private static JsonObject put(Visitor who, String path, String body) throws IOException {
        Visitor.Answer answer = who.send("PUT", path, "application/json", body.getBytes(StandardCharsets.UTF_8));
        if (answer.status() != 200) {
            throw new IOException(path + ": " + answer);
        }
        return answer.json().getAsJsonObject();
    }
}
