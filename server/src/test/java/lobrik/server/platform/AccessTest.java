package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.http.HttpMethod;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The access rule of every endpoint that there is, also of those that somebody adds and forgets to think about. */
@ExtendWith(RunningServer.class)
class AccessTest {

    /**
     * Who may call what: the lead, an instructor, an assistant, an auditor, a trainee with an account. What is open keeps nothing;
     * to some a code is the key, which nobody can guess.
     */
    private static final String TABLE = """
            PUT    /api/absences/{id}                           L I - - -
            DELETE /api/absences/{id}                           L I - - -
            DELETE /api/assignments/{id}                        L I - - -
            GET    /api/attempts/{id}                           L I A U -
            PUT    /api/attempts/{id}                           L I A - -
            GET    /api/attempts/{id}/comparison                L I A U -
            PUT    /api/attempts/{id}/facts/{key}               L I A - -
            GET    /api/attempts/{id}/judgement                 L I A U -
            PUT    /api/attempts/{id}/photos/{key}              L I A - -
            GET    /api/attempts/{id}/photos/{photoId}          L I A U -
            PUT    /api/attempts/{id}/readings/{key}            L I A - -
            PUT    /api/attempts/{id}/seals/{key}               L I A - -
            PUT    /api/attempts/{id}/set-aside/{recordId}      L I A - -
            PUT    /api/attempts/{id}/steps/{key}               L I A - -
            GET    /api/attempts/{id}/verdict.pdf               L I A U -
            GET    /api/audit                                   L - - U -
            GET    /api/audit.csv                               L - - U -
            GET    /api/audit/chain                             L - - U -
            GET    /api/benches/{code}                          code
            GET    /api/benches/{code}/answer                   code
            PUT    /api/benches/{code}/figures/{key}            code
            GET    /api/benches/{code}/hints                    code
            PUT    /api/benches/{code}/looks/{key}              code
            PUT    /api/benches/{code}/steps/{key}              code
            GET    /api/benders                                 L I A U -
            PUT    /api/benders/{id}                            L - - - -
            PUT    /api/benders/{id}/state                      L I - - -
            PUT    /api/conduits/{id}                           L - - - -
            PUT    /api/conduits/{id}/put-away                  L - - - -
            GET    /api/benders/{id}/class                      L I A U -
            GET    /api/benders/comparison                      L I A U -
            GET    /api/benders/points                          L I A U -
            PUT    /api/benders/points                          L - - - -
            PUT    /api/benders/{id}/revisions/{key}            L - - - -
            POST   /api/calc/bending                            open
            POST   /api/calc/calibration                        open
            POST   /api/calc/clearance                          open
            POST   /api/calc/compare                            open
            POST   /api/calc/diagnose                           open
            POST   /api/calc/divide                             open
            POST   /api/calc/drawing                            open
            GET    /api/calc/kinds                              open
            POST   /api/calc/layout                             open
            POST   /api/calc/machine-tests                      open
            POST   /api/calc/offset-of-marks                    open
            POST   /api/calc/parallel-runs                      open
            POST   /api/calc/quantity                           open
            POST   /api/calc/rearrange                          open
            POST   /api/calc/score                              open
            POST   /api/calc/simulate                           open
            GET    /api/calc/tables                             open
            POST   /api/calc/tooling                            open
            POST   /api/calc/why                                open
            GET    /api/calendar-feeds                          L I A U -
            POST   /api/calendar-feeds                          L I A U -
            DELETE /api/calendar-feeds/{id}                     L I A U -
            GET    /api/calendars/{key}                         code
            GET    /api/class-sessions                          L I A U -
            POST   /api/class-sessions/check                    L I - - -
            GET    /api/class-sessions/{id}                     L I A U -
            PUT    /api/class-sessions/{id}                     L I - - -
            DELETE /api/class-sessions/{id}                     L I - - -
            PUT    /api/class-sessions/{id}/arrangement         L I - - -
            PUT    /api/class-sessions/{id}/attendance/{traineeId} L I A - -
            PUT    /api/class-sessions/{id}/begun               L I - - -
            GET    /api/class-sessions/{id}/conduit             L I A U -
            PUT    /api/class-sessions/{id}/held                L I - - -
            PUT    /api/class-sessions/{id}/plan                L I - - -
            PUT    /api/class-sessions/{id}/seats/{traineeId}   L I - - -
            GET    /api/cohort-staff                            L - - U -
            GET    /api/cohorts                                 L I A U -
            PUT    /api/cohorts/{id}                            L I - - -
            PUT    /api/cohorts/{id}/end                        L I - - -
            GET    /api/cohorts/{id}/gradebook.csv              L I - U -
            GET    /api/cohorts/{id}/gradebook.xlsx             L I - U -
            GET    /api/cohorts/{id}/kit                        L I A U -
            GET    /api/cohorts/{id}/matrix                     L I A U -
            GET    /api/cohorts/{id}/plan                       L I A U -
            PUT    /api/cohorts/{id}/plans/{key}                L I - - -
            GET    /api/cohorts/{id}/statements.json            L I - U -
            GET    /api/curriculum                              L I A U -
            PUT    /api/curriculum/{id}                         L - - - -
            GET    /api/first-steps                             L - - - -
            GET    /api/floor/{cohortId}                        L I A U -
            GET    /api/floor/{cohortId}/benches                L I A U -
            GET    /api/gauges                                  L I A U -
            DELETE /api/gauges/{id}/claim                       L I A - -
            PUT    /api/gauges/{id}/claim                       L I A - -
            GET    /api/givings                                 L I A U -
            POST   /api/givings/preview                         L I - - -
            DELETE /api/givings/{id}                            L I - - -
            GET    /api/givings/{id}                            L I A U -
            PUT    /api/givings/{id}                            L I - - -
            POST   /api/givings/{id}/prints                     L I A U -
            DELETE /api/groups/{id}                             L I - - -
            PUT    /api/groups/{id}                             L I - - -
            GET    /api/health                                  open
            PUT    /api/holidays/{id}                           L - - - -
            DELETE /api/holidays/{id}                           L - - - -
            GET    /api/invitations/{code}                      code
            PUT    /api/invitations/{code}                      code
            POST   /api/invitation-slips                        L I - - -
            GET    /api/jobs                                    L I A U -
            GET    /api/jobs/of/{assignmentId}                  L I A U -
            GET    /api/jobs/{id}                               L I A U -
            PUT    /api/jobs/{id}                               L I - - -
            GET    /api/jobs/{id}/page.pdf                      L I A U -
            GET    /api/judging-presets                         L I A U -
            DELETE /api/judging-presets/{id}                    L I - - -
            PUT    /api/judging-presets/{id}                    L I - - -
            GET    /api/judging-presets/{id}/versions           L I A U -
            PUT    /api/kept-apart                              L I - - -
            GET    /api/library                                 L I A U -
            GET    /api/library/file                            L I A U -
            POST   /api/library/file                            L I - - -
            POST   /api/library/foresight                       L I A U -
            GET    /api/library/{id}                            L I A U -
            PUT    /api/library/{id}                            L I - - -
            PUT    /api/library/{id}/retirement                 L I - - -
            GET    /api/live                                    L I A U -
            GET    /api/me                                      L I A U T
            GET    /api/me/page                                 - - - - T
            PUT    /api/me/password                             L I A U T
            GET    /api/me/passkeys                             L I A U T
            POST   /api/me/passkeys                             L I A U T
            PUT    /api/me/passkeys                             L I A U T
            DELETE /api/me/passkeys/{passkey}                   L I A U T
            GET    /api/server                                  L - - - -
            POST   /api/session/passkey                         open
            POST   /api/session/passkey/question                open
            GET    /api/me/second-factor                        L I A U T
            POST   /api/me/second-factor                        L I A U T
            PUT    /api/me/second-factor                        L I A U T
            PUT    /api/me/second-factor/ended                  L I A U T
            PUT    /api/leads-confirm                           L - - - -
            DELETE /api/people/{id}/second-factor               L - - - -
            PUT    /api/me/preferences                          L I A U T
            GET    /api/me/record.pdf                           - - - - T
            GET    /api/backups                                 L - - - -
            PUT    /api/backups                                 L - - - -
            POST   /api/backups                                 L - - - -
            POST   /api/backups/rehearsal                       L - - - -
            GET    /api/network                                 L - - - -
            PUT    /api/network                                 L - - - -
            GET    /api/openapi.json                            open
            GET    /api/own/{code}                              code
            GET    /api/own/{code}/record.pdf                   code
            GET    /api/people                                  L - - U -
            PUT    /api/people/{id}                             L - - - -
            PUT    /api/people/{id}/cohorts                     L - - - -
            PUT    /api/people/{id}/disabled                    L - - - -
            PUT    /api/people/{id}/invitation                  L - - - -
            PUT    /api/people/{id}/role                        L - - - -
            GET    /api/people/{id}/sessions                    L - - - -
            DELETE /api/people/{id}/sessions/{session}          L - - - -
            DELETE /api/prints/{id}                             L I A U -
            GET    /api/prints/{id}                             L I A U -
            GET    /api/prints/{id}/file                        L I A U -
            GET    /api/readings-columns.csv                    L I A U -
            GET    /api/readings.csv                            L I - U -
            POST   /api/roster/preview                          L I - - -
            PUT    /api/roster/{key}                            L I - - -
            GET    /api/run-rules                               L I A U -
            PUT    /api/run-rules                               L I - - -
            DELETE /api/session                                 L I A U T
            POST   /api/session                                 open
            DELETE /api/sessions                                L I A U T
            GET    /api/sessions                                L I A U T
            DELETE /api/sessions/{session}                      L I A U T
            GET    /api/shed                                    L I A U -
            GET    /api/shed/labels.pdf                         L I A U -
            PUT    /api/rooms/{id}                              L - - - -
            GET    /api/rota/{cohortId}                         L I A U -
            PUT    /api/rota/{cohortId}                         L I - - -
            POST   /api/rota/{cohortId}/proposal                L I - - -
            GET    /api/rota/{cohortId}/wishes                  L I A U -
            GET    /api/stock                                   L I A U -
            PUT    /api/stock/{conduitId}                       L - - - -
            GET    /api/stock/{conduitId}/entries               L I A U -
            PUT    /api/stock/{conduitId}/entries/{id}          L I - - -
            GET    /api/stock-use                               L I A U -
            GET    /api/studies                                 L I A U -
            PUT    /api/studies/{id}                            L - - - -
            DELETE /api/studies/{id}                            L - - - -
            GET    /api/studies/{id}/turn                       L I A - -
            POST   /api/studies/{id}/figures                    L I A - -
            POST   /api/studies/{id}/close                      L - - - -
            GET    /api/studies/{id}/results                    L I A U -
            PUT    /api/reading-spread                          L - - - -
            GET    /api/timetable/setting                       L I A U -
            GET    /api/shed/benders/{id}/card                  L I A U -
            GET    /api/kept-cohorts                            L I A U -
            PUT    /api/cohorts/{id}/year                       L I - - -
            GET    /api/trainees                                L I A U -
            PUT    /api/trainees/{id}                           L I - - -
            PUT    /api/trainees/{id}/particulars               L I - - -
            GET    /api/trainees/{id}/portrait                  L I A U -
            PUT    /api/trainees/{id}/portrait                  L I - - -
            DELETE /api/trainees/{id}/portrait                  L I - - -
            PUT    /api/trainees/{id}/place                     L I - - -
            PUT    /api/trainees/{id}/left                      L I - - -
            PUT    /api/year-changes                            L - - - -
            GET    /api/retention                               L - - U -
            PUT    /api/retention/{kind}                        L - - - -
            GET    /api/retention/{kind}/preview                L - - - -
            POST   /api/retention/{kind}/runs                   L - - - -
            GET    /api/school                                  L I A U -
            GET    /api/school/file                             L - - - -
            PUT    /api/school/file                             L - - - -
            PUT    /api/school                                  L - - - -
            PUT    /api/school/logo                             L - - - -
            DELETE /api/school/logo                             L - - - -
            GET    /api/school/logo                             L I A U -
            GET    /api/sheet-codes                             L I A U -
            PUT    /api/sheet-codes                             L - - - -
            POST   /api/sheets/blank                            L I A U -
            GET    /api/sheets/{code}                           L I A U -
            GET    /api/sign-off-rules                          L I A U -
            POST   /api/sign-off-rules/effect                   L I A U -
            PUT    /api/sign-off-rules/{id}                     L - - - -
            PUT    /api/sign-offs/{id}/withdrawal               L I - - -
            GET    /api/status                                  open
            PUT    /api/trainees/{id}/account                   L I - - -
            GET    /api/trainees/{id}/attendance                L I A U -
            PUT    /api/trainees/{id}/erasures/{key}            L - - - -
            GET    /api/trainees/{id}/everything.json           L I - U -
            DELETE /api/trainees/{id}/keys                      L I - - -
            PUT    /api/trainees/{id}/keys/{key}                L I - - -
            GET    /api/trainees/{id}/progress                  L I A U -
            GET    /api/trainees/{id}/record.pdf                L I A U -
            PUT    /api/trainees/{id}/sign-offs/{key}           L I - - -
            PUT    /api/wall                                    L - - - -
            """;

