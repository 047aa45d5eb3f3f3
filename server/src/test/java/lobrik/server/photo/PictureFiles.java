package lobrik.server.photo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Files that are pictures, or say that they are, for the tests of photos. */
final class PictureFiles {

    private PictureFiles() {}

    /** Red on the left half, blue on the right. */
    static byte[] picture(int width, int height, String format) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(Color.RED);
        graphics.fillRect(0, 0, width / 2, height);
        graphics.setColor(Color.BLUE);
        graphics.fillRect(width / 2, 0, width - width / 2, height);
        graphics.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, format, bytes);
        return bytes.toByteArray();
    }

    /** The same with a short Exif block that says how the camera was held, and who made it. */
    static byte[] withExif(byte[] jpeg, int turn) {
        byte[] maker = "Secret Maker\0".getBytes(StandardCharsets.US_ASCII);
        ByteArrayOutputStream exif = new ByteArrayOutputStream();
        exif.writeBytes("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        exif.writeBytes(new byte[] {'M', 'M', 0, 42, 0, 0, 0, 8, 0, 2});
        exif.writeBytes(new byte[] {1, 0x0f, 0, 2, 0, 0, 0, (byte) maker.length, 0, 0, 0, 38});
        exif.writeBytes(new byte[] {1, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte) turn, 0, 0});
        exif.writeBytes(new byte[] {0, 0, 0, 0});
        exif.writeBytes(maker);
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.write(jpeg, 0, 2);
        int length = exif.size() + 2;
        whole.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, (byte) (length >> 8), (byte) length});
        whole.writeBytes(exif.toByteArray());
        whole.write(jpeg, 2, jpeg.length - 2);
        return whole.toByteArray();
    }

    /** A chunk of a PNG; its check is not looked at by anybody who steps over it. */
    static byte[] chunk(String name, byte[] content) {
        ByteArrayOutputStream chunk = new ByteArrayOutputStream();
        chunk.writeBytes(ByteBuffer.allocate(4).putInt(content.length).array());
        byte[] named = name.getBytes(StandardCharsets.US_ASCII);
        chunk.writeBytes(named);
        chunk.writeBytes(content);
        CRC32 check = new CRC32();
        check.update(named);
        check.update(content);
        chunk.writeBytes(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
        return chunk.toByteArray();
    }

    /** The picture with more chunks after its first, which has 8 + 25 bytes. */
    static byte[] withChunks(byte[] png, byte[]... chunks) {
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        whole.write(png, 0, 33);
        for (byte[] chunk : chunks) {
            whole.writeBytes(chunk);
        }
        whole.write(png, 33, png.length - 33);
        return whole.toByteArray();
    }

    /** So many million zeros, deflated to a thousandth. Every million is the same piece, so that only one has to be deflated. */
    static byte[] inflatesTo(int millions) {
        Deflater deflater = new Deflater();
        byte[] million = new byte[1_000_000];
        byte[] deflated = new byte[10_000];
        deflater.setInput(million);
        byte[] first = Arrays.copyOf(deflated, deflater.deflate(deflated, 0, deflated.length, Deflater.FULL_FLUSH));
        deflater.setInput(million);
        byte[] other = Arrays.copyOf(deflated, deflater.deflate(deflated, 0, deflated.length, Deflater.FULL_FLUSH));
        deflater.finish();
        // Its check is that of two millions alone; whoever gets that far has inflated all of them.
        byte[] last = Arrays.copyOf(deflated, deflater.deflate(deflated));
        deflater.end();
        return join(first, repeated(other, millions - 1), last);
    }

    static byte[] join(byte[]... parts) {
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        for (byte[] part : parts) {
            whole.writeBytes(part);
        }
        return whole.toByteArray();
    }

    /** A JPEG that appears bit by bit. */
    static byte[] progressive(int width, int height) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream output = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
            writer.setOutput(output);
            writer.write(
                    null,
                    new IIOImage(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), null, null),
                    param);
        }
        writer.dispose();
        return bytes.toByteArray();
    }

    static int indexOf(byte[] bytes, byte marker) {
        for (int i = 1; i < bytes.length; i++) {
            if (bytes[i] == marker && bytes[i - 1] == (byte) 0xff) {
                return i;
            }
        }
        throw new AssertionError("no marker");
    }

    static byte[] repeated(byte[] part, int times) {
        byte[][] parts = new byte[times][];
        Arrays.fill(parts, part);
        return join(parts);
    }

    static byte[] png(int width, int height) throws IOException {
        byte[] head = ByteBuffer.allocate(13)
                .putInt(width)
                .putInt(height)
                .put(new byte[] {8, 2, 0, 0, 0})
                .array();
        return join(
                Arrays.copyOf(picture(1, 1, "png"), 8),
                chunk("IHDR", head),
                chunk("IDAT", inflatesTo(1)),
                chunk("IEND", new byte[0]));
    }

    static byte[] deep(int width, int height) throws IOException {
        byte[] head = ByteBuffer.allocate(13)
                .putInt(width)
                .putInt(height)
                .put(new byte[] {16, 6, 0, 0, 0})
                .array();
        return join(
                Arrays.copyOf(picture(1, 1, "png"), 8),
                chunk("IHDR", head),
                chunk("IDAT", inflatesTo((width * 8 + 1) * height / 1_000_000 + 1)),
                chunk("IEND", new byte[0]));
    }
}
