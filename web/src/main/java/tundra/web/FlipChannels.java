package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Flipbooks as keyframes: what a browser can switch off the main thread, at the very frame. They go by the Main timeline. */
final class FlipChannels {
    private FlipChannels() {}

    static List<PageTrack> of(Board board, Timeline timeline, Markup markup) {
        var out = new Tracks(timeline, null);
        if (timeline == board.main()) {
            Tree.each(board.elements(), e -> {
                if (e.content() instanceof Flipbook f && markup.of(e.id()) != null) {
                    flipbook(out, timeline, e, f, markup.flips().get(e.id()));
                }
            });
        }
        return out.all();
    }

    /** So many changes are keys of the timeline; what changes more often has those of one round. */
    private static final int UNROLLED = 4000;

    private static void flipbook(Tracks out, Timeline timeline, Element e, Flipbook f, FlipSheet sheet) {
        List<Change> changes = changes(timeline, f, UNROLLED);
        if (sheet == null) {
            for (int i = 0; i < f.drawings().size(); i++) {
                int drawing = i;
                if (!f.drawings().get(i).art().hidden()) {
                    track(out, timeline, f, ContentMarkup.drawingTarget(f.drawings().get(i).art()), "opacity", changes, now -> now == drawing ? "1"
                            : "0");
                }
            }
            return;
        }
        int first = Math.max(0, f.indexAt(0));
        track(out, timeline, f, FlipSheet.target(e), "translate", changes, now -> CssText.pair(sheet.shift(now < 0 ? first : now), 4, "px"));
        track(out, timeline, f, FlipSheet.target(e) + "-w", "opacity", changes, now -> now < 0 ? "0" : "1");
    }

    /** From a time in µs on a drawing is seen; -1 for none. */
    private record Change(long time, int drawing) {}

    /** @param most no more than so many, and the one after them */
    private static List<Change> changes(Timeline timeline, Flipbook f, int most) {
        var out = new ArrayList<Change>();
        out.add(new Change(0, f.indexAt(0)));
        long frame = 0;
        while (true) {
            long next = nextEdge(f, frame);
            if (next < 0 || f.timeOf(next) > timeline.duration() || out.size() > most) {
                return out;
            }
            int now = f.indexAt(next);
            if (now != out.getLast().drawing) {
                out.add(new Change(f.timeOf(next), now));
            }
            frame = next;
        }
    }

    /** The first frame after another at which a drawing may begin or end; -1 when nothing changes any more. */
    private static long nextEdge(Flipbook f, long frame) {
        if (f.drawings().isEmpty()) {
            return -1;
        }
        int period = f.end() - f.start();
        boolean loops = f.ending() == Flipbook.Ending.LOOP;
        long turns = loops && frame >= f.start() ? (frame - f.start()) / period : 0;
        for (long turn = turns; turn <= turns + 1; turn++) {
            for (var d : f.drawings()) {
                for (long edge : new long[] {d.start(), d.end()}) {
                    long at = edge + turn * period;
                    if (at > frame) {
                        return at;
                    }
                }
            }
            if (!loops) {
                return -1;
            }
        }
        return -1;
    }

    /** Steps; the same value all the time is no track but for the first, which the markup has. */
    private static void track(Tracks out, Timeline timeline, Flipbook f, String target, String property,
            List<Change> changes, IntFunction<String> value) {
        if (changes.size() > UNROLLED && f.ending() == Flipbook.Ending.LOOP) {
            round(out, f, target, property, value);
            return;
        }
        var keys = new ArrayList<PageTrack.PageKey>();
        double d = timeline.duration();
        for (Change c : changes) {
            String v = value.apply(c.drawing);
            if (keys.isEmpty() || !keys.getLast().value().equals(v)) {
                // a µs early, so that rounding never shows the drawing before at a frame's own time
                keys.add(new PageTrack.PageKey(Math.max(0, c.time - 1) / d, v, "step-end"));
            }
        }
        if (keys.size() > 1) {
            out.add(target, property, keys);
        }
    }

    /** The drawings of one round, which begins again as long as the timeline lasts. */
    private static void round(Tracks out, Flipbook f, String target, String property, IntFunction<String> value) {
        var keys = new ArrayList<PageTrack.PageKey>();
        long begin = f.timeOf(f.start()), length = f.timeOf(f.end()) - begin;
        for (long frame = f.start(); frame < f.end(); frame++) {
            String v = value.apply(f.indexAt(frame));
            if (keys.isEmpty() || !keys.getLast().value().equals(v)) {
                keys.add(new PageTrack.PageKey(Math.max(0, f.timeOf(frame) - begin - 1) / (double) length, v, "step-end"));
            }
        }
        out.addRound(target, property, keys, new PageTrack.Round(length, begin, value.apply(f.indexAt(0))));
    }
}
