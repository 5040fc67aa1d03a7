package tundra.render;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;
import tundra.core.model.Asset;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Timeline;

/** Plays the sounds of a timeline on the machine's output, mixed together; a machine without one stays silent and says so. */
public final class SoundOut {
    private static final int CHUNK = 1024;
    private static final AudioFormat FORMAT = new AudioFormat(SoundReader.RATE, 16, 2, true, false);
    private final Map<String, float[]> decoded = new ConcurrentHashMap<>();
    private final AtomicInteger run = new AtomicInteger();
    private volatile String silent;

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

    /** Plays from a time in µs on, until {@link #stop}. */
    public void play(Project p, Timeline t, long from) {
        int mine = run.incrementAndGet();
        silent = null;
        if (!t.sounds().isEmpty()) {
            Thread.ofPlatform().daemon().name("sound").start(() -> sound(p, t, from, mine));
        }
    }

    public void stop() {
        run.incrementAndGet();
    }

    public String silent() {
        return silent;
    }

    private void sound(Project p, Timeline t, long from, int mine) {
        long began = System.nanoTime();
        var voices = new ArrayList<Voice>();
        for (PlacedSound s : t.sounds()) {
            voices.add(Voice.of(decoded.computeIfAbsent(s.asset(), h -> decode(p.assets().get(h))), s, t.duration()));
        }
        try (SourceDataLine line = AudioSystem.getSourceDataLine(FORMAT)) {
            line.open(FORMAT, 4 * CHUNK * 4);
            line.start();
            // decoding may have taken a moment: begin where the picture is by now
            long sample = (from + (System.nanoTime() - began) / 1000) * SoundReader.RATE / 1_000_000;
            while (run.get() == mine) {
                byte[] out = mix(voices, sample, CHUNK);
                line.write(out, 0, out.length);
                sample += CHUNK;
            }
        } catch (LineUnavailableException | IllegalArgumentException e) {
            silent = "No sound is heard: this machine has no sound output.";
        }
    }

    private static float[] decode(Asset a) {
        try {
            return SoundReader.decode(a.name(), a.data());
        } catch (IOException | UncheckedIOException e) {
            // it was checked when it was brought in; what is damaged since is silence
            return new float[0];
        }
    }

    private static void add(Voice v, long from, int count, float[] sum) {
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
    static byte[] mix(List<Voice> voices, long from, int count) {
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
