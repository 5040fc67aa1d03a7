package tundra.app.cli;

import tundra.core.work.Progress;

/** How far long work is, on a line of the terminal. */
final class Percent {
    private Percent() {}

    /** Shows nothing where no person looks on. */
    static Progress shown() {
        if (System.console() == null) {
            return Progress.NONE;
        }
        int[] last = {-1};
        return Progress.of(done -> {
            int now = (int) (100 * done);
            if (now != last[0]) {
                last[0] = now;
                System.err.print("\r" + now + " %" + (now == 100 ? "\n" : ""));
            }
        }, () -> false);
    }
}
