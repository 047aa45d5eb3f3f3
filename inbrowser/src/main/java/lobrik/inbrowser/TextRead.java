package lobrik.inbrowser;

import org.teavm.jso.JSObject;
import org.teavm.jso.JSProperty;

/** What a text was read as. */
public sealed interface TextRead extends JSObject {

    /** A size, in inches or degrees. */
    non-sealed interface Value extends TextRead {

        @JSProperty
        double getValue();
    }

    /** No size: what is wrong, with its code, and what was probably meant (empty if nobody knows). */
    non-sealed interface NoSize extends TextRead {

        @JSProperty
        String getProblem();

        @JSProperty
        String getSuggestion();

        @JSProperty
        String getCode();
    }
}
