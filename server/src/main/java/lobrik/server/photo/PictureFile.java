package lobrik.server.photo;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.util.Set;

/**
 * Reads of a picture's file what must be known before its pixels are: its kind, its size, how the camera was held; and copies
 * of it what its pixels need. Everything else (texts, thumbnails, colour profiles, what follows the end) is stepped over
 * without being looked at, so nothing in it can do harm. Memory: a few kilobytes, whatever is sent.
 *
 * @param format {@code jpeg} or {@code png}, the name of its reader
 * @param width in pixels
 * @param height in pixels
 * @param turn how the camera was held (Exif 2.3, tag 0x0112): 1 upright, 3, 6 and 8 turned, the others mirrored as well
 * @param passes how often its pixels are gone over; more than one makes a reader keep all of them
 */
record PictureFile(String format, int width, int height, int turn, int passes) {

    /** A file that is no picture of these kinds, or a broken one. */
    static final class Unreadable extends IOException {

        private static final long serialVersionUID = 1L;

        private final boolean otherKind;

        private Unreadable(String message, boolean otherKind) {
            super(message);
            this.otherKind = otherKind;
        }

        /** Whether it may be a good file of a kind that is not taken in. */
        boolean isOfAnotherKind() {
            return otherKind;
        }
    }

    private static final long PNG_SIGNATURE = 0x89504e470d0a1a0aL;

    /** Chunks that say how the pixels are meant (PNG, third edition, 11). The frames of a moving picture are not among them. */
    private static final Set<String> PNG_NEEDED = Set.of("PLTE", "tRNS", "IDAT");

    private static final int SOI = 0xd8;
    private static final int EOI = 0xd9;
    private static final int SOS = 0xda;
    private static final int APP0 = 0xe0;
    private static final int APP1 = 0xe1;
    private static final int APP14 = 0xee;

    /** Baseline, extended and progressive, each with Huffman's codes (ITU-T T.81, table B.1). */
    private static final Set<Integer> JPEG_FRAMES = Set.of(0xc0, 0xc1, 0xc2);

    /** The other frames: lossless, differential, arithmetic. */
    private static final Set<Integer> JPEG_OTHER_FRAMES =
            Set.of(0xc3, 0xc5, 0xc6, 0xc7, 0xc9, 0xca, 0xcb, 0xcd, 0xce, 0xcf);

    /** Tables that the pixels need: Huffman, quantisation, restart interval, number of lines. */
    private static final Set<Integer> JPEG_TABLES = Set.of(0xc4, 0xdb, 0xdd, 0xdc);

    private static final int ORIENTATION = 0x0112;
    private static final int SHORT = 3;

    /**
     * Looks at a file from its beginning, and copies what its pixels need.
     *
     * @param clean where to
     * @throws Unreadable if it is no picture that is taken in
     */
    static PictureFile look(InputStream sent, OutputStream clean) throws IOException {
        DataInputStream in = new DataInputStream(sent);
        try {
            int first = in.readUnsignedShort();
            if (first == (0xff00 | SOI)) {
                return new JpegWalk(in, clean).walk();
            }
            if (first == 0x8950
                    && (((long) first << 48) | ((long) in.readUnsignedShort() << 32) | (in.readInt() & 0xffff_ffffL))
                            == PNG_SIGNATURE) {
                return png(in, clean);
            }
        } catch (EOFException cut) {
            throw broken("it ends too early");
        }
        throw new Unreadable("This is neither a JPEG nor a PNG", true);
    }

    private static Unreadable broken(String why) {
        return new Unreadable(why, false);
    }

    private static PictureFile png(DataInputStream in, OutputStream clean) throws IOException {
        byte[] header = new byte[8 + 13 + 4];
        in.readFully(header);
        if (!"IHDR".equals(name(header)) || number(header, 0) != 13) {
            throw broken("it does not begin with its size");
        }
        clean.write(bytes(PNG_SIGNATURE >>> 32));
        clean.write(bytes(PNG_SIGNATURE));
        clean.write(header);
        boolean interlaced = header[8 + 12] != 0;
        PictureFile found = new PictureFile("png", number(header, 8), number(header, 12), 1, interlaced ? 7 : 1);
        byte[] head = new byte[8];
        while (true) {
            in.readFully(head);
            int length = number(head, 0);
            String name = name(head);
            if (length < 0) {
                throw broken("a part of it has no length");
            }
            boolean end = name.equals("IEND");
            if (end || PNG_NEEDED.contains(name)) {
                clean.write(head);
                copy(in, clean, length + 4L);
            } else {
                in.skipNBytes(length + 4L);
            }
            if (end) {
                return found;
            }
        }
    }

    private static String name(byte[] chunk) {
        StringBuilder name = new StringBuilder();
        for (int i = 4; i < 8; i++) {
            name.append((char) (chunk[i] & 0xff));
        }
        return name.toString();
    }

    private static int number(byte[] bytes, int at) {
        return ByteBuffer.wrap(bytes).getInt(at);
    }

    private static byte[] bytes(long number) {
        return new byte[] {(byte) (number >> 24), (byte) (number >> 16), (byte) (number >> 8), (byte) number};
    }

