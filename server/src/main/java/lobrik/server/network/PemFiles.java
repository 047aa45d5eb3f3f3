package lobrik.server.network;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.PrivateKey;
import java.security.cert.Certificate;
import java.security.cert.CertificateException;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.util.ArrayList;
import java.util.List;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.openssl.PEMException;
import org.bouncycastle.openssl.PEMKeyPair;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.openssl.jcajce.JcaPKCS8Generator;

/** Certificates and keys in files, as text that every server and browser reads. */
final class PemFiles {

    private PemFiles() {}

    /**
     * The certificates in a file, in their order: what the server shows first, then what vouches for it.
     *
     * @throws IOException if it cannot be read, or has none
     */
    static List<X509Certificate> certificates(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            List<X509Certificate> found = new ArrayList<>();
            for (Certificate each : CertificateFactory.getInstance("X.509").generateCertificates(in)) {
                if (each instanceof X509Certificate certificate) {
                    found.add(certificate);
                }
            }
            if (found.isEmpty()) {
                throw new IOException("there is no certificate in it");
            }
            return found;
        } catch (CertificateException e) {
            throw new IOException("it is no certificate as PEM", e);
        }
    }

    /**
     * The private key in a file.
     *
     * @throws IOException if it cannot be read, has none, or is locked with a password
     */
    static PrivateKey key(Path file) throws IOException {
        try (PEMParser in = new PEMParser(Files.newBufferedReader(file))) {
            for (Object found = in.readObject(); found != null; found = in.readObject()) {
                JcaPEMKeyConverter read = new JcaPEMKeyConverter();
                // What describes the curve may stand before the key.
                if (found instanceof PrivateKeyInfo info) {
                    return read.getPrivateKey(info);
                }
                if (found instanceof PEMKeyPair pair) {
                    return read.getKeyPair(pair).getPrivate();
                }
            }
            throw new IOException("there is no key without a password in it");
        } catch (PEMException e) {
            throw new IOException("it is no key as PEM", e);
        }
    }

    /** Writes certificates that everybody may see; whoever reads meanwhile sees the old file or the new one. */
    static void write(Path file, List<X509Certificate> certificates) throws IOException {
        write(file, "rw-r--r--", certificates);
    }

    /** Writes a key that nobody else may read, from its first byte on. */
    static void write(Path file, PrivateKey key) throws IOException {
        write(file, "rw-------", List.of(new JcaPKCS8Generator(key, null)));
    }

    private static void write(Path file, String rights, List<?> things) throws IOException {
        StringWriter text = new StringWriter();
        try (JcaPEMWriter out = new JcaPEMWriter(text)) {
            for (Object each : things) {
                out.writeObject(each);
            }
        }
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.deleteIfExists(fresh);
        Files.createFile(fresh, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(rights)));
        Files.writeString(fresh, text.toString());
        Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
