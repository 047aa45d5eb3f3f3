package lobrik.e2e;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;

/** Pictures made for tests: a photo, and what a camera sees of a sheet. */
final class Pictures {

    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;
    private static final int FRAMES = 10;

    private Pictures() {}

    static byte[] png(int width, int height) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A short film of a code held before the camera, in the plain format that Chromium plays as a camera. */
    static void filmOfCode(Path file, String text) throws IOException, WriterException {
        BitMatrix code = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, HEIGHT, HEIGHT);
        byte[] light = new byte[WIDTH * HEIGHT];
        Arrays.fill(light, (byte) 235);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < HEIGHT; x++) {
                if (code.get(x, y)) {
                    light[y * WIDTH + x + (WIDTH - HEIGHT) / 2] = 16;
                }
            }
        }
        byte[] grey = new byte[WIDTH * HEIGHT / 2];
        Arrays.fill(grey, (byte) 128);
        try (OutputStream film = Files.newOutputStream(file)) {
            film.write("YUV4MPEG2 W640 H480 F10:1 Ip A1:1 C420\n".getBytes(StandardCharsets.US_ASCII));
            for (int i = 0; i < FRAMES; i++) {
                film.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
                film.write(light);
                film.write(grey);
            }
        }
    }
}
