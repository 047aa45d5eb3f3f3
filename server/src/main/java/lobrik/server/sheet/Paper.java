package lobrik.server.sheet;

import com.fasterxml.jackson.annotation.JsonProperty;
import org.openpdf.text.PageSize;
import org.openpdf.text.Rectangle;

/** What is printed on. */
public enum Paper {
    @JsonProperty("letter")
    LETTER(PageSize.LETTER),
    @JsonProperty("a4")
    A4(PageSize.A4);

    private final Rectangle size;

    Paper(Rectangle size) {
        this.size = size;
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
