package lobrik.gauges;

import java.io.IOException;

/** Starts both gauges: {@code SimulatedGauges <angle port> <height port>}; a port of 0 lets the machine choose. */
public final class SimulatedGauges {

    private SimulatedGauges() {}

    /** Says the ports on one line, {@code ready <angle port> <height port>}, and then runs until it is ended. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        int anglePort = port(arguments, 0);
        int heightPort = port(arguments, 1);
        try (SimulatedGauge angle = SimulatedGauge.angle(anglePort);
                SimulatedGauge height = SimulatedGauge.height(heightPort)) {
            System.out.println("ready " + angle.port() + " " + height.port());
            Thread.currentThread().join();
        }
    }

    private static int port(String[] arguments, int index) {
        return index < arguments.length ? Integer.parseInt(arguments[index]) : 0;
    }
}
