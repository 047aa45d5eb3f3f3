package lobrik.server.account;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lobrik.server.platform.WireJson;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What differs between two states of something that is kept as JSON, part by part. */
public final class Differences {

    private static final int LONGEST = 120;

    private Differences() {}

    /**
     * What became of each part of something.
     *
     * @param before as it was; null if it is new
     * @param after as it is; null if it is no more
     */
    public static List<Audit.Change> between(@Nullable Object before, @Nullable Object after) {
        List<Audit.Change> changes = new ArrayList<>();
        compare("", tree(before), tree(after), changes);
        return changes;
    }

    private static @Nullable JsonNode tree(@Nullable Object state) {
        return state == null ? null : WireJson.mapper().valueToTree(state);
    }

    private static void compare(
            String path, @Nullable JsonNode before, @Nullable JsonNode after, List<Audit.Change> changes) {
        JsonNode was = before == null || before.isNull() ? null : before;
        JsonNode is = after == null || after.isNull() ? null : after;
        boolean object = (was == null || was.isObject()) && (is == null || is.isObject());
        if (object && !(was == null && is == null)) {
            Set<String> names = new LinkedHashSet<>();
            if (was != null) {
                names.addAll(was.propertyNames());
            }
            if (is != null) {
                names.addAll(is.propertyNames());
            }
            for (String name : names) {
                compare(
                        path.isEmpty() ? name : path + " " + name,
                        was == null ? null : was.get(name),
                        is == null ? null : is.get(name),
                        changes);
            }
        } else if (was == null ? is != null : !was.equals(is)) {
            changes.add(new Audit.Change(path, words(was), words(is)));
        }
    }

    private static @Nullable String words(@Nullable JsonNode value) {
        if (value == null) {
            return null;
        }
        String words = value.isValueNode() ? value.asString() : value.toString();
        return words.length() <= LONGEST ? words : words.substring(0, LONGEST) + "…";
    }
}
