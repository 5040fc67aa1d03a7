package tundra.render;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.PlacedSound;
import tundra.core.model.Timeline;

/** Mixes placed sounds, sample for sample: 48,000 a second, left and right in turn. */
final class SoundMix {
    private SoundMix() {}

    /**
     * A decoded sound as it is placed.
     *
     * @param heard for how long it is heard, in µs
     */
    record Voice(float[] samples, PlacedSound placed, long heard) {
        static Voice of(float[] samples, PlacedSound placed, long timeline) {
            return new Voice(samples, placed, placed.heard(samples.length / 2 * 1_000_000L / SoundReader.RATE, timeline));
        }
    }

    /** A voice as often as its timeline begins anew until a time in µs; once where that doesn't loop. */
    static List<Voice> rounds(Voice v, Timeline t, long until) {
        if (!t.loop()) {
            return List.of(v);
        }
        var out = new ArrayList<Voice>();
        for (long at = 0; at < until; at += t.duration()) {
            PlacedSound p = v.placed;
            // the end of the timeline ends the sound, which begins anew
            long heard = Math.min(v.heard, Math.max(0, t.duration() - p.start()));
            out.add(new Voice(v.samples, p.withStart(p.start() + at), heard));
        }
        return out;
    }

    /** Adds a stretch of a voice, from a sample on. */
    static void add(Voice v, long from, int count, float[] sum) {
        PlacedSound p = v.placed;
        long start = p.start() * SoundReader.RATE / 1_000_000, skip = p.from() * SoundReader.RATE / 1_000_000;
        long part = Math.max(1, p.part(v.samples.length / 2 * 1_000_000L / SoundReader.RATE) * SoundReader.RATE / 1_000_000);
        for (int i = 0; i < count; i++) {
            long since = from + i - start;
            double gain = since < 0 ? 0 : p.gain(since * 1e6 / SoundReader.RATE, v.heard);
            long at = 2 * (skip + (p.loop() ? since % part : since));
            if (gain > 0 && at >= 0 && at + 1 < v.samples.length) {
                sum[2 * i] += (float) (v.samples[(int) at] * gain);
                sum[2 * i + 1] += (float) (v.samples[(int) at + 1] * gain);
            }
        }
    }

    /** A stretch of all voices together as 16-bit samples, little end first; what is too loud is cut. */
    static byte[] bytes(List<Voice> voices, long from, int count) {
        float[] sum = new float[count * 2];
        for (Voice v : voices) {
            add(v, from, count, sum);
        }
        byte[] out = new byte[count * 4];
        for (int i = 0; i < sum.length; i++) {
            int s = Math.round(Math.max(-1, Math.min(1, sum[i])) * 32_767);
            out[2 * i] = (byte) s;
            out[2 * i + 1] = (byte) (s >> 8);
        }
        return out;
    }
}
