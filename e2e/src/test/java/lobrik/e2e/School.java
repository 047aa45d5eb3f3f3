package lobrik.e2e;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * The demo school with a browser in front of it, started once for all tests of this process. The processes in which the tests
 * run side by side have a school each, so that they share nothing.
 */
final class School implements BeforeAllCallback, AfterEachCallback, ParameterResolver {

    /** Without windows: much lighter than the whole browser with its windows hidden. */
    static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

    private static final String AXE = script();

    private static final List<String> WCAG = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

    private static final List<String> COLOURS = List.of("color-contrast", "link-in-text-block");

    /** How long what must come may take, in ms: a machine that others use can stand still for seconds. */
    private static final int PATIENCE_MS = 45_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    /** What has the focus, and what is said on a screen. */
    private static final String LEFT = """
            () => [document.activeElement?.outerHTML.slice(0, 300), document.activeElement?.value,
              ...[...document.querySelectorAll('[role=alert],[role=status]')].map(each => each.textContent),
              document.body.innerText.slice(0, 1500)].join('\\n')""";

    /** Opened by the first test; each class may come in a run of the test engine of its own, so none of them closes it. */
    private static Room room;

    /**
     * A running Lobrik and a headless Chromium.
     *
     * @param usual the device that most tests use, one after the other
     * @param resident a page of the usual device that nobody looks at: it keeps the browser's process, and what that compiled of
     *     the application, from one test to the next
     * @param tickets by name, the cookies of those who signed in once
     */
    record Room(
            Launched lobrik,
            Playwright playwright,
            Browser browser,
            BrowserContext usual,
            Page resident,
            Map<String, List<Cookie>> tickets) {

        /** A screen of this size, with nobody signed in. Errors in the page end up in the list. */
        Page screen(int width, int height, String theme, List<String> errors) {
            // A second screen at the same time is another device.
            BrowserContext context =
                    usual.pages().size() == 1 ? usual : browser.newContext(options(ServiceWorkerPolicy.BLOCK));
            return screen(context, width, height, theme, errors);
        }

        /** A tablet that keeps the application for when there is no signal. */
        Page keepingScreen() {
            return screen(browser.newContext(options(ServiceWorkerPolicy.ALLOW)), 1280, 800, "film", new ArrayList<>());
        }

        private static Browser.NewContextOptions options(ServiceWorkerPolicy serviceWorkers) {
            return new Browser.NewContextOptions().setServiceWorkers(serviceWorkers);
        }

        private static Page screen(BrowserContext context, int width, int height, String theme, List<String> errors) {
            context.setDefaultTimeout(PATIENCE_MS);
            Page page = context.newPage();
            page.setViewportSize(width, height);
            page.addInitScript("localStorage.setItem('lobrik-theme', '" + theme + "')");
            page.onPageError(errors::add);
            page.onConsoleMessage(message -> {
                // The browser itself notes every answer that is not 200, such as the one to half a figure.
                boolean turnedDown = message.text().matches("Failed to load resource.*status of 4\\d\\d.*");
                if (message.type().equals("error") && !turnedDown) {
                    errors.add(message.text());
                }
            });
            return page;
        }

        /** A tablet in daylight with somebody signed in, on the floor. */
        Page signedIn(String name, List<String> errors) {
            return signedIn(name, screen(1280, 800, "film", errors));
        }

        /** The first time by the form, then with the session that this began. */
        Page signedIn(String name, Page page) {
            List<Cookie> ticket = tickets.get(name);
            if (ticket == null) {
                signIn(lobrik, name, page);
                tickets.put(name, page.context().cookies());
                return page;
            }
            page.context().addCookies(ticket);
            page.navigate(lobrik.base());
            onTheFloor(page);
            return page;
        }

        /** The same, at once at another place than the floor. */
        Page signedInAt(String place, String name, List<String> errors) {
            List<Cookie> ticket = tickets.get(name);
            if (ticket == null) {
                Page page = signedIn(name, errors);
                page.navigate(lobrik.base() + place);
                return page;
            }
            Page page = screen(1280, 800, "film", errors);
            page.context().addCookies(ticket);
            page.navigate(lobrik.base() + place);
            return page;
        }
    }

    /** Goes on within the application, as a link does: without loading it anew. */
    static void go(Page page, String place) {
        page.evaluate("""
                place => {
                  history.pushState(null, '', place);
                  dispatchEvent(new PopStateEvent('popstate', { state: null }));
                }""", place);
    }

    /** Goes on to the floor, until it is there. */
    static void toTheFloor(Page page) {
        go(page, "/floor");
        onTheFloor(page);
    }

    /** Signs in by the form. */
    static void signIn(Launched lobrik, String name, Page page) {
        page.navigate(lobrik.base());
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill(lobrik.password());
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        onTheFloor(page);
    }

