package lobrik.server.photo;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Component;

/**
 * Takes photos in. What comes out was drawn afresh from the pixels, so nothing else of what was sent is left: no place, no
 * time, no maker of the camera, and no second meaning.
 */
@Component
public class PhotoIntake {

    /** What is taken in at most; a tablet's photo has 3 to 8 MB. */
    public static final int LARGEST_BYTES = 12 * 1024 * 1024;

    private static final int LONGEST_SIDE = 1600;
    private static final long MOST_PIXELS = 50_000_000;
    private static final float QUALITY = 0.82f;

    /** A photo needs some tens of megabytes while it is read; no more than two at once do. */
    private final Semaphore turns = new Semaphore(2);

    /**
     * Makes a photo small.
     *
     * @throws TurnedDown if it is too large, no photo of a kind that is taken in, or broken
     */
    public Shrunk shrink(byte[] sent) {
        if (sent.length > LARGEST_BYTES) {
            throw TurnedDown.tooLarge("This photo has " + sent.length / (1024 * 1024) + " MB; the most is "
                    + LARGEST_BYTES / (1024 * 1024) + " MB: take it in a smaller size");
        }
        turns.acquireUninterruptibly();
        try {
            BufferedImage upright = upright(read(sent), turn(sent));
            return new Shrunk(jpeg(upright), upright.getWidth(), upright.getHeight());
        } finally {
            turns.release();
        }
    }

    private static boolean startsWith(byte[] sent, int... bytes) {
        for (int i = 0; i < bytes.length; i++) {
            if (i >= sent.length || (sent[i] & 0xff) != bytes[i]) {
                return false;
            }
        }
        return true;
    }

    /** By what it is, not by what it says it is. */
    private static String format(byte[] sent) {
        if (startsWith(sent, 0xff, 0xd8, 0xff)) {
            return "jpeg";
        }
        if (startsWith(sent, 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n')) {
            return "png";
        }
        throw TurnedDown.unsupported("This is neither a JPEG nor a PNG; take the photo as one of them");
    }

    private static BufferedImage read(byte[] sent) {
        Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(format(sent));
        ImageReader reader = readers.next();
        try (ImageInputStream input = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            reader.setInput(input, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if ((long) width * height > MOST_PIXELS) {
                throw TurnedDown.tooLarge("This photo has " + width + " × " + height + " pixels; the most is "
                        + MOST_PIXELS / 1_000_000 + " million: take it in a smaller size");
            }
            // Whole pixels are left out while reading, so that a large photo never stands in memory.
            int step = Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(step, step, 0, 0);
            return reader.read(0, param);
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof TurnedDown turnedDown) {
                throw turnedDown;
            }
            throw TurnedDown.badInput("", "broken-photo", "This photo is broken and cannot be read; take it again");
        } finally {
            reader.dispose();
        }
    }

    /** How the camera was held: 1 upright, 3, 6 and 8 turned, the others mirrored as well (Exif 2.3, tag 0x0112). */
    private static int turn(byte[] sent) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif == null || !exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? 1
                    : exif.getInt(ExifIFD0Directory.TAG_ORIENTATION);
        } catch (ImageProcessingException | MetadataException | IOException unknown) {
            return 1;
        }
    }

    private static BufferedImage upright(BufferedImage image, int turn) {
        boolean onItsSide = turn >= 5 && turn <= 8;
        int width = onItsSide ? image.getHeight() : image.getWidth();
        int height = onItsSide ? image.getWidth() : image.getHeight();
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(width, height));
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
