package tundra.web;

import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** What ties ask of the page besides numbers that go with a width. */
final class Tied {
    private Tied() {}

    /** Whether a text breaks anew where its parent is wider: its wrap width follows. */
    static boolean wraps(Element e) {
        return e.content() instanceof Content.Text t && t.wrap() > 0
                && (e.rest().get(Properties.TIE_X).equals("both sides") || e.rest().get(Properties.WIDTH_IN).equals("%"));
    }
}
