package tundra.core.model;

import java.util.concurrent.ThreadLocalRandom;

/** Short random names for things: 10 letters of 32, so that 100,000 of them collide with a chance below 1 in 100,000. */
public final class Ids {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz023456789";

    private Ids() {}

    public static String next() {
        var s = new StringBuilder("e");
        for (int i = 0; i < 10; i++) {
            s.append(LETTERS.charAt(ThreadLocalRandom.current().nextInt(32)));
        }
        return s.toString();
    }
}
