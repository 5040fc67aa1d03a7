package tundra.app;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Synthesised sounds for tests. */
final class Tone {
    private Tone() {}

    /** A sine at half of full scale as a mono WAV of 44,100 16-bit samples a second. */
    static byte[] wav(double seconds, double hertz) throws IOException {
        int n = (int) Math.round(seconds * 44_100);
        byte[] pcm = new byte[2 * n];
        for (int i = 0; i < n; i++) {
            int v = (int) Math.round(16_383 * Math.sin(2 * Math.PI * hertz * i / 44_100));
            pcm[2 * i] = (byte) v;
            pcm[2 * i + 1] = (byte) (v >> 8);
        }
        var out = new ByteArrayOutputStream();
        var format = new AudioFormat(44_100, 16, 1, true, false);
        AudioSystem.write(new AudioInputStream(new ByteArrayInputStream(pcm), format, n), AudioFileFormat.Type.WAVE, out);
        return out.toByteArray();
    }
}
