package lobrik.server.demo;

import java.util.UUID;
import java.util.random.RandomGenerator;

/** Ids that come out the same for the same seed. */
record Ids(RandomGenerator random) {

    private static final long VERSION_4 = 0x4000L;
    private static final long VARIANT = 0x8000_0000_0000_0000L;

    UUID next() {
        return new UUID((random.nextLong() & ~0xF000L) | VERSION_4, (random.nextLong() >>> 2) | VARIANT);
    }
}
