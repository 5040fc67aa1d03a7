package tundra.render;

import java.io.IOException;
import java.io.UncheckedIOException;
import tundra.core.model.Asset;

/** How loud a sound is along its time, for drawing its wave. */
public final class SoundPeaks {
    /** Samples that one peak sums up: 5.3 ms. */
    private static final int BLOCK = 256;
    private final float[] peaks;

    private SoundPeaks(float[] peaks) {
        this.peaks = peaks;
    }

    /** Decodes the sound; one that can't be decoded is silent. */
    public static SoundPeaks of(Asset a) {
        try {
            return of(SoundReader.decode(a.name(), a.data()));
        } catch (IOException | UncheckedIOException e) {
            // it was checked when it was brought in; what is damaged since is shown as silence
            return new SoundPeaks(new float[0]);
        }
    }

    static SoundPeaks of(float[] stereo) {
        float[] out = new float[(stereo.length / 2 + BLOCK - 1) / BLOCK];
        for (int i = 0; i < stereo.length; i++) {
            int block = i / 2 / BLOCK;
            out[block] = Math.max(out[block], Math.abs(stereo[i]));
        }
        return new SoundPeaks(out);
    }

    /** The greatest distance from silence between two times in µs from the sound's start: 0 to 1. */
    public double loudest(double from, double to) {
        double perBlock = BLOCK * 1e6 / SoundReader.RATE;
        int a = (int) Math.max(0, from / perBlock), b = (int) Math.min(peaks.length - 1, to / perBlock);
        float most = 0;
        for (int i = a; i <= b; i++) {
            most = Math.max(most, peaks[i]);
        }
        return Math.min(1, most);
    }
}
