package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** On the school's network: a phone that is another host than the server, from its first visit on. */
class SharedTest {

    private static final LocatorAssertions.HasTextOptions SENT_IN_TIME =
            new LocatorAssertions.HasTextOptions().setTimeout(20_000);

    /** What a browser calls a server whose certificate nobody vouches for. */
    private static final String NOBODY_VOUCHES = "ERR_CERT_AUTHORITY_INVALID";

    @Test
    void aPhone_learnsToTrust_measuresWithTheCablePulled_andNothingIsLost_butPlainHttpOnlyExplains() throws Exception {
        assumeTrue(TwoHosts.canBeMade(), "hosts are made by root only");
        int plainPort = Launched.freePort();
        try (TwoHosts hosts = TwoHosts.make();
                Launched school = Launched.onHost(
                        hosts.onServer(),
                        PreparedSchool.copy(),
                        "--share",
                        "--plain-port",
                        String.valueOf(plainPort),
                        // A name by which the machine itself is called here without HTTPS.
                        "--public-address",
                        "http://school.test");
                Playwright playwright = playwright()) {
            assertThat(owner(school.server())).isEqualTo("lobrik");
            assertThat(nameAskedFor(hosts, "lobrik.local")).isEqualTo(TwoHosts.SERVER);
            Path home = Files.createTempDirectory("lobrik-phone-");
            trust(playwright, hosts, home, school, plainPort);
            try (Browser phone = browser(playwright, TwoHosts.browser(hosts.onDevice(), home))) {
                measure(hosts, phone, school);
            }
            try (Browser beside = browser(playwright, TwoHosts.browser(hosts.onServer(), home))) {
                screensWorkAtAnAddressThatIsNotSecure(beside, school);
            }
        }
    }

