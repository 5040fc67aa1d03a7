package tundra.render;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
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
        var voices = new ArrayList<SoundMix.Voice>();
        for (PlacedSound s : t.sounds()) {
            voices.add(SoundMix.Voice.of(decoded.computeIfAbsent(s.asset(), h -> decode(p.assets().get(h))), s, t.duration()));
        }
        try (SourceDataLine line = AudioSystem.getSourceDataLine(FORMAT)) {
            line.open(FORMAT, 4 * CHUNK * 4);
            line.start();
            // decoding may have taken a moment: begin where the picture is by now
            long sample = (from + (System.nanoTime() - began) / 1000) * SoundReader.RATE / 1_000_000;
            while (run.get() == mine) {
                byte[] out = SoundMix.bytes(voices, sample, CHUNK);
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
}
