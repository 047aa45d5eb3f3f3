package lobrik.inbrowser;

import lobrik.verdict.Judged;
import org.teavm.jso.JSObject;
import org.teavm.jso.JSProperty;

/** How far a reading is off, and what that is worth. */
public interface Judgement extends JSObject {

    @JSProperty
    double getDeviation();

    @JSProperty
    double getCredit();

    @JSProperty
    @OneOf(Judged.Band.class)
    String getBand();
}
