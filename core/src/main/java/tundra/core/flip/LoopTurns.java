package tundra.core.flip;

import java.util.function.LongPredicate;
import tundra.core.model.Flipbook;

/** The turns of a flipbook that starts over: which of them to go to for a frame of the first. */
public final class LoopTurns {
    private LoopTurns() {}

    /**
     * When a frame is seen: in the turn nearest to a time in which it can be, else in the turn of that time.
     *
     * @param frame    from the start of the flipbook's time, as in its first turn
     * @param around   in µs on the flipbook's timeline
     * @param duration of that timeline in µs: no turn begins after it
     * @param seen     whether the flipbook is shown at a time in µs
     * @return in µs
     */
    public static long timeOf(Flipbook book, long frame, long around, long duration, LongPredicate seen) {
        long first = Math.max(0, frame), period = book.end() - book.start();
        if (book.ending() != Flipbook.Ending.LOOP || period <= 0 || first < book.start()) {
            return book.timeOf(first);
        }
        long here = Math.max(0, (book.frameAt(around) - book.start()) / period);
        long last = Math.max(0, book.frameAt(duration) - first) / period;
        for (long away = 0; here + away <= last || here - away >= 0; away++) {
            for (long turn : new long[] {here + away, here - away}) {
                if (turn >= 0 && turn <= last && seen.test(book.timeOf(first + turn * period))) {
                    return book.timeOf(first + turn * period);
                }
            }
        }
        return book.timeOf(first + (here <= last ? here * period : 0));
    }
}
