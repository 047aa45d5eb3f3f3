package lobrik.server.photo;

import static lobrik.server.photo.PictureFiles.chunk;
import static lobrik.server.photo.PictureFiles.deep;
import static lobrik.server.photo.PictureFiles.indexOf;
import static lobrik.server.photo.PictureFiles.inflatesTo;
import static lobrik.server.photo.PictureFiles.join;
import static lobrik.server.photo.PictureFiles.picture;
import static lobrik.server.photo.PictureFiles.png;
import static lobrik.server.photo.PictureFiles.progressive;
import static lobrik.server.photo.PictureFiles.repeated;
import static lobrik.server.photo.PictureFiles.withChunks;
import static lobrik.server.photo.PictureFiles.withExif;
import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
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

    /** Together more than a quarter of a gigabyte, and more than there is memory for in a full run. */
    private static final int LARGE_BODIES = Boolean.getBoolean("lobrik.full") ? 120 : 24;

    private Client runa;
    private String photos;

    @BeforeEach
    void openAttempt(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        photos = "/api/attempts/" + Bench.of(runa, Bench.STUB, 1).open(0) + "/photos/";
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
    void textThatWouldInflateToGigabytes_isSteppedOver_inEveryKindOfChunk() throws Exception {
        byte[] bomb = inflatesTo(1_000);
        assertThat(bomb.length).isLessThan(1_200_000);
        byte[] zTXt = chunk("zTXt", join(new byte[] {'a', 0, 0}, bomb));
        byte[] iTXt = chunk("iTXt", join(new byte[] {'a', 0, 1, 0, 0, 0}, bomb));
        byte[] iCCP = chunk("iCCP", join(new byte[] {'a', 0, 0}, bomb));
        byte[] eXIf = chunk("eXIf", bomb);
        byte[] png = picture(320, 200, "png");
        for (byte[] chunk : new byte[][] {zTXt, iTXt, iCCP, eXIf}) {
            Answer answer = put(withChunks(png, chunk));
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        }
        // The pixels themselves: what is more than the size says is not inflated.
        byte[] idat = chunk("IDAT", bomb);
        byte[] end = chunk("IEND", new byte[0]);
        assertThat(put(join(Arrays.copyOf(png, 33), idat, end)).status()).isIn(200, 400);
    }

    @Test
    void onlyThePictureIsKept_ofAFileThatIsSomethingElseToo() throws Exception {
        byte[] archive = "PK\3\4 <script>alert(1)</script>".getBytes(StandardCharsets.US_ASCII);
        byte[] jpeg = picture(320, 200, "jpeg");
        byte[] comment = join(new byte[] {(byte) 0xff, (byte) 0xfe, 0, (byte) (archive.length + 2)}, archive);
        byte[] sent = join(Arrays.copyOf(jpeg, 2), comment, Arrays.copyOfRange(jpeg, 2, jpeg.length), archive);
        for (byte[] file : new byte[][] {sent, join(picture(320, 200, "png"), archive)}) {
            Answer answer = put(file);
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            byte[] kept = runa.file(photos + answer.at("/bench/photos/0/id").asString());
            assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("script", "PK\3\4");
        }
    }

    @Test
    void progressiveJpeg_isTakenWhileItIsSmall_sinceItIsKeptWholeWhileItIsRead() throws Exception {
        assertThat(put(progressive(1600, 1200)).status()).isEqualTo(200);
        Answer large = put(progressive(4000, 3000));
        assertThat(large.status()).isEqualTo(413);
        assertThat(large.at("/detail").asString()).contains("4000 × 3000", "8 million", "progressive");
        // Layer upon layer: each makes the reader go over all pixels again.
        byte[] small = progressive(64, 64);
        int scan = indexOf(small, (byte) 0xda);
        byte[] layers = join(
                Arrays.copyOf(small, small.length - 2),
                repeated(Arrays.copyOfRange(small, scan - 1, small.length - 2), 50),
                new byte[] {(byte) 0xff, (byte) 0xd9});
        assertThat(put(layers).at("/detail").asString()).contains("layers");
    }

    @Test
    void sizesAtTheLimit() throws Exception {
        // A header alone says the size; what is refused for it is refused before its pixels are asked for.
        assertThat(put(png(40_001, 1000)).at("/detail").asString())
                .contains("40001 × 1000 pixels; the most is 40 million");
        assertThat(put(png(20_001, 10)).at("/detail").asString()).contains("20000 on a side");
        assertThat(put(png(0, 10)).status()).isEqualTo(400);
        assertThat(put(png(-1, 10)).status()).isEqualTo(400);
        // 16 bits for each of four colours, the largest that a pixel can be, and as many of them as are taken.
        assertThat(put(deep(6400, 6200)).status()).isEqualTo(200);
    }

    @Test
    void manyLargeBodiesAtOnce_areTakenInTurn_andOthersAreAnsweredMeanwhile() throws Exception {
        byte[] twelve = Arrays.copyOf(picture(320, 200, "jpeg"), 12 * 1024 * 1024);
        byte[] broken = twelve.clone();
        broken[30] ^= 1;
        Arrays.fill(broken, 100, 200, (byte) 0xff);
        try (ExecutorService senders = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<Answer>> sent = new ArrayList<>();
            for (int i = 0; i < LARGE_BODIES; i++) {
                // To work them all out would only take long.
                byte[] one = i % 10 == 0 ? twelve : broken;
                sent.add(senders.submit(() -> put(one)));
            }
            assertThat(runa.get("/api/cohorts").status()).isEqualTo(200);
            for (Future<Answer> one : sent) {
                assertThat(one.get().status()).isIn(200, 400, 503);
            }
        }
        assertThat(put(twelve).status()).isEqualTo(200);
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
