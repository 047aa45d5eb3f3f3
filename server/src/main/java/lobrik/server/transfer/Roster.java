package lobrik.server.transfer;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.TurnedDown;
import lobrik.server.transfer.RosterTable.Mapping;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a roster in from a table: shown first with everything that is wrong, then added whole or not at all. */
@Service
public class Roster {

    /**
     * A table, and which of its columns say what.
     *
     * @param text comma, semicolon or tab separated, with a line of names at the top
     * @param mapping null for what the names suggest
     * @param cohortId for rows that name no cohort
     * @param newCohorts whether a cohort that is not there yet is started
     */
    record RosterFile(
            @Nullable String text,
            @Nullable Mapping mapping,
            @Nullable UUID cohortId,
            @Nullable Boolean newCohorts) {}

    /**
     * What a table comes to.
     *
     * @param columns their names
     * @param mapping that was used
     * @param wrong how many rows cannot be taken in; nothing is while there is one
     */
    record RosterView(
            List<String> columns, Mapping mapping, List<RosterRow> rows, int wrong, List<String> newCohorts) {}

    /**
     * A row.
     *
     * @param line of the file, from 1
     * @param bench its own, or the next free one
     * @param problems what is wrong with it, each with what to do
     */
    record RosterRow(
            long line,
            String name,
            @Nullable String number,
            String cohort,
            @Nullable Integer bench,
            List<String> problems) {}

    private static final int LONGEST_NAME = 100;
    private static final int LONGEST_NUMBER = 40;
    private static final int MOST_BENCHES = 999;

    private final Cohorts cohorts;

    Roster(Cohorts cohorts) {
        this.cohorts = cohorts;
    }

    /** What the table would come to. */
    @Transactional(readOnly = true)
    RosterView preview(SignedIn who, RosterFile file) {
        return read(who, file).view();
    }

    /**
     * Takes the table in.
     *
     * @return what was added
     * @throws TurnedDown if any row is wrong: then nothing is added
     */
    @Transactional
    public RosterView add(SignedIn who, UUID key, RosterFile file) {
        Checked checked = read(who, file);
        RosterView view = checked.view();
        if (view.wrong() > 0) {
            throw TurnedDown.badInput(
                    "/text",
                    "rows-wrong",
                    view.wrong() + (view.wrong() == 1 ? " row is" : " rows are") + " wrong; nothing was added");
        }
        Map<String, UUID> ids = new HashMap<>();
        checked.known().forEach((name, cohort) -> ids.put(name, cohort.id()));
        for (String name : view.newCohorts()) {
            UUID id = UUID.nameUUIDFromBytes((key + name).getBytes(StandardCharsets.UTF_8));
            ids.put(
                    RosterTable.folded(name),
                    cohorts.start(who, id, name, List.of()).id());
        }
        for (RosterRow row : view.rows()) {
            UUID cohort = ids.get(RosterTable.folded(row.cohort()));
            Integer bench = row.bench();
            if (cohort != null && bench != null) {
                cohorts.enrol(who, cohort, row.name(), bench, row.number());
            }
        }
        return view;
    }

    private record Checked(RosterView view, Map<String, Cohort> known) {}

    private Checked read(SignedIn who, RosterFile file) {
        RosterTable table = RosterTable.of(file.text());
        List<String> columns = table.columns();
        Mapping mapping = file.mapping() == null ? table.suggested() : file.mapping();
        if (mapping.name() == null) {
            return new Checked(new RosterView(columns, mapping, List.of(), 0, List.of()), Map.of());
        }
        Map<String, Cohort> known = cohorts.visibleTo(who).stream()
                .collect(Collectors.toMap(
                        cohort -> RosterTable.folded(cohort.name()), Function.identity(), (one, other) -> one));
        Check check = new Check(who, file, mapping, known);
        List<RosterRow> rows = table.rows().stream().map(check::row).toList();
        int wrong = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new Checked(new RosterView(columns, mapping, rows, wrong, List.copyOf(check.newCohorts)), known);
    }

    /** Looks at one row after the other, and remembers what the ones before have taken. */
    private final class Check {

        private final SignedIn who;
        private final RosterFile file;
        private final Mapping mapping;
        private final Map<String, Cohort> known;
        private final Map<String, Set<Integer>> benches = new HashMap<>();
        private final Map<String, Map<String, Boolean>> names = new HashMap<>();
        private final Map<String, String> numbers = new HashMap<>();
        private final List<String> newCohorts = new ArrayList<>();

        Check(SignedIn who, RosterFile file, Mapping mapping, Map<String, Cohort> known) {
            this.who = who;
            this.file = file;
            this.mapping = mapping;
            this.known = known;
            Set<UUID> seen = cohorts.visibleTo(who).stream().map(Cohort::id).collect(Collectors.toSet());
            for (Trainee trainee : cohorts.numbered(who)) {
                // A number is one person's in the whole school; whose it is, not everybody may know.
                numbers.put(
                        String.valueOf(trainee.number()),
                        seen.contains(trainee.cohortId()) ? trainee.fullName() : "somebody of another cohort");
            }
        }

