package lobrik.inbrowser;

import org.teavm.jso.JSObject;
import org.teavm.jso.JSProperty;

/** A slip of the finger: how far the text is off, and what was probably meant (empty if nobody knows). */
public interface Slip extends JSObject {

    @JSProperty
    double getOff();

    @JSProperty
    String getMeant();
}
