package lobrik.server.network;

import java.io.File;
import java.util.function.Supplier;
import org.apache.catalina.Context;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.startup.Tomcat;

/**
 * What answers to plain HTTP from other devices: a server of its own with nothing in it but the page that explains, so that there is
 * no way from there to anything else.
 */
final class PlainDoor {

    private static final int WAIT_MILLIS = 5_000;
    private static final int MOST_AT_ONCE = 200;

    private final Tomcat tomcat;

    private PlainDoor(Tomcat tomcat) {
        this.tomcat = tomcat;
    }

    /**
     * Opens it.
     *
     * @param folder for what it needs to write, which is nothing
     * @param told what the page says now
     * @throws CannotShare if the port is taken
     */
    static PlainDoor open(int port, File folder, Supplier<ExplainingPage> told) {
        Tomcat tomcat = new Tomcat();
        tomcat.setBaseDir(folder.getAbsolutePath());
        Connector connector = new Connector();
        connector.setPort(port);
        connector.setThrowOnFailure(true);
        connector.setProperty("connectionTimeout", String.valueOf(WAIT_MILLIS));
        connector.setProperty("maxConnections", String.valueOf(MOST_AT_ONCE));
        connector.setProperty("maxThreads", "4");
        connector.setProperty("minSpareThreads", "1");
        tomcat.setConnector(connector);
        Context nothing = tomcat.addContext("", null);
        nothing.setCookies(false);
        Tomcat.addServlet(nothing, "explain", new ExplainingServlet(told));
        nothing.addServletMapping("/*", "explain");
        PlainDoor door = new PlainDoor(tomcat);
        try {
            tomcat.start();
            return door;
        } catch (LifecycleException e) {
            door.close();
            throw new CannotShare(
                    "Port " + port + " cannot be used for the page that explains; choose another with --plain-port", e);
        }
    }

    void close() {
        try {
            tomcat.stop();
            tomcat.destroy();
        } catch (LifecycleException e) {
            throw new IllegalStateException(e);
        }
    }
}
