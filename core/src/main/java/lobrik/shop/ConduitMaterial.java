package lobrik.shop;

/** The kinds of conduit whose diameters the handbook tabulates. */
public enum ConduitMaterial {
    EMT("EMT"),
    IMC("IMC"),
    RIGID("rigid"),
    PVC("PVC");

    private final String label;

    ConduitMaterial(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
