package tundra.core.svg;

import tundra.core.file.FileProblem;

/** How much work a drawing may make: parts that are looked at, copies counted each time, and time. */
final class Budget {
    private static final int VISITS = 300_000;
    private static final long SECONDS = 10;
    private final long end = System.nanoTime() + SECONDS * 1_000_000_000L;
    private int visits;

    /** Throws when there were too many, when it takes too long, and when the thread was asked to stop. */
    void visit() throws FileProblem {
        if (++visits > VISITS) {
            throw new FileProblem("its copies of copies make more than " + VISITS + " parts");
        }
        time();
    }

    void time() throws FileProblem {
        if (System.nanoTime() > end) {
            throw new FileProblem("reading it takes longer than " + SECONDS + " seconds");
        }
        if (Thread.currentThread().isInterrupted()) {
            throw new FileProblem("reading it was cancelled");
        }
    }
}