    private static final List<String> ROLES = List.of("LEAD", "INSTRUCTOR", "ASSISTANT", "AUDITOR", "TRAINEE");

    private static final String OPEN = "open";
    private static final String BY_CODE = "code";

    /** Ends the session with which the next row would be tried. */
    private static final Set<String> ENDS_THE_SESSION = Set.of("DELETE /api/session", "DELETE /api/sessions");

    private static Map<String, String> table() {
        Map<String, String> rules = new TreeMap<>();
        TABLE.lines().forEach(line -> {
            String[] parts = line.strip().split("\\s+", 3);
            rules.put(parts[0] + " " + parts[1], parts[2]);
        });
        return rules;
    }

    private static Set<String> endpoints(RunningServer.Address server) {
        Set<String> endpoints = new TreeSet<>();
        server.context()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()
                .forEach(mapping -> {
                    for (String pattern : mapping.getPatternValues()) {
                        if (pattern.startsWith("/api/") && !pattern.endsWith(".yaml")) {
                            for (RequestMethod method :
                                    mapping.getMethodsCondition().getMethods()) {
                                endpoints.add(method + " " + pattern);
                            }
                        }
                    }
                });
        return endpoints;
    }

    @Test
    void table_namesEveryEndpointThatThereIs(RunningServer.Address server) {
        Set<String> served = endpoints(server);
        served.add("GET /api/openapi.json");
        assertThat(table().keySet()).hasSizeGreaterThan(100).containsExactlyInAnyOrderElementsOf(served);
    }

