package lobrik.e2e;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What the tests of the bench have in common: a piece set for a trainee, and what the server knows of it. */
final class Bench {

    /** Talks to the server as the page does, with its cookies. */
    private static final String FETCH = """
            async ([method, path, body]) => {
              const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '';
              const answer = await fetch(path, { method, body: body === '' ? undefined : body,
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token } });
              return answer.json();
            }""";

    /** Has a trainee have nothing in hand: what is partly measured is ended, the rest is taken off the list. */
    private static final String EMPTY_HANDS = """
            async id => {
              const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '';
              const call = (method, path, body) => fetch(path, { method, body: body && JSON.stringify(body),
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token } });
              const cohorts = await (await fetch('/api/cohorts')).json();
              const cohort = cohorts.find(each => each.trainees.some(trainee => trainee.id === id)).id;
              const { benches } = await (await fetch('/api/floor/' + cohort)).json();
              const bench = benches.find(each => each.traineeId === id);
              const open = bench.state === 'done' || bench.state === 'nothingGiven' ? [] : [bench, ...bench.others];
              for (const { assignmentId } of open) {
                if ((await call('DELETE', '/api/assignments/' + assignmentId)).status !== 409) continue;
                const attempt = await (await call('PUT', '/api/attempts/' + crypto.randomUUID(),
                  { traineeId: id, assignmentId })).json();
                for (const { id: feature } of attempt.features.filter(each => each.state === 'open')) {
                  await call('PUT', '/api/attempts/' + attempt.id + '/readings/' + crypto.randomUUID(),
                    { feature, omitted: 'the piece is gone' });
                }
              }
            }""";

    /** What a trainee has in hand first, as the server knows it. */
    private static final String IN_HAND = """
            async name => {
              for (const { id } of await (await fetch('/api/cohorts')).json()) {
                const { benches } = await (await fetch('/api/floor/' + id)).json();
                const bench = benches.find(each => each.fullName === name);
                if (bench !== undefined) return bench.exerciseTitle;
              }
            }""";

    private static final String SADDLE = """
            {"libraryId":"%s","exercise":{"title":"%s","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","readings":"%s",
              "definition":{"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
                "bender":{"takeUpIn":6,"radiusIn":5.125},
                "bend":{"kind":"saddle4","heightIn":3.25,"clearanceIn":0.75,"angleDeg":30,"widthIn":11.5,
                  "edgeClearanceIn":0.5,"reference":"nearEdge","distanceIn":34,"overallIn":92}},
              "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
             "giveTo":{"traineeIds":["%s"]}}""";

    private static final String STUB_BEND = "\"bend\":{\"kind\":\"stub90\",\"legIn\":17.625,\"otherLegIn\":22}}";

    private static final String OFFSET_BEND = "\"bend\":{\"kind\":\"offset\",\"riseIn\":5,\"clearanceIn\":1,"
            + "\"angleDeg\":30,\"distanceIn\":36,\"layout\":\"beforeObstacle\",\"overallIn\":80}}";

    private static final Keyboard.TypeOptions BY_HAND = new Keyboard.TypeOptions().setDelay(60);

    private Bench() {}

    /** Types a reading by hand, once it is asked for. */
    static void type(Page page, String feature, String text) {
        untilReady(page, feature);
        page.keyboard().type(text, BY_HAND);
        page.keyboard().press("Enter");
    }

    /** Until the browser keeps the application, and this exercise is on disk with the floor's kit. */
    static void untilKept(Page page, String title) {
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        page.evaluate("""
                async title => {
                  const kept = async () => {
                    const open = indexedDB.open('lobrik');
                    const database = await new Promise(done => { open.onsuccess = () => done(open.result); });
                    const request = database.transaction('known').objectStore('known').get('screens');
                    const known = await new Promise(done => { request.onsuccess = () => done(request.result); });
                    database.close();
                    const about = name => JSON.stringify(
                      known?.state.queries.filter(query => query.queryKey[0] === name) ?? []);
                    return about('kit').includes(title) && about('floor').includes(title);
                  };
                  const end = Date.now() + 20_000;
                  while (!(await kept())) {
                    if (Date.now() > end) {
                      throw new Error(title + ' is not kept on the device');
                    }
                    await new Promise(done => setTimeout(done, 100));
                  }
                }""", title);
    }

    @SuppressWarnings("unchecked") // JSON of the server.
    static Map<String, Object> call(Page page, String method, String path, String body) {
        return (Map<String, Object>) page.evaluate(FETCH, new String[] {method, path, body});
    }

