package tundra.app.publish;

import java.util.List;

/**
 * Who the page is tried as.
 *
 * @param lessMotion whether less motion is asked for
 * @param width of the window, in px; 0 for that of the scene
 * @param height of the window, in px; 0 for that of a usual device of that width, or of the scene
 * @param turned whether the device is held the other way
 * @param large whether the page is seen at 200 %
 * @param slow whether the line is slow
 * @param dark whether dark pages are preferred
 */
record Visitor(Hand hand, boolean lessMotion, int width, int height, boolean turned, boolean large, boolean slow, boolean dark) {
    static final Visitor USUAL = new Visitor(Hand.MOUSE, false, 0, 0, false, false, false, false);
    /** Of a laptop, a tablet, a phone held across and one held upright, in CSS px. */
    static final List<Integer> WIDTHS = List.of(1024, 768, 568, 375);

    /** What the visitor uses. */
    enum Hand {
        MOUSE("Mouse"), TOUCH("Touch"), KEYS("Keyboard only");

        final String words;

        Hand(String words) {
            this.words = words;
        }
    }

    /** What is asked of the page's log script, which plays the visitor, as the end of an address. */
    String query() {
        return (hand == Hand.TOUCH ? "&touch" : "") + (lessMotion ? "&less" : "") + (slow ? "&slow" : "") + (dark ? "&dark" : "");
    }

    Visitor withHand(Hand h) {
        return new Visitor(h, lessMotion, width, height, turned, large, slow, dark);
    }

    Visitor withLessMotion(boolean l) {
        return new Visitor(hand, l, width, height, turned, large, slow, dark);
    }

    Visitor withWidth(int w) {
        return new Visitor(hand, lessMotion, w, height, turned, large, slow, dark);
    }

    Visitor withHeight(int h) {
        return new Visitor(hand, lessMotion, width, h, turned, large, slow, dark);
    }

    Visitor withTurned(boolean t) {
        return new Visitor(hand, lessMotion, width, height, t, large, slow, dark);
    }

    Visitor withLarge(boolean l) {
        return new Visitor(hand, lessMotion, width, height, turned, l, slow, dark);
    }

    Visitor withSlow(boolean s) {
        return new Visitor(hand, lessMotion, width, height, turned, large, s, dark);
    }

    Visitor withDark(boolean d) {
        return new Visitor(hand, lessMotion, width, height, turned, large, slow, d);
    }

    /** Of a device so wide, held upright or across: how high its window is, in px; 0 for one that is as high as the scene. */
    static int height(int width) {
        return switch (width) {
            case 1024 -> 640;
            case 768 -> 1024;
            case 568 -> 320;
            case 375 -> 667;
            default -> 0;
        };
    }
}
