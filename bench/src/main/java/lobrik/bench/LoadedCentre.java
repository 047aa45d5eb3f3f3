package lobrik.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The cohorts and trainees that {@code ./lobrik load} made, of which one is drawn at random so that hardly any page was asked for before.
 *
 * @param cohorts their ids
 * @param trainees their ids
 */
record LoadedCentre(List<String> cohorts, List<String> trainees) {

    private static final Pattern TRAINEE = Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"fullName\":\"Trainee \\d+\"");
    private static final Pattern COHORT =
            Pattern.compile("\\{\"id\":\"([0-9a-f-]{36})\",\"name\":\"Load \\d+, (?:seed, )?\\d+\"");

    /** Throws if nothing was loaded there. */
    static LoadedCentre of(Caller caller) throws IOException, InterruptedException {
        String all = caller.get("/api/cohorts");
        LoadedCentre found = new LoadedCentre(ids(COHORT, all), ids(TRAINEE, all));
        if (found.cohorts.isEmpty() || found.trainees.isEmpty()) {
            throw new IOException("nothing was loaded there; fill the school with ./lobrik load first");
        }
        return found;
    }

    static String any(List<String> ids, SplittableRandom random) {
        return ids.get(random.nextInt(ids.size()));
    }

    private static List<String> ids(Pattern pattern, String text) {
        List<String> ids = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            ids.add(matcher.group(1));
        }
        return ids;
    }
}
