package tundra.core.block;

import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/**
 * What stands in place of an embedded page until the visitor asks for it.
 *
 * @param top of the line of words
 */
public record PageLayout(String words, double top, Rect button) {
    public static final String SHOW = "Show the page";
    public static final double CORNERS = 6;

    public static PageLayout of(Content.Block b) {
        double letters = b.number(Blocks.LETTERS), w = Math.min(b.box().x(), letters * 10), h = Math.min(b.box().y() / 2, letters * 2.2);
        String host = host(b.text(Blocks.ADDRESS));
        return new PageLayout(host.isEmpty() ? "No address yet" : "From " + host, b.box().y() / 2 - letters * FieldLayout.LINE - 8,
                new Rect((b.box().x() - w) / 2, b.box().y() / 2 + 4, w, h));
    }

    /** The host that an address asks, or the address where it is relative. */
    public static String host(String address) {
        return address.replaceFirst("^https?://", "").replaceFirst("[/?#].*$", "");
    }
}
