package lobrik.fault;

/**
 * One thing that is wrong.
 *
 * @param input the input it concerns, by its path in the calculation contract, such as {@code bend/legIn}
 * @param message a sentence with the value, the limit and what to try
 */
public record Fault(FaultCode code, String input, String message) {

    /** The same fault of an input that stands further down, such as {@code legIn} within {@code bend}. */
    public Fault within(String parent) {
        return new Fault(code, parent + "/" + input, message);
    }
}
