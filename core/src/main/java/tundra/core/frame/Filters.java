package tundra.core.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.EffectKind;
import tundra.core.model.Properties;
import tundra.core.model.Quad;
import tundra.core.model.Values;

/** Effects of given values as filters: the arithmetic of Filter Effects Module Level 1, on sRGB values. */
public final class Filters {
    private Filters() {}

    /** @param v the values of an effect of that kind */
    public static Filter of(EffectKind kind, Values v) {
        return switch (kind) {
            case BLUR -> new Filter.Blur(v.get(Properties.BLUR));
            case BRIGHTNESS -> slopes(v.get(Properties.BRIGHTNESS), 0);
            case CONTRAST -> slopes(v.get(Properties.CONTRAST), 0.5 - 0.5 * v.get(Properties.CONTRAST));
            case SATURATION -> saturate(v.get(Properties.SATURATION));
            case HUE -> turn(Math.toRadians(v.get(Properties.HUE)));
            case INVERT -> slopes(1 - 2 * v.get(Properties.INVERT), v.get(Properties.INVERT));
            case CHANNELS -> channels(v.get(Properties.SLOPE), v.get(Properties.OFFSET));
            case TINT -> tint(v.get(Properties.TINT), v.get(Properties.TINT_AMOUNT));
            case DROP_SHADOW -> new Filter.DropShadow(v.get(Properties.SHADOW_OFFSET), v.get(Properties.SHADOW_BLUR), v.get(Properties.SHADOW_COLOR));
            case INNER_SHADOW -> new Filter.InnerShadow(v.get(Properties.SHADOW_OFFSET), v.get(Properties.SHADOW_BLUR),
                    v.get(Properties.SHADOW_COLOR));
            case LONG_SHADOW -> {
                double a = Math.toRadians(v.get(Properties.LONG_DIRECTION)), length = v.get(Properties.LONG_LENGTH);
                yield new Filter.LongShadow(new Point(Math.cos(a) * length, Math.sin(a) * length), v.get(Properties.LONG_FADE),
                        v.get(Properties.SHADOW_COLOR));
            }
        };
    }

    private static Filter slopes(double slope, double offset) {
        return channels(new Quad(slope, slope, slope, 1), new Quad(offset, offset, offset, 0));
    }

    private static Filter channels(Quad s, Quad o) {
        return new Filter.Matrix(new double[] {s.r(), 0, 0, 0, o.r(), 0, s.g(), 0, 0, o.g(), 0, 0, s.b(), 0, o.b(), 0, 0, 0, s.a(), o.a()});
    }

    private static Filter saturate(double s) {
        return new Filter.Matrix(new double[] {
            0.213 + 0.787 * s, 0.715 - 0.715 * s, 0.072 - 0.072 * s, 0, 0,
            0.213 - 0.213 * s, 0.715 + 0.285 * s, 0.072 - 0.072 * s, 0, 0,
            0.213 - 0.213 * s, 0.715 - 0.715 * s, 0.072 + 0.928 * s, 0, 0,
            0, 0, 0, 1, 0});
    }

    private static Filter turn(double angle) {
        double c = Math.cos(angle), s = Math.sin(angle);
        return new Filter.Matrix(new double[] {
            0.213 + c * 0.787 - s * 0.213, 0.715 - c * 0.715 - s * 0.715, 0.072 - c * 0.072 + s * 0.928, 0, 0,
            0.213 - c * 0.213 + s * 0.143, 0.715 + c * 0.285 + s * 0.140, 0.072 - c * 0.072 - s * 0.283, 0, 0,
            0.213 - c * 0.213 - s * 0.787, 0.715 - c * 0.715 + s * 0.715, 0.072 + c * 0.928 + s * 0.072, 0, 0,
            0, 0, 0, 1, 0});
    }

    private static Filter tint(Color c, double amount) {
        double k = 1 - amount;
        return new Filter.Matrix(new double[] {k, 0, 0, 0, amount * c.red() / 255.0, 0, k, 0, 0, amount * c.green() / 255.0, 0, 0, k, 0,
                amount * c.blue() / 255.0, 0, 0, 0, 1, 0});
    }

    /** How far paint can come out of a shape that some filters are laid over one after the other, in px. */
    static double reach(List<Filter> filters) {
        return filters.stream().mapToDouble(Filter::reach).sum();
    }

    /** Filters that do nothing are left out. */
    static List<Filter> needed(List<Filter> all) {
        var out = new ArrayList<Filter>();
        for (Filter f : all) {
            boolean idle = switch (f) {
                case Filter.Blur b -> b.deviation().x() <= 0 && b.deviation().y() <= 0;
                case Filter.Matrix m -> Arrays.equals(m.rows(), new double[] {1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0});
                case Filter.DropShadow d -> !d.color().visible();
                case Filter.InnerShadow i -> !i.color().visible();
                case Filter.LongShadow l -> !l.color().visible();
            };
            if (!idle) {
                out.add(f);
            }
        }
        return out;
    }
}
