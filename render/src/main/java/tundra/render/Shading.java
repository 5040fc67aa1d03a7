package tundra.render;

import io.github.humbleui.skija.Color4f;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.GradientStyle;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Shader;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Gradient;

/** Puts a colour or a gradient into a Skia paint, as a browser paints SVG: stops blend without premultiplying. */
final class Shading {
    private Shading() {}

    /** Runs a drawing with the paint filled in for a box of a size, and leaves no native shader behind. */
    static void with(Paint p, tundra.core.model.Paint source, Point box, double alpha, Runnable draw) {
        switch (source) {
            case Color c -> {
                p.setColor(c.argb());
                if (alpha != 1) {
                    p.setAlphaf((float) (c.alpha() / 255.0 * alpha));
                }
                draw.run();
            }
            case Gradient g -> {
                Affine toBox = g.toBox(box);
                if (lastStopOnly(g, toBox)) {
                    with(p, g.stops().getLast().color(), box, alpha, draw);
                    return;
                }
                try (Shader shader = shader(g, toBox)) {
                    if (shader == null) {
                        with(p, g.stops().getLast().color(), box, alpha, draw);
                        return;
                    }
                    p.setColor(0xFF000000).setAlphaf((float) alpha).setShader(shader).setDither(true);
                    draw.run();
                } finally {
                    p.setShader(null).setDither(false);
                }
            }
        }
    }

    /** SVG: a gradient without extent paints its last stop. */
    private static boolean lastStopOnly(Gradient g, Affine toBox) {
        return !toBox.invertible() || g.stops().size() == 1;
    }

    /** Whether Skia can paint it in a box of a size. */
    static boolean can(tundra.core.model.Paint source, Point box) {
        if (!(source instanceof Gradient g) || lastStopOnly(g, g.toBox(box))) {
            return true;
        }
        try (Shader shader = shader(g, g.toBox(box))) {
            return shader != null;
        }
    }

    /** Null where Skia makes none, since the gradient's map is next to nothing or beyond all bounds. */
    private static Shader shader(Gradient g, Affine toBox) {
        try {
            return made(g, toBox);
        } catch (RuntimeException e) {
            return null;
        }
    }

    private static Shader made(Gradient g, Affine toBox) {
        int n = g.stops().size();
        var colors = new Color4f[n];
        float[] at = new float[n];
        for (int i = 0; i < n; i++) {
            colors[i] = new Color4f(g.stops().get(i).color().argb());
            at[i] = (float) g.stops().get(i).at();
        }
        var style = new GradientStyle(mode(g.spread()), false, Painter.matrix(toBox));
        return switch (g.kind()) {
            case LINEAR -> Shader.makeLinearGradient(0, 0, 1, 0, colors, ColorSpace.getSRGB(), at, style);
            case RADIAL -> g.focus().equals(Point.ZERO)
                    ? Shader.makeRadialGradient(0, 0, 1, colors, ColorSpace.getSRGB(), at, style)
                    : Shader.makeTwoPointConicalGradient((float) g.focus().x(), (float) g.focus().y(), 0, 0, 0, 1, colors,
                            ColorSpace.getSRGB(), at, style);
        };
    }

    private static FilterTileMode mode(Gradient.Spread s) {
        return switch (s) {
            case PAD -> FilterTileMode.CLAMP;
            case REPEAT -> FilterTileMode.REPEAT;
            case REFLECT -> FilterTileMode.MIRROR;
        };
    }
}