    @Test
    void withoutAnAccount_onlyWhatIsOpenAnswers(RunningServer.Address server) {
        Client stranger = new Client(server);
        table().forEach((endpoint, rule) -> {
            // Signing out takes the token with it.
            stranger.get("/api/status");
            int status = call(stranger, endpoint, Map.of()).status();
            switch (rule) {
                // As many wrong codes as other tests try at this address may be too many.
                case BY_CODE -> assertThat(status).as(endpoint).isIn(400, 404, 429);
                case OPEN -> {
                    if (!endpoint.equals("POST /api/session")) {
                        assertThat(status).as(endpoint).isIn(200, 400);
                    }
                }
                default -> assertThat(status).as(endpoint).isEqualTo(401);
            }
        });
    }

    @Test
    void everyRole_mayCallWhatTheTableSays_andNothingElse(RunningServer.Address server) {
        UUID school = server.school();
        for (int role = 0; role < ROLES.size(); role++) {
            String account = server.account(school, ROLES.get(role));
            Client client = Client.byPassword(server, account);
            for (Map.Entry<String, String> row : table().entrySet()) {
                String endpoint = row.getKey();
                if (row.getValue().equals(BY_CODE)) {
                    continue;
                }
                int status = call(client, endpoint, Map.of()).status();
                String as = endpoint + " as " + ROLES.get(role);
                if (row.getValue().equals(OPEN)) {
                    assertThat(status).as(as).isNotIn(403, 500);
                } else if (row.getValue().split("\\s+")[role].equals("-")) {
                    assertThat(status).as(as).isEqualTo(403);
                } else {
                    assertThat(status).as(as).isNotIn(401, 403, 500);
                }
                if (ENDS_THE_SESSION.contains(endpoint) || status == 401) {
                    client = Client.byPassword(server, account);
                }
            }
        }
    }