    /** By plain HTTP there is the page that explains and the certificate, and nothing of the school. */
    private static void trust(Playwright playwright, TwoHosts hosts, Path home, Launched school, int plainPort)
            throws Exception {
        String plain = "http://" + TwoHosts.SERVER + ":" + plainPort + "/";
        try (Browser phone = browser(playwright, TwoHosts.browser(hosts.onDevice(), home));
                BrowserContext context = phone.newContext(asPhone())) {
            Page page = context.newPage();
            // Each in a window of its own: what a browser shows of a failure comes a moment later.
            assertThatThrownBy(() -> context.newPage().navigate("http://" + TwoHosts.SERVER + ":" + school.port()))
                    .isInstanceOf(PlaywrightException.class)
                    .hasMessageContaining("ERR_CONNECTION_REFUSED");
            assertThatThrownBy(() -> context.newPage().navigate("https://lobrik.local:8443"))
                    .hasMessageContaining(NOBODY_VOUCHES);
            page.navigate(plain + "api/status");
            assertThat(page.url()).isEqualTo(plain);
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                    .hasText("Lobrik on this network");
            assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                    .isTrue();
            Download download =
                    page.waitForDownload(() -> page.locator("a.take").click());
            Path certificate = home.resolve("lobrik.crt");
            download.saveAs(certificate);
            String fingerprint = HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(certificate)))
                    .toUpperCase(Locale.ROOT);
            assertThat(page.locator(".fingerprint").textContent().replace(" ", ""))
                    .isEqualTo(fingerprint);
            assertThat(page.getByText("https://lobrik.local:8443")).isVisible();
            Path store = Files.createDirectories(home.resolve(".pki/nssdb"));
            Commands.mustRun("certutil", "-N", "--empty-password", "-d", "sql:" + store);
            Commands.mustRun(
                    "certutil", "-A", "-d", "sql:" + store, "-n", "lobrik", "-t", "C,,", "-i", certificate.toString());
        }
    }

    private static void measure(TwoHosts hosts, Browser phone, Launched school) throws IOException {
        List<String> errors = new ArrayList<>();
        try (BrowserContext context = phone.newContext(asPhone())) {
            Page page = context.newPage();
            page.onPageError(errors::add);
            page.navigate("https://lobrik.local:8443/");
            assertThat((Boolean) page.evaluate("() => window.isSecureContext")).isTrue();
            signIn(page, school);
            Bench.giveSaddle(page, "Saddle across the network", "short", "Odile Farrant");
            page.reload();
            assertThat(Bench.row(page, "Odile Farrant")).containsText("Saddle across the network");
            Bench.untilKept(page, "Saddle across the network");
            hosts.pullTheCable();
            Bench.row(page, "Odile Farrant").getByText("Measure").click();
            Bench.type(page, "Height", "4");
            Bench.type(page, "Flat", "12 9/16");
            page.reload();
            Bench.type(page, "Landing", "34");
            Bench.type(page, "Far-end kick", "1/16");
            Bench.untilReady(page, "Dog leg");
            assertThat(page.getByTestId("waiting")).hasAttribute("data-count", "5");
            hosts.putItInAgain();
            Bench.type(page, "Dog leg", "1");
            Bench.type(page, "Overall", "92 1/8");
            assertThat(page.getByTestId("waiting")).hasText("Everything is saved", SENT_IN_TIME);
            page.getByText("See the verdict").click();
            assertThat(page.getByTestId("score")).containsText("of 100");
            page.reload();
            Bench.record(page);
            assertThat(page.getByLabel("Readings as taken")
                            .getByRole(AriaRole.LISTITEM)
                            .locator("span:first-child .figures"))
                    .hasText(new String[] {"4", "12 9/16", "34", "1/16", "1", "92 1/8"});
        }
        assertThat(errors).isEmpty();
    }

    /** All but what browsers keep for secure addresses, and that is said. */
    private static void screensWorkAtAnAddressThatIsNotSecure(Browser beside, Launched school) {
        List<String> errors = new ArrayList<>();
        try (BrowserContext context = beside.newContext(asPhone())) {
            Page page = context.newPage();
            page.onPageError(errors::add);
            page.navigate("http://school.test:" + school.port() + "/");
            assertThat((Boolean) page.evaluate("() => window.isSecureContext")).isFalse();
            page.getByText("This address is not secure").click();
            assertThat(page.getByText("Open it at")).containsText("https://lobrik.local:8443");
            signIn(page, school);
            Bench.button(page, "This address is not secure").click();
            assertThat(page.getByText("does not keep Lobrik")).isVisible();
            Bench.button(page, "Close").click();
            School.go(page, "/set");
            page.getByLabel("Bend", new Page.GetByLabelOptions().setExact(true)).waitFor();
            School.toTheFloor(page);
            Bench.giveSaddle(page, "Saddle in plain sight", "short", "Wilf Okonde");
            page.reload();
            Bench.row(page, "Wilf Okonde").getByText("Measure").click();
            Bench.type(page, "Height", "4");
            assertThat(page.getByTestId("waiting")).hasText("Everything is saved", SENT_IN_TIME);
        }
        assertThat(errors).isEmpty();
    }

    private static void signIn(Page page, Launched school) {
        page.getByLabel("Name").fill("dessa");
        page.getByLabel("Password").fill(school.password());
        Bench.button(page, "Sign in").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Floor"))
                .waitFor();
    }

    private static Playwright playwright() {
        return Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    }

    /** Names are resolved as the network would: browsers here do not ask it themselves. */
    private static Browser browser(Playwright playwright, Path program) {
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(program)
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                "--host-resolver-rules=MAP lobrik.local " + TwoHosts.SERVER
                                        + ",MAP school.test 127.0.0.1")));
    }

    private static Browser.NewContextOptions asPhone() {
        return new Browser.NewContextOptions().setViewportSize(390, 844).setAcceptDownloads(true);
    }

    private static String nameAskedFor(TwoHosts hosts, String name) throws IOException {
        List<String> command = new ArrayList<>(hosts.onDevice());
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                Path.of("target", "test-classes").toAbsolutePath().toString(),
                AskName.class.getName(),
                "lan",
                name));
        Process asked = new ProcessBuilder(command).redirectErrorStream(true).start();
        return new String(asked.getInputStream().readAllBytes()).strip();
    }

    private static String owner(ProcessHandle process) {
        return process.info().user().orElseThrow();
    }
}
