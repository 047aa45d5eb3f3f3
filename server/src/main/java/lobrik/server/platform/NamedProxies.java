package lobrik.server.platform;

import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Believes what a proxy says of whom it asks for (address, and whether they came by HTTPS), and only those that whoever starts the
 * server has named: what anybody else puts into the same headers is their own invention. From there on, limits and records are by the
 * address of the phone itself.
 */
@Component
class NamedProxies implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {

    private final Set<String> proxies;

    NamedProxies(@Value("${lobrik.proxies:}") Set<String> proxies) {
        this.proxies = Set.copyOf(proxies);
    }

    @Override
    public void customize(ConfigurableTomcatWebServerFactory factory) {
        if (proxies.isEmpty()) {
            return;
        }
        RemoteIpValve valve = new RemoteIpValve();
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        valve.setInternalProxies(proxies.stream().map(Pattern::quote).collect(Collectors.joining("|")));
        factory.addEngineValves(valve);
    }
}
