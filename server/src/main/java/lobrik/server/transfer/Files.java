package lobrik.server.transfer;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;

/** How files are sent: as attachments that no browser opens by guessing. */
final class Files {

    private Files() {}

    static void announce(HttpServletResponse response, String type, String name) {
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
    }

    /** A name for a file that any system can keep. */
    static String named(String title, String ending) {
        return title.replaceAll("[^\\p{L}\\p{N} ]", "").strip().replace(' ', '-') + ending;
    }
}
