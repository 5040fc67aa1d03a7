package tundra.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.ColorFilter;
import io.github.humbleui.skija.ColorMatrix;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.ImageFilter;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.frame.Filter;
import tundra.core.model.Color;

/** Filters as Skia's, in the same steps as a browser takes them. Colour steps in a row are one, without rounding between them. */
final class Filtering implements AutoCloseable {
    /** A blur of so many pixels, its standard deviation, is still made of so small a picture. */
    private static final double NARROW = 16;
    private final List<AutoCloseable> made = new ArrayList<>();
    private final double scale;
    private final ImageFilter filter;

    /** @param scale pixels a px */
    Filtering(List<Filter> filters, double scale) {
        this.scale = scale;
        ImageFilter at = null;
        for (int i = 0; i < filters.size(); i++) {
            if (filters.get(i) instanceof Filter.Matrix m) {
                ColorFilter color = matrix(m);
                while (i + 1 < filters.size() && filters.get(i + 1) instanceof Filter.Matrix next) {
                    color = keep(ColorFilter.makeComposed(matrix(next), color));
                    i++;
                }
                at = keep(ImageFilter.makeColorFilter(color, at));
            } else {
                at = step(filters.get(i), at);
            }
        }
        filter = at;
    }

    /** Null where there is nothing to do. */
    ImageFilter filter() {
        return filter;
    }

    static BlendMode blend(String css) {
        return switch (css) {
            case "normal" -> BlendMode.SRC_OVER;
            case "plus-lighter" -> BlendMode.PLUS;
            case "hue", "saturation", "color", "luminosity", "multiply", "screen", "overlay", "darken", "lighten", "difference", "exclusion" ->
                    BlendMode.valueOf(css.toUpperCase(Locale.ROOT));
            default -> BlendMode.valueOf(css.toUpperCase(Locale.ROOT).replace('-', '_'));
        };
    }

    private <T extends AutoCloseable> T keep(T native_) {
        made.add(native_);
        return native_;
    }

    private ColorFilter matrix(Filter.Matrix m) {
        float[] rows = new float[20];
        for (int i = 0; i < 20; i++) {
            rows[i] = (float) m.rows()[i];
        }
        return keep(ColorFilter.makeMatrix(new ColorMatrix(rows)));
    }

    private ImageFilter step(Filter f, ImageFilter in) {
        return switch (f) {
            case Filter.Blur b -> blurred(b.deviation().x(), b.deviation().y(), in);
            case Filter.Matrix m -> throw new IllegalStateException("colour steps are put together");
            case Filter.DropShadow d -> keep(ImageFilter.makeDropShadow((float) d.offset().x(), (float) d.offset().y(), (float) d.deviation(),
                    (float) d.deviation(), d.color().argb(), in));
            case Filter.InnerShadow i -> inner(i, in);
            case Filter.LongShadow l -> throw new IllegalStateException("long shadows are painted step by step");
        };
    }

    /** A wide blur is made of a smaller picture: what is lost of it would not be seen through the blur. */
    private ImageFilter blurred(double x, double y, ImageFilter in) {
        int by = 1;
        while (Math.min(x, y) * scale / (2 * by) >= NARROW) {
            by *= 2;
        }
        if (by == 1) {
            return keep(ImageFilter.makeBlur((float) x, (float) y, FilterTileMode.DECAL, in, (Rect) null));
        }
        ImageFilter small = keep(ImageFilter.makeMatrixTransform(Matrix33.makeScale(1f / by), SamplingMode.LINEAR, in));
        ImageFilter soft = keep(ImageFilter.makeBlur((float) x / by, (float) y / by, FilterTileMode.DECAL, small, (Rect) null));
        return keep(ImageFilter.makeMatrixTransform(Matrix33.makeScale(by), SamplingMode.LINEAR, soft));
    }

    private ImageFilter colored(Color c, ImageFilter in) {
        return keep(ImageFilter.makeColorFilter(keep(ColorFilter.makeBlend(c.argb(), BlendMode.SRC_IN)), in));
    }

    /** The colour within the shape, less the shape moved and blurred. */
    private ImageFilter inner(Filter.InnerShadow s, ImageFilter in) {
        ImageFilter moved = keep(ImageFilter.makeOffset((float) s.offset().x(), (float) s.offset().y(), in));
        ImageFilter soft = s.deviation() > 0 ? blurred(s.deviation(), s.deviation(), moved) : moved;
        ImageFilter shadow = keep(ImageFilter.makeBlend(BlendMode.DST_OUT, colored(s.color(), in), soft));
        return keep(ImageFilter.makeBlend(BlendMode.SRC_ATOP, in, shadow));
    }

    @Override
    public void close() {
        try {
            for (AutoCloseable a : made) {
                a.close();
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
