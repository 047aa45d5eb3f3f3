package lobrik.fault;

import java.util.List;
import java.util.function.UnaryOperator;

/** A request that cannot be met, with everything that is wrong about it. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Fault> faults;
    private final boolean wellFormed;

    private Refused(List<Fault> faults, boolean wellFormed) {
        super(faults.stream().map(Fault::message).reduce((a, b) -> a + "; " + b).orElse("refused"));
        this.faults = List.copyOf(faults);
        this.wellFormed = wellFormed;
    }

    /** Inputs are missing or outside their range. */
    public static Refused badInput(List<Fault> faults) {
        return new Refused(faults, false);
    }

    /** Each input is good by itself, but together they cannot be laid out or bent. */
    public static Refused impossible(Fault fault) {
        return new Refused(List.of(fault), true);
    }

    /** The same refusal with its faults told otherwise. */
    public Refused with(UnaryOperator<Fault> retold) {
        return new Refused(faults.stream().map(retold).toList(), wellFormed);
    }

    public List<Fault> faults() {
        return faults;
    }

    /** Whether the inputs were good one by one, and only what they ask for together is impossible. */
    public boolean isWellFormed() {
        return wellFormed;
    }
}
