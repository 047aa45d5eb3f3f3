package lobrik.server.platform;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Codes that a camera reads. */
public final class CameraCode {

    /** Modules of white around a code, as far as cameras need them. */
    private static final int QUIET = 3;

    private CameraCode() {}

    /** The same as rows of text for the screens, {@code 1} for black. */
    public static List<String> rows(String text) {
        BitMatrix matrix = of(text);
        return IntStream.range(0, matrix.getHeight())
                .mapToObj(row -> IntStream.range(0, matrix.getWidth())
                        .mapToObj(column -> matrix.get(column, row) ? "1" : "0")
                        .collect(Collectors.joining()))
                .toList();
    }

    /** The modules of a code with its quiet zone, true for black. */
    public static BitMatrix of(String text) {
        try {
            return new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M,
                                    EncodeHintType.MARGIN,
                                    QUIET));
        } catch (WriterException e) {
            throw new IllegalStateException("This address cannot be written as a code: " + text, e);
        }
    }
}
