package tundra.web;

import tundra.core.frame.Filter;
import tundra.core.geometry.Numbers;
import tundra.core.model.Color;
import tundra.core.model.Effect;
import tundra.core.model.Properties;
import tundra.core.model.Quad;
import tundra.core.model.Timeline;
import tundra.core.svg.FilterText;

/** Attributes of SVG filters that are made of several properties which are keyed on different timelines. */
final class FilterMixes {
    private FilterMixes() {}

    /** What a timeline keys of an attribute of an effect. */
    static void keys(Effect x, String part, FilterText.Attribute a, Tracks out) {
        Timeline t = out.timeline();
        switch (x.kind()) {
            case CHANNELS -> {
                out.mixes().rest(part, "channels", text(x.rest().get(Properties.SLOPE)), text(x.rest().get(Properties.OFFSET)));
                out.eased(part, Mixes.part("channels", 0), t.track(x.id(), Properties.SLOPE), (p, q, share) ->
                        text(Properties.SLOPE.type().lerp(p, q, share)));
                out.eased(part, Mixes.part("channels", 1), t.track(x.id(), Properties.OFFSET), (p, q, share) ->
                        text(Properties.OFFSET.type().lerp(p, q, share)));
            }
            case TINT -> {
                out.mixes().rest(part, "tint", text(x.rest().get(Properties.TINT)), x.rest().get(Properties.TINT_AMOUNT));
                out.eased(part, Mixes.part("tint", 0), t.track(x.id(), Properties.TINT), (p, q, share) ->
                        text(Properties.TINT.type().lerp(p, q, share)));
                out.number(part, Mixes.part("tint", 1), t.track(x.id(), Properties.TINT_AMOUNT));
            }
            case LONG_SHADOW -> {
                // one mix makes both of dx and dy
                if (a.name().equals("dx")) {
                    double share = Math.pow(2, Integer.parseInt(a.part().substring(1))) / (Math.pow(2, Filter.LongShadow.STAGES) - 1);
                    out.mixes().with(part, "way", share, x.rest().get(Properties.LONG_DIRECTION), x.rest().get(Properties.LONG_LENGTH));
                    out.number(part, Mixes.part("way", 0), t.track(x.id(), Properties.LONG_DIRECTION));
                    out.number(part, Mixes.part("way", 1), t.track(x.id(), Properties.LONG_LENGTH));
                }
            }
            default -> throw new IllegalArgumentException("nothing to mix in " + x.kind());
        }
    }

    private static String text(Quad q) {
        return plain(q.r()) + " " + plain(q.g()) + " " + plain(q.b()) + " " + plain(q.a());
    }

    private static String text(Color c) {
        return plain(c.red() / 255.0) + " " + plain(c.green() / 255.0) + " " + plain(c.blue() / 255.0);
    }

    private static String plain(double d) {
        return Numbers.plain(d, 6);
    }
}
