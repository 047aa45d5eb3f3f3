package lobrik.server.network;

import org.apache.catalina.LifecycleException;
import org.apache.catalina.Service;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.apache.tomcat.util.threads.VirtualThreadExecutor;

/** The way in by HTTPS for other devices: the same application, on all addresses of the machine. */
final class SecureDoor {

    /** What holds at the way in on the machine itself, as far as it is not the application's. */
    record Limits(int waitMillis, int swallowedBytes, String packedTypes, int packedFromBytes) {}

    private final Service service;
    private final Connector connector;
    private final Http11NioProtocol protocol = new Http11NioProtocol();

    private SecureDoor(Service service, int port, ServerCertificate certificate, Limits limits) {
        this.service = service;
        protocol.setSSLEnabled(true);
        protocol.addSslHostConfig(shown(certificate));
        protocol.setConnectionTimeout(limits.waitMillis());
        protocol.setMaxSwallowSize(limits.swallowedBytes());
        protocol.setCompression("on");
        protocol.setCompressibleMimeType(limits.packedTypes());
        protocol.setCompressionMinSize(limits.packedFromBytes());
        // As at the other way in: what waits costs little.
        protocol.setExecutor(new VirtualThreadExecutor("secure-"));
        connector = new Connector(protocol);
        connector.setPort(port);
        connector.setScheme("https");
        connector.setSecure(true);
        connector.setThrowOnFailure(true);
    }

    /**
     * Opens it.
     *
     * @throws CannotShare if the port is taken or the certificate cannot be used
     */
    static SecureDoor open(Service service, int port, ServerCertificate certificate, Limits limits) {
        SecureDoor door = new SecureDoor(service, port, certificate, limits);
        try {
            // With being added it starts.
            service.addConnector(door.connector);
            return door;
        } catch (IllegalArgumentException e) {
            door.close();
            throw new CannotShare(
                    "Port " + port + " cannot be used for the secure address (" + innermost(e)
                            + "); choose another with --secure-port",
                    e);
        }
    }

    private static String innermost(Throwable failure) {
        Throwable cause = failure.getCause();
        return cause == null ? String.valueOf(failure.getMessage()) : innermost(cause);
    }

    /** From now on it shows this certificate; what is open stays open. */
    void show(ServerCertificate certificate) {
        protocol.addSslHostConfig(shown(certificate), true);
    }

    private static SSLHostConfig shown(ServerCertificate certificate) {
        SSLHostConfig config = new SSLHostConfig();
        config.setProtocols("TLSv1.2+TLSv1.3");
        SSLHostConfigCertificate files = new SSLHostConfigCertificate(config, SSLHostConfigCertificate.Type.UNDEFINED);
        files.setCertificateFile(certificate.certificateFile().toAbsolutePath().toString());
        files.setCertificateKeyFile(certificate.keyFile().toAbsolutePath().toString());
        config.addCertificate(files);
        return config;
    }

    int port() {
        return connector.getLocalPort();
    }

    /** What goes on there is cut short: browsers come again, to be told that there is nothing. */
    void close() {
        service.removeConnector(connector);
        try {
            connector.destroy();
        } catch (LifecycleException e) {
            throw new IllegalStateException(e);
        }
    }
}
