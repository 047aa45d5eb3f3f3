package lobrik.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** SHA-256, which every Java has. */
public final class Sha256 {

    private Sha256() {}

    /** Of a text, in UTF-8. */
    public static byte[] of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Of some parts, one after the other. */
    public static byte[] of(byte[]... parts) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (byte[] part : parts) {
                digest.update(part);
            }
            return digest.digest();
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
