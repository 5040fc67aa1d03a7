package tundra.web;

import tundra.core.model.Color;
import tundra.core.model.Output;
import tundra.core.model.Outputs;

/**
 * What is said of a page in its head, and how it looks around the piece.
 *
 * @param title empty for the piece's name
 * @param words to find it by, with commas between
 * @param address where it will stand, with a / at its end; empty where that isn't known
 * @param sharedAt the moment whose picture others show of it, in µs after the first scene was opened; −1 for no such picture
 * @param icon a picture of the shelf, by its hash; empty for none
 * @param blank whether the ground alone is seen until the piece is ready
 */
public record PageHead(String title, String description, String words, String address, long sharedAt, String icon, Color ground, boolean blank) {
    public static final PageHead USUAL = new PageHead("", "", "", "", -1, "", Color.WHITE, false);

    /** @param o of the kind {@link Outputs#PAGE} */
    public static PageHead of(Output o) {
        String address = o.text(Outputs.ADDRESS);
        return new PageHead(o.text(Outputs.TITLE).strip(), o.text(Outputs.DESCRIPTION).strip(), o.text(Outputs.WORDS).strip(), address.isEmpty()
                || address.endsWith("/") ? address : address + "/", o.time(Outputs.SHARED_AT),
                o.text(Outputs.ICON), Color.parse(o.text(Outputs.PAGE_GROUND)), o.text(Outputs.LOADING).equals("the ground alone"));
    }
}
