package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tundra.core.model.Asset;

/** How loud a sound is along its time. */
class SoundPeaksTest {
    /** A second of 440 Hz at 0.5 in the right channel only, then a second of silence. */
    private static float[] toneThenSilence() {
        float[] out = new float[2 * SoundReader.RATE * 2];
        for (int i = 0; i < SoundReader.RATE; i++) {
            out[2 * i + 1] = (float) (0.5 * Math.sin(2 * Math.PI * 440 * i / SoundReader.RATE));
        }
        return out;
    }

    @Test
    void aToneIsAsLoudAsItsAmplitudeAndSilenceIsNot() {
        SoundPeaks p = SoundPeaks.of(toneThenSilence());
        for (double t = 0; t < 0.98e6; t += 50_000) {
            assertThat(p.loudest(t, t + 10_000)).as("at %.0f", t).isCloseTo(0.5, within(0.01));
        }
        assertThat(p.loudest(1.01e6, 1.99e6)).isZero();
        assertThat(p.loudest(0.9e6, 1.5e6)).as("the loudest of a stretch counts").isCloseTo(0.5, within(0.01));
    }

    @Test
    void beyondItsEndsThereIsNothing() {
        SoundPeaks p = SoundPeaks.of(toneThenSilence());
        assertThat(p.loudest(3e6, 4e6)).isZero();
        assertThat(p.loudest(-2e6, -1e6)).isLessThanOrEqualTo(0.5);
        float[] loud = {1.5f, -1.5f};
        assertThat(SoundPeaks.of(loud).loudest(0, 1)).as("never over 1").isEqualTo(1);
        assertThat(SoundPeaks.of(new float[0]).loudest(0, 1e6)).isZero();
    }

    @Test
    void whatCantBeDecodedIsSilent() {
        assertThat(SoundPeaks.of(Asset.sound("wind.wav", "audio/wav", 1_000_000, new byte[] {1, 2, 3})).loudest(0, 1e6)).isZero();
    }
}
