package lobrik.server.backup;

import java.io.BufferedInputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Date;
import org.bouncycastle.bcpg.HashAlgorithmTags;
import org.bouncycastle.bcpg.SymmetricKeyAlgorithmTags;
import org.bouncycastle.openpgp.PGPEncryptedData;
import org.bouncycastle.openpgp.PGPEncryptedDataGenerator;
import org.bouncycastle.openpgp.PGPEncryptedDataList;
import org.bouncycastle.openpgp.PGPException;
import org.bouncycastle.openpgp.PGPLiteralData;
import org.bouncycastle.openpgp.PGPLiteralDataGenerator;
import org.bouncycastle.openpgp.PGPObjectFactory;
import org.bouncycastle.openpgp.PGPPBEEncryptedData;
import org.bouncycastle.openpgp.bc.BcPGPObjectFactory;
import org.bouncycastle.openpgp.operator.bc.BcPBEDataDecryptorFactory;
import org.bouncycastle.openpgp.operator.bc.BcPBEKeyEncryptionMethodGenerator;
import org.bouncycastle.openpgp.operator.bc.BcPGPDataEncryptorBuilder;
import org.bouncycastle.openpgp.operator.bc.BcPGPDigestCalculatorProvider;

/**
 * Bytes that only a passphrase opens: a message of OpenPGP (RFC 4880: AES-256 with a modification detection code, the key made of the
 * passphrase by iterated, salted SHA-256), so that other programs open it, too. Written and read as a stream.
 */
final class Sealed {

    private static final int CHUNK = 1 << 16;

    /** As often as the form of the message allows, near 65 million bytes hashed: each guess costs as much. */
    private static final int S2K_COUNT = 0xff;

    private Sealed() {}

    /** What is written into it goes, sealed, to the other, which is left open. */
    static OutputStream into(OutputStream out, char[] passphrase) throws IOException {
        PGPEncryptedDataGenerator seal =
                new PGPEncryptedDataGenerator(new BcPGPDataEncryptorBuilder(SymmetricKeyAlgorithmTags.AES_256)
                        .setWithIntegrityPacket(true)
                        .setSecureRandom(new SecureRandom()));
        try {
            seal.addMethod(new BcPBEKeyEncryptionMethodGenerator(
                    passphrase, new BcPGPDigestCalculatorProvider().get(HashAlgorithmTags.SHA256), S2K_COUNT));
            OutputStream sealed = seal.open(out, new byte[CHUNK]);
            PGPLiteralDataGenerator literal = new PGPLiteralDataGenerator();
            OutputStream plain = literal.open(
                    sealed, PGPLiteralData.BINARY, "lobrik-backup.zip", Date.from(Instant.EPOCH), new byte[CHUNK]);
            return new FilterOutputStream(plain) {
                @Override
                public void write(byte[] bytes, int from, int count) throws IOException {
                    // Not one by one, as this class would.
                    plain.write(bytes, from, count);
                }

                @Override
                public void close() throws IOException {
                    plain.close();
                    sealed.close();
                }
            };
        } catch (PGPException e) {
            throw new IOException("It could not be sealed", e);
        }
    }

    /** Whether it looks as if it were sealed; nothing is read. */
    static boolean isSealed(BufferedInputStream in) throws IOException {
        in.mark(1);
        int first = in.read();
        in.reset();
        // Every packet of OpenPGP begins so, and no ZIP does.
        return first >= 0x80;
    }

    /**
     * What was sealed.
     *
     * @throws IOException if the passphrase is not the one, or it is no such message; and at its end if it was changed
     */
    static InputStream from(InputStream in, char[] passphrase) throws IOException {
        try {
            Object first = new BcPGPObjectFactory(in).nextObject();
            if (!(first instanceof PGPEncryptedDataList sealed)
                    || !(sealed.get(0) instanceof PGPPBEEncryptedData byPassphrase)) {
                throw new IOException("it is not sealed with a passphrase");
            }
            InputStream opened = byPassphrase.getDataStream(
                    new BcPBEDataDecryptorFactory(passphrase, new BcPGPDigestCalculatorProvider()));
            PGPObjectFactory inside = new BcPGPObjectFactory(opened);
            if (!(inside.nextObject() instanceof PGPLiteralData literal)) {
                throw new IOException("this is not its passphrase");
            }
            return new Opened(literal.getInputStream(), byPassphrase);
        } catch (PGPException e) {
            throw new IOException("this is not its passphrase", e);
        }
    }

    /** Looks at its end whether it is as it was sealed. */
    private static final class Opened extends InputStream {

        private final InputStream plain;
        private final PGPEncryptedData sealed;

        Opened(InputStream plain, PGPEncryptedData sealed) {
            this.plain = plain;
            this.sealed = sealed;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            int count = read(one, 0, 1);
            return count < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] bytes, int from, int count) throws IOException {
            int read = plain.read(bytes, from, count);
            if (read < 0) {
                requireWhole();
            }
            return read;
        }

        private void requireWhole() throws IOException {
            try {
                if (!sealed.verify()) {
                    throw new IOException("it was changed since it was made");
                }
            } catch (PGPException e) {
                throw new IOException("it was changed since it was made", e);
            }
        }

        @Override
        public void close() throws IOException {
            plain.close();
        }
    }
}
