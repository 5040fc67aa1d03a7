package tundra.core.model;

/**
 * One picture of a flipbook.
 *
 * @param art a group of any elements, in the flipbook's coordinates
 * @param start the frame at which it comes, counted from the start of the Main timeline
 * @param frames its exposure: for how many frames it is held, at least 1
 */
public record Drawing(Element art, int start, int frames) {
    /** No flipbook is longer, in frames. */
    public static final int LIMIT = 1_000_000;

    public Drawing {
        if (start < 0 || frames < 1 || start > LIMIT || frames > LIMIT) {
            throw new IllegalArgumentException("a drawing starts at frame 0 or later and is held for at least one frame");
        }
    }

    public String id() {
        return art.id();
    }

    /** The first frame after it. */
    public int end() {
        return start + frames;
    }

    public Drawing withArt(Element a) {
        return new Drawing(a, start, frames);
    }

    public Drawing at(int frame) {
        return new Drawing(art, frame, frames);
    }

    public Drawing held(int n) {
        return new Drawing(art, start, n);
    }
}