    private static void copy(DataInputStream in, OutputStream out, long length) throws IOException {
        byte[] some = new byte[8192];
        for (long left = length; left > 0; ) {
            int read = in.read(some, 0, (int) Math.min(some.length, left));
            if (read < 0) {
                throw new EOFException();
            }
            out.write(some, 0, read);
            left -= read;
        }
    }

    /** Goes through the segments of a JPEG, after its first two bytes. */
    private static final class JpegWalk {

        private final DataInputStream in;
        private final OutputStream clean;
        private int width;
        private int height;
        private int turn = 1;
        private int scans;
        private boolean progressive;

        JpegWalk(DataInputStream in, OutputStream clean) {
            this.in = in;
            this.clean = clean;
        }

        PictureFile walk() throws IOException {
            marker(SOI);
            int marker = nextMarker();
            while (marker != EOI) {
                marker = segment(marker) ? pixels() : nextMarker();
            }
            if (scans == 0) {
                throw broken("there are no pixels in it");
            }
            marker(EOI);
            return new PictureFile("jpeg", width, height, turn, progressive ? Math.max(2, scans) : scans);
        }

        private void marker(int marker) throws IOException {
            clean.write(0xff);
            clean.write(marker);
        }

        private int nextMarker() throws IOException {
            if (in.readUnsignedByte() != 0xff) {
                throw broken("its parts do not follow each other");
            }
            int marker = in.readUnsignedByte();
            while (marker == 0xff) {
                marker = in.readUnsignedByte();
            }
            return marker;
        }

        /** Takes a segment; true if pixels follow it. */
        private boolean segment(int marker) throws IOException {
            int length = in.readUnsignedShort();
            if (length < 2) {
                throw broken("a part of it has no length");
            }
            byte[] content = new byte[length - 2];
            in.readFully(content);
            if (JPEG_OTHER_FRAMES.contains(marker)) {
                throw new Unreadable("This kind of JPEG is not read", true);
            }
            if (JPEG_FRAMES.contains(marker)) {
                frame(marker, content);
            } else if (marker == APP1 && turn == 1) {
                turn = orientation(content);
            }
            // The first says that it is an ordinary JPEG, the last in which colours it is; both are short.
            boolean needed = JPEG_FRAMES.contains(marker)
                    || JPEG_TABLES.contains(marker)
                    || marker == SOS
                    || (marker == APP0 && content.length == 14 && startsWith(content, "JFIF\0"))
                    || (marker == APP14 && content.length == 12 && startsWith(content, "Adobe"));
            if (needed) {
                marker(marker);
                clean.write(length >> 8);
                clean.write(length);
                clean.write(content);
            }
            if (marker == SOS) {
                scans++;
            }
            return marker == SOS;
        }

        private void frame(int marker, byte[] content) throws IOException {
            if (content.length < 6 || width != 0) {
                throw broken("it does not say once how large it is");
            }
            if (content[0] != 8 || (content[5] != 1 && content[5] != 3)) {
                throw new Unreadable("This kind of JPEG is not read", true);
            }
            height = (int) number(content, 1, 2, false);
            width = (int) number(content, 3, 2, false);
            if (width == 0 || height == 0) {
                throw broken("it has no size");
            }
            progressive = marker == 0xc2;
        }

        /** Copies the coded pixels up to the marker after them, and gives that. */
        private int pixels() throws IOException {
            while (true) {
                int next = in.readUnsignedByte();
                if (next != 0xff) {
                    clean.write(next);
                    continue;
                }
                int marker = in.readUnsignedByte();
                while (marker == 0xff) {
                    marker = in.readUnsignedByte();
                }
                // A stuffed zero, or one of the eight places from which it can be read on.
                if (marker == 0 || (marker >= 0xd0 && marker <= 0xd7)) {
                    marker(marker);
                } else {
                    return marker;
                }
            }
        }

        private static boolean startsWith(byte[] content, String word) {
            if (content.length < word.length()) {
                return false;
            }
            for (int i = 0; i < word.length(); i++) {
                if ((content[i] & 0xff) != word.charAt(i)) {
                    return false;
                }
            }
            return true;
        }

        /** The orientation in an Exif segment's first directory; 1 where it says nothing that makes sense. */
        private static int orientation(byte[] content) {
            if (!startsWith(content, "Exif\0\0") || content.length < 14) {
                return 1;
            }
            boolean little = content[6] == 'I';
            long directory = 6 + number(content, 10, 4, little);
            if (directory + 2 > content.length) {
                return 1;
            }
            long entries = number(content, (int) directory, 2, little);
            for (int i = 0; i < entries; i++) {
                long entry = directory + 2 + 12L * i;
                if (entry + 12 > content.length) {
                    return 1;
                }
                if (number(content, (int) entry, 2, little) == ORIENTATION
                        && number(content, (int) entry + 2, 2, little) == SHORT) {
                    long turn = number(content, (int) entry + 8, 2, little);
                    return turn >= 1 && turn <= 8 ? (int) turn : 1;
                }
            }
            return 1;
        }

        private static long number(byte[] content, int at, int length, boolean little) {
            long number = 0;
            for (int i = 0; i < length; i++) {
                number = (number << 8) | (content[at + (little ? length - 1 - i : i)] & 0xff);
            }
            return number;
        }
    }
}
