package lobrik.e2e;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * A program: asks on the local network who has a name, as devices do (a one-shot query, RFC 6762, 5.1), and prints the address. By
 * hand and not by the library that answers, so that it is asked by somebody else.
 */
final class AskName {

    private static final InetSocketAddress EVERYBODY = new InetSocketAddress("224.0.0.251", 5353);
    private static final int ADDRESS = 1;
    private static final int INTERNET = 1;
    private static final int TRIES = 20;
    private static final int WAIT_MILLIS = 500;

    private AskName() {}

    /** Takes the interface and the name; ends with 1 if nobody has it. */
    public static void main(String[] arguments) throws IOException {
        byte[] question = question(arguments[1]);
        try (MulticastSocket socket = new MulticastSocket()) {
            socket.setNetworkInterface(NetworkInterface.getByName(arguments[0]));
            socket.setSoTimeout(WAIT_MILLIS);
            for (int i = 0; i < TRIES; i++) {
                socket.send(new DatagramPacket(question, question.length, EVERYBODY));
                DatagramPacket answer = new DatagramPacket(new byte[1500], 1500);
                try {
                    socket.receive(answer);
                } catch (SocketTimeoutException silence) {
                    continue;
                }
                System.out.println(address(ByteBuffer.wrap(answer.getData(), 0, answer.getLength())));
                return;
            }
        }
        System.exit(1);
    }

    private static byte[] question(String name) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        for (int part : new int[] {77, 0, 1, 0, 0, 0}) {
            out.writeShort(part);
        }
        for (String label : name.split("\\.")) {
            out.writeByte(label.length());
            out.write(label.getBytes(StandardCharsets.US_ASCII));
        }
        out.writeByte(0);
        out.writeShort(ADDRESS);
        out.writeShort(INTERNET);
        return bytes.toByteArray();
    }

    /** The first address that an answer tells. */
    private static String address(ByteBuffer answer) throws IOException {
        answer.position(4);
        int questions = answer.getShort();
        int answers = answer.getShort();
        answer.position(12);
        for (int i = 0; i < questions; i++) {
            skipName(answer);
            answer.position(answer.position() + 4);
        }
        for (int i = 0; i < answers; i++) {
            skipName(answer);
            int type = answer.getShort();
            answer.position(answer.position() + 6);
            byte[] data = new byte[answer.getShort()];
            answer.get(data);
            if (type == ADDRESS) {
                return InetAddress.getByAddress(data).getHostAddress();
            }
        }
        return "no address";
    }

    private static void skipName(ByteBuffer answer) {
        int length = answer.get() & 0xff;
        while (length != 0) {
            if (length >= 0xc0) {
                // It goes on where it was said before.
                answer.get();
                return;
            }
            answer.position(answer.position() + length);
            length = answer.get() & 0xff;
        }
    }
}
