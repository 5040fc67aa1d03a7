package tundra.render;

import io.github.humbleui.skija.ColorFilter;
import java.util.function.DoubleUnaryOperator;
import tundra.core.model.Color;

/**
 * How dark the edges of letters are. Skia corrects the coverage of glyphs by the luminance of their colour, with a contrast and
 * a gamma that are set when it is built (SkMaskGamma): Chromium's differ from Skija's. The tables here turn the one into the
 * other, for the eight luminances that Skia tells apart.
 */
final class TextTone {
    private static final double CONTRAST = 0.5;
    private static final double CHROMIUM_GAMMA = 1.4;
    private static final ColorFilter[] FILTERS = new ColorFilter[8];

    private TextTone() {}

    /** To be laid over the alpha of letters painted in a colour. */
    static synchronized ColorFilter of(Color c) {
        int level = luminance(c) >> 5;
        if (FILTERS[level] == null) {
            FILTERS[level] = ColorFilter.makeTableARGB(table(level), null, null, null);
        }
        return FILTERS[level];
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double coded(double v) {
        return v <= 0.0031308 ? v * 12.92 : 1.055 * Math.pow(v, 1 / 2.4) - 0.055;
    }

    private static int luminance(Color c) {
        double y = 0.2126 * linear(c.red() / 255.0) + 0.7152 * linear(c.green() / 255.0) + 0.0722 * linear(c.blue() / 255.0);
        return (int) Math.round(coded(y) * 255);
    }

    /** From Skija's corrected coverage to Chromium's, by way of the true coverage. */
    private static byte[] table(int level) {
        double source = (level << 5 | level << 2 | level >> 1) / 255.0;
        double[] ours = new double[256], theirs = new double[256];
        for (int i = 0; i < 256; i++) {
            ours[i] = corrected(i / 255.0, source, TextTone::linear, TextTone::coded);
            theirs[i] = corrected(i / 255.0, source, v -> Math.pow(v, CHROMIUM_GAMMA), v -> Math.pow(v, 1 / CHROMIUM_GAMMA));
        }
        byte[] out = new byte[256];
        int at = 0;
        for (int i = 0; i < 256; i++) {
            double v = i / 255.0;
            while (at < 254 && ours[at + 1] < v) {
                at++;
            }
            double span = ours[at + 1] - ours[at], p = span <= 0 ? 0 : Math.max(0, Math.min(1, (v - ours[at]) / span));
            out[i] = (byte) Math.round(255 * Math.max(0, Math.min(1, theirs[at] + (theirs[at + 1] - theirs[at]) * p)));
        }
        return out;
    }

    /** SkMaskGamma's correction of a coverage. */
    private static double corrected(double coverage, double source, DoubleUnaryOperator toLinear, DoubleUnaryOperator fromLinear) {
        double background = 1 - source;
        double contrast = CONTRAST * toLinear.applyAsDouble(background);
        double a = coverage + (1 - coverage) * contrast * coverage;
        if (Math.abs(background - source) < 1.0 / 256) {
            return a;
        }
        double mixed = toLinear.applyAsDouble(source) * a + (1 - a) * toLinear.applyAsDouble(background);
        return (fromLinear.applyAsDouble(mixed) - background) / (source - background);
    }
}
