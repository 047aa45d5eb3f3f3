package lobrik.server.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.openpdf.text.DocumentException;
import org.openpdf.text.Font;
import org.openpdf.text.Phrase;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.FontSelector;

/** The fonts of a sheet; a letter that the family lacks comes from a font that has nearly every one. */
enum Typeface {
    TEXT("400Regular/Barlow_400Regular.ttf"),
    FIGURES("500Medium/BarlowSemiCondensed_500Medium.ttf"),
    BOLD("600SemiBold/BarlowSemiCondensed_600SemiBold.ttf");

    private static final String EVERY_LETTER = "ttf/DejaVuSansCondensed.ttf";
    private static final Map<String, byte[]> FILES = new ConcurrentHashMap<>();

    private final String file;

    Typeface(String file) {
        this.file = file;
    }

    /** The fonts of one document, so that it carries each only once and only the letters that it uses. */
    static final class Set {

        private final Map<String, BaseFont> loaded = new ConcurrentHashMap<>();

        /** A text in a size, in points. */
        Phrase phrase(Typeface face, float size, String text) {
            BaseFont own = font(face.file);
            // The font of every letter is large: it is only opened for a text that needs it.
            if (text.chars().allMatch(own::charExists)) {
                return new Phrase(text, new Font(own, size));
            }
            FontSelector selector = new FontSelector();
            selector.addFont(new Font(own, size));
            selector.addFont(new Font(font(EVERY_LETTER), size * 0.92f));
            return selector.process(text);
        }

        /** How wide a text is, in points. */
        float width(Typeface face, float size, String text) {
            return font(face.file).getWidthPoint(text, size);
        }

        private BaseFont font(String file) {
            return loaded.computeIfAbsent(file, Set::load);
        }

        private static BaseFont load(String file) {
            try {
                byte[] bytes = FILES.computeIfAbsent(file, Set::read);
                return BaseFont.createFont(
                        file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, BaseFont.NOT_CACHED, bytes, null);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (DocumentException e) {
                throw new IllegalStateException("The font " + file + " cannot be used", e);
            }
        }

        private static byte[] read(String file) {
            try (InputStream in = Typeface.class.getResourceAsStream("/fonts/" + file)) {
                if (in == null) {
                    throw new IllegalStateException("The font " + file + " is not in the application");
                }
                return in.readAllBytes();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
