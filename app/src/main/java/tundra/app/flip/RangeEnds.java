package tundra.app.flip;

import tundra.app.studio.OpenBook;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;

/** Where the ends of the onion skin's two ranges stand on the strip, in px; {@code from} and {@code to} are the current drawing's edges. */
record RangeEnds(double back, double from, double to, double ahead) {

    /** Null where there is no drawing at all. */
    static RangeEnds of(Flipbook b, OpenBook open, StripLayout at) {
        if (b.drawings().isEmpty()) {
            return null;
        }
        int now = open.current();
        int before = now >= 0 ? now : Math.max(0, open.neighbour(1) < 0 ? b.drawings().size() - 1 : open.neighbour(1));
        Drawing d = b.drawings().get(before);
        double from = at.x(d.start()) - 2, to = at.x(d.end()) - 2;
        int first = Math.max(0, before - open.skin().back()), last = Math.min(b.drawings().size() - 1, before + open.skin().ahead());
        return new RangeEnds(first < before ? at.x(b.drawings().get(first).start()) : from, from, to, last > before
                ? at.x(b.drawings().get(last).end()) - 4 : to);
    }
}
