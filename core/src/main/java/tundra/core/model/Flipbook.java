package tundra.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import tundra.core.geometry.Point;

/**
 * Drawings shown one after the other. Between two of them there may be frames without any.
 *
 * @param drawings in the order of their starts; no two share a frame
 * @param box the width and height that it is handled by; drawings may reach over it
 * @param rate frames per second that starts and exposures count
 * @param ending what is seen after the last drawing
 */
public record Flipbook(List<Drawing> drawings, Point box, int rate, Ending ending) implements Content.Parent {
    /** What follows the last drawing. */
    public enum Ending {
        LOOP("loop"), HOLD("hold last"), VANISH("vanish");

        public final String word;

        Ending(String word) {
            this.word = word;
        }
    }

    public Flipbook {
        drawings = drawings.stream().sorted(Comparator.comparingInt(Drawing::start)).toList();
        for (int i = 1; i < drawings.size(); i++) {
            if (drawings.get(i).start() < drawings.get(i - 1).end()) {
                throw new IllegalArgumentException("two drawings share a frame");
            }
        }
        if (rate < 1 || rate > 240) {
            throw new IllegalArgumentException("the rate must lie between 1 and 240");
        }
    }

    /** The first frame after the last drawing; 0 without any. */
    public int end() {
        return drawings.isEmpty() ? 0 : drawings.getLast().end();
    }

    /** The frame of the first drawing; 0 without any. */
    public int start() {
        return drawings.isEmpty() ? 0 : drawings.getFirst().start();
    }

    /** The frame that is seen at a time in µs. */
    public long frameAt(long time) {
        // times of frames are rounded to the µs
        return (long) Math.floor((time + 0.5) * rate / 1e6);
    }

    /** When a frame begins, in µs. */
    public long timeOf(long frame) {
        return Math.round(frame * 1e6 / rate);
    }

    /** Which drawing a frame shows, by its place in the list; -1 for none. */
    public int indexAt(long frame) {
        if (drawings.isEmpty() || frame < start()) {
            return -1;
        }
        long f = frame;
        if (frame >= end()) {
            switch (ending) {
                case VANISH -> {
                    return -1;
                }
                case HOLD -> {
                    return drawings.size() - 1;
                }
                case LOOP -> f = start() + (frame - start()) % (end() - start());
            }
        }
        int low = 0, high = drawings.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) / 2;
            if (drawings.get(mid).start() <= f) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return f < drawings.get(low).end() ? low : -1;
    }

    /** The drawing that is seen at a time of the Main timeline, in µs; null for none. */
    public Drawing at(long time) {
        int i = indexAt(frameAt(time));
        return i < 0 ? null : drawings.get(i);
    }

    /** The place of a drawing by the id of its art; -1 when it isn't here. */
    public int indexOf(String id) {
        for (int i = 0; i < drawings.size(); i++) {
            if (drawings.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    /** What a drawing is called: by its name, or by its number where it never got one of its own. */
    public String title(int index) {
        String name = drawings.get(index).art().name();
        return name.matches("Drawing \\d+") ? "Drawing " + (index + 1) : name;
    }

    public Flipbook withDrawings(List<Drawing> d) {
        return new Flipbook(d, box, rate, ending);
    }

    public Flipbook withEnding(Ending e) {
        return new Flipbook(drawings, box, rate, e);
    }

    public Flipbook withRate(int r) {
        return new Flipbook(drawings, box, r, ending);
    }

    @Override
    public Flipbook withBox(Point b) {
        return new Flipbook(drawings, b, rate, ending);
    }

    @Override
    public List<Element> children() {
        return drawings.stream().map(Drawing::art).toList();
    }

    /**
     * With other art. As many as before take the times of those before; else those that stay keep their times and what is new
     * comes at the end, for one frame each.
     */
    @Override
    public Flipbook withChildren(List<Element> children) {
        var out = new ArrayList<Drawing>();
        if (children.size() == drawings.size()) {
            for (int i = 0; i < children.size(); i++) {
                out.add(drawings.get(i).withArt(children.get(i)));
            }
            return withDrawings(out);
        }
        var known = new HashMap<String, Drawing>();
        drawings.forEach(d -> known.put(d.id(), d));
        int end = end();
        for (Element e : children) {
            Drawing d = known.get(e.id());
            out.add(d != null ? d.withArt(e) : new Drawing(art(e), end++, 1));
        }
        return withDrawings(out);
    }

    /** Anything as the art of a drawing. */
    private Element art(Element e) {
        return e.content() instanceof Content.Group ? e : blank("Drawing", box).withChildren(List.of(e));
    }

    /** Art without anything on it, of a flipbook's box. */
    public static Element blank(String name, Point box) {
        return new Element(name, new Content.Group(List.of(), box), Values.NONE.with(Properties.POSITION, box.times(0.5)));
    }
}
