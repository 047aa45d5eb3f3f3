package lobrik.server.network;

import java.io.IOException;
import java.net.InetAddress;
import java.util.ArrayList;
import java.util.List;
import javax.jmdns.JmDNS;
import javax.jmdns.ServiceInfo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Answers on the local network to whoever asks who has our name (multicast DNS, RFC 6762), and says that there is a site. */
final class MulticastName {

    private static final Logger LOG = LoggerFactory.getLogger(MulticastName.class);
    private static final String SITE = "_https._tcp.local.";

    private final String name;
    private final List<JmDNS> answering;

    private MulticastName(String name, List<JmDNS> answering) {
        this.name = name;
        this.answering = List.copyOf(answering);
    }

    /** On every network that one of the addresses belongs to; where it cannot, the log says so, and the address works all the same. */
    static MulticastName answer(String name, List<InetAddress> addresses, int securePort) {
        List<JmDNS> answering = new ArrayList<>();
        for (InetAddress address : addresses) {
            try {
                JmDNS here = JmDNS.create(address, name);
                here.registerService(ServiceInfo.create(SITE, "Lobrik at " + name, securePort, "path=/"));
                answering.add(here);
            } catch (IOException e) {
                LOG.warn("The name {}.local cannot be told at {}: {}", name, address.getHostAddress(), e.getMessage());
            }
        }
        return new MulticastName(name, answering);
    }

    /** Whether nobody else on the network had the name before. */
    boolean isOurs() {
        return answering.stream().allMatch(here -> here.getHostName().equalsIgnoreCase(name + ".local."));
    }

    /** Says goodbye, so that devices forget it at once. */
    void close() {
        for (JmDNS here : answering) {
            try {
                here.close();
            } catch (IOException e) {
                LOG.warn("The name {}.local could not be taken back: {}", name, e.getMessage());
            }
        }
    }
}
