package lobrik.server.network;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The addresses at which other devices can reach this machine; they change while it runs. */
@Component
class LanAddresses {

    /** Those of version 4, which every device and person can deal with, in the order of the machine's interfaces. */
    List<InetAddress> now() {
        try {
            return NetworkInterface.networkInterfaces()
                    .filter(LanAddresses::leadsSomewhere)
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(Inet4Address.class::isInstance)
                    .filter(address -> !address.isLoopbackAddress() && !address.isLinkLocalAddress())
                    .toList();
        } catch (SocketException e) {
            return List.of();
        }
    }

    /** As written. */
    static Stream<String> texts(List<InetAddress> addresses) {
        return addresses.stream().map(InetAddress::getHostAddress);
    }

    private static boolean leadsSomewhere(NetworkInterface each) {
        try {
            return each.isUp() && !each.isLoopback() && each.supportsMulticast();
        } catch (SocketException gone) {
            return false;
        }
    }
}
