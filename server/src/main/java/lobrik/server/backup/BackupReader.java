package lobrik.server.backup;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/** Reads a backup from its beginning to its end, and holds every part to what the list of contents says of it. */
final class BackupReader {

    private static final int CHUNK = 1 << 16;

    /** What becomes of a part: read to its end or not, as whoever takes it likes. */
    interface Taker {
        void take(String name, InputStream in) throws IOException;
    }

    private BackupReader() {}

    /**
     * What is in a file, once all of it was looked at.
     *
     * @throws IOException if it is not a backup, not whole, changed, or sealed with another passphrase
     */
    static Contents check(Path file, char @Nullable [] passphrase) throws IOException {
        return read(file, passphrase, (name, in) -> {});
    }

    /**
     * The same, with every part given away on the way. What is taken of a part is known to be right only when all is read.
     *
     * @throws IOException as above, or from whoever takes
     */
    static Contents read(Path file, char @Nullable [] passphrase, Taker taker) throws IOException {
        try (BufferedInputStream in = new BufferedInputStream(Files.newInputStream(file), CHUNK);
                InputStream opened = opened(in, passphrase);
                ZipInputStream zip = new ZipInputStream(opened)) {
            Contents contents = null;
            List<Contents.Part> found = new ArrayList<>();
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().equals(Contents.NAME)) {
                    contents = Contents.read(zip);
                } else {
                    found.add(part(entry.getName(), zip, taker));
                }
            }
            // To the very end: what is sealed says there whether it was changed.
            opened.transferTo(OutputStream.nullOutputStream());
            if (contents == null) {
                throw new IOException("it is not whole: its end is missing, or it is no backup");
            }
            if (!contents.parts().equals(found)) {
                throw new IOException(
                        "what is in it is not what its list of contents says: it was changed, or the disk spoilt it");
            }
            return contents;
        } catch (ZipException e) {
            throw new IOException("it is not whole, or no backup: " + e.getMessage(), e);
        }
    }

    private static InputStream opened(BufferedInputStream in, char @Nullable [] passphrase) throws IOException {
        if (!Sealed.isSealed(in)) {
            return in;
        }
        if (passphrase == null) {
            throw new IOException("it is sealed: say where its passphrase is, with --passphrase-file");
        }
        return Sealed.from(in, passphrase);
    }

    private static Contents.Part part(String name, ZipInputStream zip, Taker taker) throws IOException {
        Counted counted = new Counted(zip);
        DigestInputStream digested = new DigestInputStream(counted, BackupWriter.sha256());
        taker.take(name, digested);
        digested.transferTo(OutputStream.nullOutputStream());
        return new Contents.Part(
                name,
                counted.bytes,
                HexFormat.of().formatHex(digested.getMessageDigest().digest()));
    }

    /** Counts what is read; never closes what it reads of. */
    private static final class Counted extends InputStream {

        private final InputStream in;
        private long bytes;

        Counted(InputStream in) {
            this.in = in;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            bytes += one < 0 ? 0 : 1;
            return one;
        }

        @Override
        public int read(byte[] into, int from, int count) throws IOException {
            int read = in.read(into, from, count);
            bytes += Math.max(0, read);
            return read;
        }
    }
}
