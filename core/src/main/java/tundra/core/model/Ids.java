package tundra.core.model;

import java.util.SplittableRandom;
import java.util.concurrent.ThreadLocalRandom;
import java.util.random.RandomGenerator;

/** Short random names for things: 10 letters of 32, so that 100,000 of them collide with a chance below 1 in 100,000. */
public final class Ids {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz023456789";
    private static final ScopedValue<RandomGenerator> SEEDED = ScopedValue.newInstance();

    private Ids() {}

    public static String next() {
        RandomGenerator from = SEEDED.isBound() ? SEEDED.get() : ThreadLocalRandom.current();
        var s = new StringBuilder("e");
        for (int i = 0; i < 10; i++) {
            s.append(LETTERS.charAt(from.nextInt(32)));
        }
        return s.toString();
    }

    /** What is made with names by a seed, so that it comes out the same each time; on this thread only. */
    public static <T, X extends Throwable> T seeded(long seed, ScopedValue.CallableOp<T, X> make) throws X {
        return ScopedValue.where(SEEDED, new SplittableRandom(seed)).call(make);
    }
}
