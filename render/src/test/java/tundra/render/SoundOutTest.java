package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.model.PlacedSound;
import tundra.render.SoundMix.Voice;

class SoundOutTest {
    private static short[] mixed(long from, int count, Voice... voices) {
        short[] out = new short[count * 2];
        ByteBuffer.wrap(SoundMix.bytes(List.of(voices), from, count)).order(ByteOrder.LITTLE_ENDIAN).asShortBuffer().get(out);
        return out;
    }

    private static PlacedSound placed(long start, double volume) {
        return new PlacedSound("s", "a", start, volume);
    }

    private static Voice voice(PlacedSound placed, float... samples) {
        return Voice.of(samples, placed, 1_000_000);
    }

    private static float[] ones(double seconds) {
        float[] out = new float[(int) (seconds * 96_000)];
        Arrays.fill(out, 1);
        return out;
    }

    /** The left channel at a time in s, as a fraction of full scale. */
    private static double at(double seconds, Voice v) {
        return mixed(Math.round(seconds * 48_000), 1, v)[0] / 32_767.0;
    }

    @Test
    void itRisesFallsAndEndsWhereItIsTrimmed() {
        var v = voice(placed(100_000, 0.8).withFades(100_000, 200_000).trimmed(50_000, 500_000), ones(1));
        assertThat(at(0.05, v)).isZero();
        assertThat(at(0.15, v)).as("half way up").isCloseTo(0.4, within(0.001));
        assertThat(at(0.3, v)).isCloseTo(0.8, within(0.001));
        assertThat(at(0.5, v)).as("half way down to 0.6 s").isCloseTo(0.4, within(0.001));
        assertThat(at(0.61, v)).isZero();
    }

    @Test
    void aLoopBeginsAgainWithTheTrimmedPart() {
        float[] ramp = new float[96_000];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = i / 2 / 48_000f;
        }
        var v = voice(placed(0, 1).trimmed(250_000, 250_000).withLoop(true), ramp);
        assertThat(at(0.1, v)).isCloseTo(0.35, within(0.001));
        assertThat(at(0.35, v)).as("the second time round").isCloseTo(0.35, within(0.001));
        assertThat(at(0.999, v)).isCloseTo(0.499, within(0.001));
        assertThat(at(1.001, v)).as("with the timeline it ends").isZero();
    }

    @Test
    void voicesAddUpAtTheirTimesAndLoudness() {
        // samples 10 and 11, in µs
        var early = voice(placed(209, 1), 0.5f, -0.5f, 0.25f, 0);
        var late = voice(placed(230, 0.5), 0.5f, 0.5f);
        // one sample before the first, both of it, one after; left and right in turn
        assertThat(mixed(9, 4, early, late)).containsExactly((short) 0, (short) 0, (short) 16384, (short) -16383, (short) 16384, (short) 8192,
                (short) 0, (short) 0);
    }

    @Test
    void whatIsTooLoudIsCutAndNotWrapped() {
        var loud = voice(placed(0, 1), 0.9f, -0.9f);
        assertThat(mixed(0, 1, loud, loud)).containsExactly((short) 32767, (short) -32767);
    }
}