    static Locator place(Page page, String name) {
        return page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }

    static Locator bench(Page page, String trainee) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(trainee));
    }

    private static String trainee(Page page, String name) {
        return (String) page.evaluate("""
                async name => (await (await fetch('/api/cohorts')).json())
                  .flatMap(cohort => cohort.trainees).find(trainee => trainee.fullName === name).id""", name);
    }

    /** Has a trainee have nothing in hand; their id. */
    static String withEmptyHands(Page page, String name) {
        String id = trainee(page, name);
        page.evaluate(EMPTY_HANDS, id);
        return id;
    }

    /** Sets a stub for a trainee besides what they have in hand; the code on its sheet. */
    static String giveStubToo(Page page, String title, String trainee) {
        return giveStubTo(page, title, trainee(page, trainee));
    }

    /** Sets a four-point saddle for a trainee; the code on its sheet. */
    static String giveSaddle(Page page, String title, String readings, String trainee) {
        return give(page, SADDLE.formatted(UUID.randomUUID(), title, readings, withEmptyHands(page, trainee)));
    }

    /** Sets a stub for a trainee; the code on its sheet. */
    static String giveStub(Page page, String title, String trainee) {
        return giveStubTo(page, title, withEmptyHands(page, trainee));
    }

    private static String giveStubTo(Page page, String title, String traineeId) {
        String saddle = SADDLE.formatted(UUID.randomUUID(), title, "all", traineeId);
        return give(page, saddle.replaceAll("(?s)\"bend\":\\{\"kind\".*?\\}\\}", STUB_BEND));
    }

    /** Sets an offset of 6 in before an obstacle at 36 in for a trainee, and records a piece of it; its attempt. */
    static String offset(Page page, String title, String trainee, Map<String, String> readings) {
        String saddle = SADDLE.formatted(UUID.randomUUID(), title, "all", withEmptyHands(page, trainee));
        give(page, saddle.replaceAll("(?s)\"bend\":\\{\"kind\".*?\\}\\}", OFFSET_BEND));
        String attempt = (String) call(
                        page,
                        "PUT",
                        "/api/attempts/" + UUID.randomUUID(),
                        "{\"traineeId\":\"" + trainee(page, trainee) + "\"}")
                .get("id");
        readings.forEach((feature, text) -> call(
                page,
                "PUT",
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text
                        + "\",\"bare\":\"in\",\"takenWith\":\"keys\",\"takenAt\":\"2026-11-24T08:00:00Z\"}"));
        return attempt;
    }

    @SuppressWarnings("unchecked")
    private static String give(Page page, String body) {
        Map<String, Object> given = call(page, "PUT", "/api/givings/" + UUID.randomUUID(), body);
        var sheets = (List<Map<String, Object>>) given.get("sheets");
        return (String) sheets.getFirst().get("code");
    }

    /** Opens the piece of a trainee from the floor. */
    static void measure(School.Room room, Page page, String trainee) {
        // Anew, so that what was just given is there; and not before it is: a floor shows at first what was last known
        // of it.
        String title = (String) page.evaluate(IN_HAND, trainee);
        page.navigate(room.lobrik().base() + "/floor");
        Locator row = row(page, trainee).filter(new Locator.FilterOptions().setHasText(title));
        row.getByText("Measure", new Locator.GetByTextOptions().setExact(true)).click();
        page.waitForURL("**/measure/**");
        page.locator("aside").getByText("Not measured…").waitFor();
    }

    static Locator row(Page page, String trainee) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(trainee));
    }

    /** Waits until the field of a feature has the focus. */
    static void untilReady(Page page, String feature) {
        page.waitForFunction(
                "name => (document.activeElement.labels?.[0]?.textContent ?? '').startsWith(name)", feature);
    }

    /**
     * Types like a gauge, whose keys have the time at which it sent them, however long a busy page takes over them: those of
     * Playwright, and those sent by a timer of the page, wait for the page and for the machine.
     */
    static void gaugeTypes(Page page, String text) {
        page.evaluate("""
                async text => {
                  const field = document.activeElement;
                  const key = name => field.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
                  const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
                  for (const letter of text) {
                    key(letter);
                    setValue.call(field, field.value + letter);
                    field.dispatchEvent(new Event('input', { bubbles: true }));
                    await undefined;
                  }
                  key('Enter');
                }""", text);
    }

    /** Turns to what is on record in a verdict. */
    static void record(Page page) {
        page.getByLabel("What to see")
                .getByText("Record", new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
