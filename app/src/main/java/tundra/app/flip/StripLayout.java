package tundra.app.flip;

import tundra.core.model.Flipbook;

/**
 * Where frames stand on the strip.
 *
 * @param left the x of frame 0 when nothing is scrolled
 * @param scroll by how many px the strip is scrolled to the right
 * @param perFrame px for one frame
 */
record StripLayout(double left, double scroll, double perFrame) {
    static final double TOP = 4;
    static final double CELL = 62;
    /** The height of the bar of the onion skin's ranges below the cells. */
    static final double RANGE = 16;
    static final double HEIGHT = TOP + CELL + RANGE + 2;
    static final double LEAST = 6;
    static final double MOST = 160;

    double x(double frame) {
        return left + frame * perFrame - scroll;
    }

    double frame(double x) {
        return (x - left + scroll) / perFrame;
    }

    /** The frame under a place. */
    int frameAt(double x) {
        return (int) Math.floor(frame(x));
    }

    StripLayout zoomed(double factor, double at) {
        double next = Math.max(LEAST, Math.min(MOST, perFrame * factor));
        return new StripLayout(left, Math.max(0, frame(at) * next - (at - left)), next);
    }

    StripLayout scrolled(double by) {
        return new StripLayout(left, Math.max(0, scroll + by), perFrame);
    }

    /** Scrolled as little as it takes to see a stretch. */
    StripLayout showing(double from, double to, double width) {
        if (x(from) < left) {
            return new StripLayout(left, from * perFrame, perFrame);
        }
        return x(to) > width - left ? new StripLayout(left, Math.max(0, Math.min(from * perFrame, to * perFrame - (width - 2 * left))), perFrame)
                : this;
    }

    /** The drawing under a place; -1 for none. */
    int index(Flipbook b, double x) {
        int f = frameAt(x);
        return f < 0 || f >= b.end() ? -1 : b.indexAt(f);
    }
}