    @Test
    void everyRoleOfAnotherSchool_findsNothingOfThisOne(RunningServer.Address server) {
        Map<String, String> ids = server.idsOfTheDemoSchool();
        UUID other = server.school();
        for (String role : ROLES) {
            String account = server.account(other, role);
            Client client = Client.byPassword(server, account);
            for (Map.Entry<String, String> row : table().entrySet()) {
                String endpoint = row.getKey();
                if (row.getValue().equals(OPEN)
                        || row.getValue().equals(BY_CODE)
                        || ENDS_THE_SESSION.contains(endpoint)) {
                    continue;
                }
                Client.Answer answer = call(client, endpoint, ids);
                String as = endpoint + " as " + role + " of another school";
                String said = answer.response().body();
                if (endpoint.equals("GET /api/jobs/of/{assignmentId}") && answer.status() == 200) {
                    assertThat(answer.at("/jobId").isNull()).as(as).isTrue();
                } else if (endpoint.startsWith("GET") && endpoint.contains("{")) {
                    assertThat(answer.status()).as(as).isIn(400, 403, 404);
                } else if (endpoint.contains("{id}")) {
                    assertThat(answer.status()).as(as).isIn(400, 403, 404, 409);
                }
                assertThat(said).as(as).doesNotContain("Tern Quay", "Runa Tolvane", "Oskar Brindlemay", "Second year");
            }
        }
    }

