package lobrik.server.photo;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import javax.imageio.ImageIO;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Photos of pieces: what is kept of them, and what is not taken in. */
@ExtendWith(RunningServer.class)
class PhotoTest {

    private Client runa;
    private String photos;

    @BeforeEach
    void openAttempt(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        photos = "/api/attempts/" + Bench.of(runa, Bench.STUB, 1).open(0) + "/photos/";
    }

    /** Red on the left half, blue on the right. */
    private static byte[] picture(int width, int height, String format) throws IOException {
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
    private static byte[] withExif(byte[] jpeg, int turn) {
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

    private Answer put(byte[] photo) {
        return runa.putBytes(photos + UUID.randomUUID() + "?about=kink&note=Inside%20of%20bend%201", photo);
    }

    private BufferedImage kept(Answer answer) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(
                runa.file(photos + answer.at("/bench/photos/0/id").asString())));
    }

    @Test
    void photo_isMadeSmallAndTurnedUpright_andSaysNothingButWhatItShows() throws Exception {
        byte[] sent = withExif(picture(4000, 3000, "jpeg"), 6);
        assertThat(ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent))
                        .getFirstDirectoryOfType(ExifIFD0Directory.class)
                        .getString(ExifDirectoryBase.TAG_MAKE))
                .isEqualTo("Secret Maker");
        Answer answer = put(sent);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(answer.at("/bench/photos/0/note").asString()).isEqualTo("Inside of bend 1");
        BufferedImage kept = kept(answer);
        assertThat(new int[] {kept.getWidth(), kept.getHeight()}).containsExactly(1200, 1600);
        // Turned a quarter to the right, the left half is on top.
        assertThat(new Color(kept.getRGB(600, 200)).getRed()).isGreaterThan(200);
        assertThat(new Color(kept.getRGB(600, 1400)).getBlue()).isGreaterThan(200);
        byte[] bytes = runa.file(photos + answer.at("/bench/photos/0/id").asString());
        assertThat(new String(bytes, StandardCharsets.ISO_8859_1))
                .doesNotContain("Exif")
                .doesNotContain("Secret");
        assertThat(bytes.length).isLessThan(400_000);
    }

    @Test
    void smallPng_keepsItsSize() throws Exception {
        BufferedImage kept = kept(put(picture(320, 200, "png")));
        assertThat(new int[] {kept.getWidth(), kept.getHeight()}).containsExactly(320, 200);
    }

    @Test
    void photoSentTwice_isThereOnce() throws Exception {
        byte[] photo = picture(320, 200, "jpeg");
        String path = photos + UUID.randomUUID();
        runa.putBytes(path, photo);
        assertThat(runa.putBytes(path, photo).at("/bench/photos").size()).isEqualTo(1);
        assertThat(runa.putBytes(path, picture(100, 100, "jpeg"))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("key-used");
    }

    @Test
    void fifteenMegabytes_areRefused_withTheLimit() throws Exception {
        byte[] large = Arrays.copyOf(picture(320, 200, "jpeg"), 15 * 1024 * 1024);
        Answer answer = put(large);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.at("/detail").asString()).contains("12288 KiB");
    }

    @Test
    void pictureOfTooManyPixels_isRefused_beforeItIsRead() throws Exception {
        // A PNG of one colour is small in bytes and huge in memory.
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(9000, 6000, BufferedImage.TYPE_BYTE_BINARY), "png", bytes);
        Answer answer = put(bytes.toByteArray());
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.at("/detail").asString()).contains("9000 × 6000 pixels");
    }

    @Test
    void svgWithAScript_isRefused_whateverItCallsItself() {
        byte[] svg = "<svg xmlns=\"http://www.w3.org/2000/svg\"><script>alert(1)</script></svg>"
                .getBytes(StandardCharsets.UTF_8);
        Answer answer = put(svg);
        assertThat(answer.status()).isEqualTo(415);
        assertThat(answer.at("/detail").asString()).contains("neither a JPEG nor a PNG");
    }

    @Test
    void otherFiles_areRefused() {
        assertThat(put("GIF89a".getBytes(StandardCharsets.US_ASCII)).status()).isEqualTo(415);
        assertThat(put("%PDF-1.7".getBytes(StandardCharsets.US_ASCII)).status()).isEqualTo(415);
        assertThat(put(new byte[0]).status()).isEqualTo(400);
    }

    @Test
    void brokenFile_isRefused() throws Exception {
        byte[] whole = picture(320, 200, "png");
        Answer cut = put(Arrays.copyOf(whole, whole.length / 2));
        assertThat(cut.status()).isEqualTo(400);
        assertThat(cut.at("/detail").asString()).contains("broken");
        byte[] jpeg = picture(320, 200, "jpeg");
        Arrays.fill(jpeg, 20, jpeg.length, (byte) 7);
        assertThat(put(jpeg).status()).isEqualTo(400);
    }

    @Test
    void photoOfAnotherAttempt_isNotFound(RunningServer.Address server) throws Exception {
        String id = put(picture(50, 50, "jpeg")).at("/bench/photos/0/id").asString();
        String elsewhere = Bench.of(runa, Bench.STUB, 1).open(0);
        assertThat(runa.get("/api/attempts/" + elsewhere + "/photos/" + id).status())
                .isEqualTo(404);
        assertThat(Client.signedIn(server, "dessa").get(photos + id).status()).isEqualTo(404);
    }
}
