package lobrik.server.sheet;

import com.fasterxml.jackson.annotation.JsonProperty;
import org.openpdf.text.PageSize;
import org.openpdf.text.Rectangle;

/** What is printed on. */
public enum Paper {
    @JsonProperty("letter")
    LETTER(PageSize.LETTER, PageSize.TABLOID),
    @JsonProperty("a4")
    A4(PageSize.A4, PageSize.A3);

    private final Rectangle size;
    private final Rectangle larger;

    Paper(Rectangle size, Rectangle larger) {
        this.size = size;
        this.larger = larger;
    }

    /** The next larger paper, for larger print. */
    Rectangle largerSize() {
        return new Rectangle(larger);
    }

    /** By how much a page can be enlarged on that. */
    float enlargement() {
        return Math.min(larger.getWidth() / size.getWidth(), larger.getHeight() / size.getHeight());
    }

    Rectangle size() {
        return new Rectangle(size);
    }

    float width() {
        return size.getWidth();
    }

    float height() {
        return size.getHeight();
    }
}
