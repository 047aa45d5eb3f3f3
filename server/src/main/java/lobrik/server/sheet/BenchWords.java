package lobrik.server.sheet;

import lobrik.bend.BendKind;
import lobrik.shop.HookSide;

/** What things are called on a sheet. */
public final class BenchWords {

    private BenchWords() {}

    static String of(BendKind kind) {
        return Character.toUpperCase(kind.words().charAt(0)) + kind.words().substring(1);
    }

    static String of(HookSide side) {
        return side == HookSide.DATUM ? "hook to the datum end" : "hook to the far end";
    }
}
