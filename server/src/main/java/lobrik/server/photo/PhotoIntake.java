package lobrik.server.photo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.HexFormat;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.FileImageInputStream;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import lobrik.server.platform.Scratch;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Waiting;
import org.springframework.stereotype.Component;

/**
 * Takes photos in. What comes out was drawn afresh from the pixels, so nothing else of what was sent is left: no place, no
 * time, no maker of the camera, and no second meaning.
 *
 * <p>What it may use at most: {@value #PICTURES} pictures in memory, each of at
 * most 3200 × 3200 pixels of 8 bytes (82 MB) while it is read; a JPEG that is gone over several times is kept whole outside
 * the heap, 6 bytes for each of its at most 8 million pixels (48 MB).
 */
@Component
public class PhotoIntake {

    /** What is taken in at most; a tablet's photo has 3 to 8 MB. */
    public static final int LARGEST_BYTES = 12 * 1024 * 1024;

    private static final int LONGEST_SIDE = 1600;
    private static final long MOST_PIXELS = 40_000_000;
    private static final int LARGEST_SIDE = 20_000;

    /** A picture that appears bit by bit is kept whole while it is read, and gone over as often as its file says. */
    private static final long MOST_PIXELS_IN_PASSES = 8_000_000;

    private static final int MOST_PASSES = 32;
    private static final float QUALITY = 0.82f;

    private static final int PICTURES = 2;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Semaphore pictures = new Semaphore(PICTURES, true);
    private final Scratch scratch;

    PhotoIntake(Scratch scratch) {
        this.scratch = scratch;
    }

    /**
     * Makes a photo small.
     *
     * @param sent what somebody sends; the edge sees to it that not many do at once
     * @throws IOException if that breaks off
     * @throws TurnedDown if it is too large, no photo of a kind that is taken in, or broken, or if too many others are sent
     */
    public Shrunk shrink(InputStream sent) throws IOException {
        return shrink(sent, LONGEST_SIDE);
    }

    /**
     * Makes a photo smaller than usual.
     *
     * @param longestSide of what comes out, in pixels
     * @throws IOException as above
     * @throws TurnedDown as above
     */
    public Shrunk shrink(InputStream sent, int longestSide) throws IOException {
        try (Scratch.Sheet body = scratch.sheet()) {
            String digest = keep(sent, body);
            if (!Waiting.forTurn(pictures, PATIENCE)) {
                throw TurnedDown.unavailable(
                        "Many photos are being sent just now; this one can be sent again in a moment");
            }
            try {
                return shrink(body, digest, longestSide);
            } finally {
                pictures.release();
            }
        }
    }

    /** Puts what is sent on the disk; gives its SHA-256 in hexadecimal. */
    private static String keep(InputStream sent, Scratch.Sheet body) throws IOException {
        MessageDigest digest = sha256();
        byte[] some = new byte[16 * 1024];
        long size = 0;
        try (OutputStream file = body.write()) {
            for (int read = sent.read(some); read >= 0; read = sent.read(some)) {
                size += read;
                if (size > LARGEST_BYTES) {
                    throw TurnedDown.tooLarge("This photo has more than " + LARGEST_BYTES / (1024 * 1024)
                            + " MB, which is the most: take it in a smaller size");
                }
                digest.update(some, 0, read);
                file.write(some, 0, read);
            }
        }
        if (size == 0) {
            throw TurnedDown.badInput("", "missing", "send the photo");
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private Shrunk shrink(Scratch.Sheet body, String digest, int longestSide) throws IOException {
        try (Scratch.Sheet clean = scratch.sheet()) {
            PictureFile file = look(body, clean);
            checkSize(file);
            BufferedImage upright = upright(read(file, clean, longestSide), file.turn(), longestSide);
            return new Shrunk(jpeg(upright), upright.getWidth(), upright.getHeight(), digest);
        }
    }

    /** By what it is, not by what it says it is. */
    private static PictureFile look(Scratch.Sheet body, Scratch.Sheet clean) throws IOException {
        try (InputStream in = new BufferedInputStream(body.read());
                OutputStream out = new BufferedOutputStream(clean.write())) {
            return PictureFile.look(in, out);
        } catch (PictureFile.Unreadable unreadable) {
            if (unreadable.isOfAnotherKind()) {
                throw TurnedDown.unsupported(unreadable.getMessage() + "; take the photo as one of the ordinary kind");
            }
            throw broken();
        }
    }

    private static TurnedDown broken() {
        return TurnedDown.badInput("", "broken-photo", "This photo is broken and cannot be read; take it again");
    }

    private static void checkSize(PictureFile file) {
        long pixels = (long) file.width() * file.height();
        String size = "This photo has " + file.width() + " × " + file.height() + " pixels; the most is ";
        if (pixels <= 0) {
            throw broken();
        }
        if (pixels > MOST_PIXELS) {
            throw TurnedDown.tooLarge(size + MOST_PIXELS / 1_000_000 + " million: take it in a smaller size");
        }
        if (Math.max(file.width(), file.height()) > LARGEST_SIDE) {
            throw TurnedDown.tooLarge(size + LARGEST_SIDE + " on a side: take it in a smaller size");
        }
        if (file.format().equals("jpeg") && file.passes() > 1) {
            if (pixels > MOST_PIXELS_IN_PASSES) {
                throw TurnedDown.tooLarge(size + MOST_PIXELS_IN_PASSES / 1_000_000
                        + " million for a JPEG that appears bit by bit (progressive): save it as an ordinary one");
            }
            if (file.passes() > MOST_PASSES) {
                throw TurnedDown.tooLarge("This JPEG is made of " + file.passes() + " layers; the most is "
                        + MOST_PASSES + ": save it as an ordinary one");
            }
        }
    }

    private static BufferedImage read(PictureFile file, Scratch.Sheet clean, int longestSide) {
        ImageReader reader = ImageIO.getImageReadersByFormatName(file.format()).next();
        try (ImageInputStream input = new FileImageInputStream(clean.path().toFile())) {
            reader.setInput(input, true, true);
            // Whole pixels are left out while reading, so that a large photo never stands in memory.
            int step = Math.ceilDiv(Math.max(file.width(), file.height()), 2 * longestSide);
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(step, step, 0, 0);
            return reader.read(0, param);
        } catch (IOException | RuntimeException unreadable) {
            throw broken();
        } finally {
            reader.dispose();
        }
    }

    private static BufferedImage upright(BufferedImage image, int turn, int longestSide) {
        boolean onItsSide = turn >= 5 && turn <= 8;
        int width = onItsSide ? image.getHeight() : image.getWidth();
        int height = onItsSide ? image.getWidth() : image.getHeight();
        double scale = Math.min(1, (double) longestSide / Math.max(width, height));
        BufferedImage upright = new BufferedImage(
                Math.max(1, (int) Math.round(width * scale)),
                Math.max(1, (int) Math.round(height * scale)),
                BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = upright.createGraphics();
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, upright.getWidth(), upright.getHeight());
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
        place.concatenate(turned(turn, width, height));
        graphics.drawImage(image, place, null);
        graphics.dispose();
        return upright;
    }

    private static AffineTransform turned(int turn, int width, int height) {
        return switch (turn) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, width, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, width, height);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, height);
            default -> new AffineTransform();
        };
    }

    private static byte[] jpeg(BufferedImage image) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (MemoryCacheImageOutputStream output = new MemoryCacheImageOutputStream(bytes)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(QUALITY);
            writer.setOutput(output);
            writer.write(null, new IIOImage(image, null, null), param);
        } catch (IOException e) {
            throw new IllegalStateException("a photo in memory could not be written", e);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }
}
