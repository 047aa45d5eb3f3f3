package lobrik.wire;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Form;
import lobrik.measure.Quantity;

/** A bend as a request gives it: its kind decides the inputs. What a kind asks for is what its {@link Form} says. */
public record BendInput(BendKind kind, PartInput said) {

    /** A bend of the core as a request would ask for it, with everything said. */
    public static BendInput of(Bend bend) {
        Form<? extends Bend> form = Form.of(bend.kind());
        return new BendInput(bend.kind(), PartInput.of(form, form.read(bend)));
    }

    /** The same with another size of an input, by its path. */
    BendInput with(String path, Quantity size) {
        return new BendInput(kind, said.with(path, size));
    }

    /** As it is written: the kind, then what is given in the order of the form. */
    public Map<String, Object> written() {
        Map<String, Object> written = new LinkedHashMap<>();
        written.put("kind", kind.id());
        written.putAll(said.written(Form.of(kind)));
        return Collections.unmodifiableMap(written);
    }
}