    private static void onTheFloor(Page page) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Floor"))
                .waitFor();
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        room();
    }

    /**
     * Closes all screens: one that is left open listens on, and asks for everything anew whenever somebody writes something
     * down. The usual device forgets what a test left on it, and keeps only what its browser has fetched and compiled of the
     * application.
     */
    @Override
    public void afterEach(ExtensionContext context) {
        Room now = room();
        if (context.getExecutionException().isPresent()) {
            tell(context, now);
        }
        forget(now);
        for (BrowserContext device : List.copyOf(now.browser().contexts())) {
            if (!device.equals(now.usual())) {
                device.close();
            }
        }
    }

    /** What a test that failed left on its screens: a picture of each beside the reports, and its words in the log. */
    private static void tell(ExtensionContext context, Room now) {
        int screens = 0;
        for (BrowserContext device : now.browser().contexts()) {
            for (Page page : device.pages()) {
                if (page.equals(now.resident())) {
                    continue;
                }
                String name = context.getRequiredTestClass().getSimpleName() + "." + context.getDisplayName() + "-"
                        + ++screens;
                Path picture = Path.of("target", "failed", name.replaceAll("[^A-Za-z0-9.-]+", "_") + ".png");
                try {
                    page.screenshot(
                            new Page.ScreenshotOptions().setPath(picture).setTimeout(5_000));
                    System.err.println(picture + ": " + page.url() + "\n" + page.evaluate(LEFT));
                } catch (PlaywrightException e) {
                    System.err.println(picture + " could not be taken: " + e.getMessage());
                }
            }
        }
    }

    private static void forget(Room now) {
        BrowserContext device = now.usual();
        for (Page page : List.copyOf(device.pages())) {
            if (!page.equals(now.resident())) {
                page.close();
            }
        }
        device.setOffline(false);
        device.clearCookies();
        JsonObject everything = new JsonObject();
        everything.addProperty("origin", now.lobrik().base());
        everything.addProperty("storageTypes", "local_storage,indexeddb,cache_storage,service_workers");
        CDPSession session = device.newCDPSession(now.resident());
        session.send("Storage.clearDataForOrigin", everything);
        session.detach();
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Room.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return room();
    }

    private static synchronized Room room() {
        Room now = room;
        if (now == null) {
            Room opened = open();
            // Playwright itself ends with the process; what it must not leave behind is a running school.
            Runtime.getRuntime().addShutdownHook(new Thread(() -> close(opened.lobrik())));
            room = opened;
            return opened;
        }
        return now;
    }

    private static void close(Launched lobrik) {
        try {
            lobrik.close();
        } catch (IOException e) {
            throw new IllegalStateException("The school did not close", e);
        }
    }

    private static Room open() {
        try {
            // For the test that has other devices reach it.
            Launched lobrik = Launched.school(
                    "--secure-port",
                    String.valueOf(Launched.freePort()),
                    "--plain-port",
                    String.valueOf(Launched.freePort()));
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(CHROMIUM)
                            .setArgs(List.of(
                                    "--no-sandbox",
                                    // Pages of one device share a process, as far as the browser lets them.
                                    "--renderer-process-limit=1",
                                    "--disable-gpu",
                                    "--disable-quic",
                                    "--no-first-run",
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync")));
            BrowserContext usual = browser.newContext(Room.options(ServiceWorkerPolicy.BLOCK));
            Page resident = usual.newPage();
            resident.navigate(lobrik.base() + "/api/status");
            return new Room(lobrik, playwright, browser, usual, resident, new HashMap<>());
        } catch (IOException e) {
            throw new IllegalStateException("The school did not open", e);
        }
    }

    /** What is against WCAG 2.2 AA on a page, a line each. */
    static List<String> barriers(Page page) {
        return barriers(page, "html");
    }

    /** The same of a part of a page. */
    static List<String> barriers(Page page, String within) {
        return axe(page, within, WCAG);
    }

    /** What is too faint on a part of a page: all that a change of colours can change. */
    static List<String> faintness(Page page, String within) {
        return axe(page, within, COLOURS);
    }

    /** Axe stays in a page that is looked at twice, and hands out only what is wrong: the rest of its report is long. */
    @SuppressWarnings("unchecked") // Strings of the page.
    private static List<String> axe(Page page, String within, List<String> only) {
        if (!(Boolean) page.evaluate("() => 'axe' in window")) {
            page.evaluate(AXE);
        }
        return (List<String>) page.evaluate("""
                async ([within, only]) => {
                  const found = await axe.run(within, { runOnly: only, resultTypes: ['violations'] });
                  return found.violations.flatMap(rule => rule.nodes.map(node => rule.id + ': ' + node.html));
                }""", List.of(within, only));
    }

    private static String script() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(Objects.requireNonNull(script).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
