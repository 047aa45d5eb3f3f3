package lobrik.layout;

import lobrik.fault.Faults;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;

/** What of a layout should be thought about because of the tool that it is bent with. */
sealed interface ToolChecks permits ShoeChecks, MachineChecks, FormerChecks {

    /** Of the tool's figures, whatever is bent. */
    void figures();

    /** Of what the tool has to hold, and what has to be left beside it. */
    void hold();

    /** Of what is done at each ring. */
    void marks();

    static ToolChecks of(Layout layout, Faults warnings) {
        return switch (layout.job().tooling().tool()) {
            case Shoe shoe -> new ShoeChecks(layout, shoe, warnings);
            case Machine machine -> new MachineChecks(layout, machine, warnings);
            case Former former -> new FormerChecks(layout, former, warnings);
        };
    }
}
