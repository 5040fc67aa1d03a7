package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tundra.core.model.Color;
import tundra.core.model.EffectKind;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Values;

/** The arithmetic of effects on one colour, worked out by hand from the definitions of Filter Effects Module Level 1. */
class FiltersTest {
    /** 200, 100, 40 of 255. */
    private static final double R = 200 / 255.0, G = 100 / 255.0, B = 40 / 255.0;

    private static <T> double[] of(EffectKind k, Property<T> p, T value) {
        return apply(Filters.of(k, Values.NONE.with(p, value)));
    }

    private static double[] apply(Filter f) {
        double[] m = ((Filter.Matrix) f).rows(), in = {R, G, B, 1, 1}, out = new double[4];
        for (int row = 0; row < 4; row++) {
            for (int i = 0; i < 5; i++) {
                out[row] += m[row * 5 + i] * in[i];
            }
            out[row] = Math.max(0, Math.min(1, out[row]));
        }
        return out;
    }

    @Test
    void slopesAndOffsets() {
        assertThat(of(EffectKind.BRIGHTNESS, Properties.BRIGHTNESS, 0.5)).containsExactly(new double[] {R / 2, G / 2, B / 2, 1}, within(1e-9));
        assertThat(of(EffectKind.CONTRAST, Properties.CONTRAST, 3.0)).containsExactly(new double[] {1, 3 * G - 1, 0, 1}, within(1e-9));
        assertThat(of(EffectKind.CONTRAST, Properties.CONTRAST, 1000.0)).as("hard edges").containsExactly(new double[] {1, 0, 0, 1}, within(1e-9));
        assertThat(of(EffectKind.INVERT, Properties.INVERT, 1.0)).containsExactly(new double[] {1 - R, 1 - G, 1 - B, 1}, within(1e-9));
        assertThat(of(EffectKind.INVERT, Properties.INVERT, 0.25)).containsExactly(new double[] {0.25 + 0.5 * R, 0.25 + 0.5 * G, 0.25 + 0.5 * B, 1},
                within(1e-9));
        assertThat(apply(Filters.of(EffectKind.CHANNELS, Values.NONE.with(Properties.SLOPE, new Quad(-0.7, 1, 0, 0.5))
                .with(Properties.OFFSET, new Quad(0.7, 0.1, 0.3, 0)))))
                .containsExactly(new double[] {0.7 - 0.7 * R, G + 0.1, 0.3, 0.5}, within(1e-9));
    }

    @Test
    void saturationAndHueKeepTheLuminance() {
        double luma = 0.213 * R + 0.715 * G + 0.072 * B;
        assertThat(of(EffectKind.SATURATION, Properties.SATURATION, 0.0)).containsExactly(new double[] {luma, luma, luma, 1}, within(1e-9));
        assertThat(of(EffectKind.SATURATION, Properties.SATURATION, 1.0)).containsExactly(new double[] {R, G, B, 1}, within(1e-9));
        assertThat(of(EffectKind.HUE, Properties.HUE, 360.0)).containsExactly(new double[] {R, G, B, 1}, within(1e-6));
        double[] turned = of(EffectKind.HUE, Properties.HUE, 20.0);
        assertThat(0.213 * turned[0] + 0.715 * turned[1] + 0.072 * turned[2]).isCloseTo(luma, within(0.002));
    }

    @Test
    void aTintLeadsToItsColour() {
        Values v = Values.NONE.with(Properties.TINT, Color.parse("#0000FF")).with(Properties.TINT_AMOUNT, 0.25);
        assertThat(apply(Filters.of(EffectKind.TINT, v))).containsExactly(new double[] {0.75 * R, 0.75 * G, 0.75 * B + 0.25, 1}, within(1e-9));
    }

    @Test
    void aLongShadowReachesItsLengthAndFadesToWhatIsLeft() {
        var l = (Filter.LongShadow) Filters.of(EffectKind.LONG_SHADOW, Values.NONE.with(Properties.LONG_DIRECTION, 90.0)
                .with(Properties.LONG_LENGTH, 511.0).with(Properties.LONG_FADE, 0.75));
        double way = 0, kept = 1;
        for (int i = 0; i < Filter.LongShadow.STAGES; i++) {
            assertThat(l.step(i).y()).isCloseTo(Math.pow(2, i), within(1e-9));
            way += l.step(i).y();
            kept *= l.kept(i);
        }
        assertThat(way).isCloseTo(511, within(1e-9));
        assertThat(kept).isCloseTo(0.25, within(1e-9));
        assertThat(l.reach()).isCloseTo(511, within(1e-9));
    }
}
