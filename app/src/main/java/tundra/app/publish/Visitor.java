package tundra.app.publish;

import java.util.List;

/**
 * Who the page is tried as.
 *
 * @param lessMotion whether less motion is asked for
 * @param width of the window, in px; 0 for that of the scene
 */
record Visitor(Hand hand, boolean lessMotion, int width) {
    static final Visitor USUAL = new Visitor(Hand.MOUSE, false, 0);
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
        return (hand == Hand.TOUCH ? "&touch" : "") + (lessMotion ? "&less" : "");
    }

    Visitor withHand(Hand h) {
        return new Visitor(h, lessMotion, width);
    }

    Visitor withLessMotion(boolean l) {
        return new Visitor(hand, l, width);
    }

    Visitor withWidth(int w) {
        return new Visitor(hand, lessMotion, w);
    }
}
