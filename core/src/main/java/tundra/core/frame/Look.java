package tundra.core.frame;

import java.util.List;

/**
 * How an element's picture is laid over what lies behind it.
 *
 * @param filters done to it first, in their order
 * @param blend a blend mode of CSS
 * @param isolated whether what lies in it blends only with each other although some of it blends
 * @param passes whether what lies in it and blends is blended with what lies behind the element
 */
public record Look(List<Filter> filters, String blend, boolean isolated, boolean passes) {
    public static final Look PLAIN = new Look(List.of(), "normal", false, false);

    /** Whether it, or what it lets through, blends. */
    boolean blends() {
        return passes || !blend.equals("normal");
    }
}
