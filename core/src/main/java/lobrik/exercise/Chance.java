package lobrik.exercise;

/**
 * A small repeatable source of chance: the same seed gives the same numbers everywhere, also where this core is compiled to
 * something other than a JVM. Splittable generator of Steele, Lea and Flood (2014), its 64-bit mix.
 */
final class Chance {

    private static final long GAMMA = 0x9E3779B97F4A7C15L;

    private long state;

    Chance(long seed) {
        this.state = seed;
    }

    private long next() {
        state += GAMMA;
        long z = state;
        z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
    }

    /** A number from 0 up to, but not including, the bound. */
    int below(int bound) {
        return (int) Long.remainderUnsigned(next(), bound);
    }
}