        RosterRow row(CSVRecord record) {
            List<String> problems = new ArrayList<>();
            String name = RosterTable.cell(record, mapping.name());
            String number = RosterTable.cell(record, mapping.number());
            String cohort = cohort(record, problems);
            requireName(name, !number.isEmpty(), cohort, problems);
            requireNumber(number, name, problems);
            Integer bench = bench(RosterTable.cell(record, mapping.bench()), cohort, problems);
            return new RosterRow(
                    record.getRecordNumber(),
                    name,
                    number.isEmpty() ? null : number,
                    cohort,
                    bench,
                    List.copyOf(problems));
        }

        private String cohort(CSVRecord record, List<String> problems) {
            String named = RosterTable.cell(record, mapping.cohort());
            if (named.isEmpty()) {
                Optional<Cohort> chosen = known.values().stream()
                        .filter(cohort -> cohort.id().equals(file.cohortId()))
                        .findFirst();
                if (chosen.isEmpty()) {
                    problems.add("It names no cohort: choose one for rows that name none");
                }
                return chosen.map(Cohort::name).orElse("");
            }
            String key = RosterTable.folded(named);
            if (known.containsKey(key)
                    || newCohorts.stream()
                            .anyMatch(each -> RosterTable.folded(each).equals(key))) {
                return named;
            }
            if (!Boolean.TRUE.equals(file.newCohorts())) {
                problems.add("There is no cohort “" + named + "”: mend the name, or start new cohorts");
            } else if (isPlain(named, LONGEST_NAME)) {
                newCohorts.add(named);
            } else {
                problems.add("“" + named + "” cannot be the name of a cohort");
            }
            return named;
        }

        /** Two of one name in a cohort are two people only where each has a number. */
        private void requireName(String name, boolean numbered, String cohort, List<String> problems) {
            if (name.isEmpty()) {
                problems.add("The name is missing");
                return;
            }
            if (!isPlain(name, LONGEST_NAME)) {
                problems.add(
                        "A name has at most " + LONGEST_NAME + " characters, neither < nor > nor control characters");
                return;
            }
            Map<String, Boolean> there = numberedNames(cohort);
            boolean isNew = !there.containsKey(RosterTable.folded(name));
            if (!there.merge(RosterTable.folded(name), numbered, Boolean::logicalAnd) && !isNew) {
                problems.add("“" + name + "” is in this cohort already: leave the row out, or, if it is somebody else,"
                        + " give each of the two a number");
            }
        }

        private void requireNumber(String number, String name, List<String> problems) {
            if (number.isEmpty()) {
                return;
            }
            if (!isPlain(number, LONGEST_NUMBER)) {
                problems.add("A number has at most " + LONGEST_NUMBER + " plain characters");
                return;
            }
            String other = numbers.putIfAbsent(number, name);
            if (other != null) {
                problems.add("The number " + number + " belongs to " + other + " already");
            }
        }

        private @Nullable Integer bench(String typed, String cohort, List<String> problems) {
            Set<Integer> occupied = occupied(cohort);
            if (typed.isEmpty()) {
                int free = IntStream.rangeClosed(1, MOST_BENCHES)
                        .filter(each -> !occupied.contains(each))
                        .findFirst()
                        .orElse(MOST_BENCHES);
                occupied.add(free);
                return free;
            }
            if (!typed.matches("[0-9]{1,3}") || Integer.parseInt(typed) < 1) {
                problems.add("“" + typed + "” is no bench: give a number from 1 to " + MOST_BENCHES + ", or nothing");
                return null;
            }
            int bench = Integer.parseInt(typed);
            if (!occupied.add(bench)) {
                problems.add(
                        "Bench " + bench + " is taken in this cohort: give another, or nothing for the next free one");
            }
            return bench;
        }

        private Set<Integer> occupied(String cohort) {
            return benches.computeIfAbsent(
                    RosterTable.folded(cohort),
                    key -> present(key).stream().map(Trainee::bench).collect(Collectors.toCollection(HashSet::new)));
        }

        /** Of a cohort, the names of everybody, and whether whoever has one has a number. */
        private Map<String, Boolean> numberedNames(String cohort) {
            return names.computeIfAbsent(RosterTable.folded(cohort), key -> {
                Map<String, Boolean> there = new HashMap<>();
                present(key)
                        .forEach(trainee -> there.merge(
                                RosterTable.folded(trainee.fullName()), trainee.number() != null, Boolean::logicalAnd));
                return there;
            });
        }

        private List<Trainee> present(String cohort) {
            Cohort found = known.get(cohort);
            return found == null ? List.of() : cohorts.trainees(who, found.id());
        }
    }

    private static boolean isPlain(String text, int longest) {
        return text.length() <= longest
                && text.chars().noneMatch(c -> c == '<' || c == '>' || Character.isISOControl(c));
    }
}