    private static Client.Answer call(Client client, String endpoint, Map<String, String> ids) {
        String[] parts = endpoint.split(" ");
        String path = parts[1];
        for (Map.Entry<String, String> id : ids.entrySet()) {
            if (path.startsWith(id.getKey())) {
                path = id.getKey() + path.substring(id.getKey().length()).replaceFirst("\\{\\w+}", id.getValue());
            }
        }
        path = path.replaceAll("\\{\\w+}", UUID.randomUUID().toString());
        return client.call(HttpMethod.valueOf(parts[0]).name(), path, "{}");
    }

    @Test
    void writingWithoutTheTokenAgainstForgery_isRefused(RunningServer.Address server) {
        assertThat(new Client(server)
                        .post("/api/session", "{\"name\":\"runa\",\"password\":\"" + "x" + "\"}")
                        .status())
                .isEqualTo(403);
    }

    @Test
    void answers_carryAStrictContentPolicy(RunningServer.Address server) {
        var headers = new Client(server).get("/api/status").response().headers();
        assertThat(headers.firstValue("content-security-policy").orElseThrow())
                .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(headers.firstValue("x-content-type-options")).contains("nosniff");
    }

    @Test
    void placesOfTheClient_areServedItsPage_butUnknownFilesAndCallsAreNot(RunningServer.Address server) {
        Client client = Client.signedIn(server, "runa");
        assertThat(client.get("/progress/abc").response().body()).contains("<div id=\"root\">");
        assertThat(client.get("/no-such-file.js").status()).isEqualTo(404);
        assertThat(client.get("/api/no-such-call").status()).isEqualTo(404);
        assertThat(client.get("/api/no-such-call").contentType()).startsWith("application/problem+json");
        assertThat(client.get("/api/attempts/not-an-id").status()).isEqualTo(400);
    }
}
