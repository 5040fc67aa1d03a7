package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.lang.management.ManagementFactory;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;

class SoundReaderTest {
    @Test
    void aToneKeepsItsLengthPitchAndLoudness() throws Exception {
        byte[] wav = Tone.wav(0.5, 440);
        Asset a = SoundReader.read("tone.wav", wav);
        assertThat(a.kind()).isEqualTo(Asset.Kind.SOUND);
        assertThat(a.duration()).isCloseTo(500_000, within(1_000L));
        float[] s = SoundReader.decode("tone.wav", wav);
        int crossings = 0;
        double power = 0;
        for (int i = 2; i < s.length; i += 2) {
            crossings += s[i - 2] < 0 && s[i] >= 0 ? 1 : 0;
            power += s[i] * s[i];
            assertThat(s[i + 1]).as("mono on both sides").isEqualTo(s[i]);
        }
        assertThat(crossings).as("440 a second for half a second").isBetween(218, 221);
        // from one to both sides keeps the level; a sine's mean square is half of its peak's square
        assertThat(Math.sqrt(power / (s.length / 2.0))).isCloseTo(0.5 / Math.sqrt(2), within(0.01));
    }

    @Test
    void whatIsNoSoundIsTold() {
        byte[] cut = {'R', 'I', 'F', 'F', 0, 0, 0, 0, 'W', 'A', 'V', 'E', 1, 2, 3};
        assertThatThrownBy(() -> SoundReader.read("cut.wav", cut)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("“cut.wav” can't be brought in");
        assertThatThrownBy(() -> SoundReader.read("words.mp3", "no sound".getBytes())).isInstanceOf(FileProblem.class)
                .hasMessageContaining("WAV, MP3");
        byte[] noise = new byte[4000];
        Arrays.fill(noise, (byte) 0x55);
        noise[0] = 'O';
        noise[1] = 'g';
        noise[2] = 'g';
        noise[3] = 'S';
        assertThatThrownBy(() -> SoundReader.read("noise.ogg", noise)).isInstanceOf(FileProblem.class).hasMessageContaining("Nothing was changed");
    }

    /** A WAV of silence with one byte a sample. */
    private static byte[] plain(int rate, int seconds) {
        var b = ByteBuffer.allocate(44 + rate * seconds).order(ByteOrder.LITTLE_ENDIAN);
        b.put("RIFF".getBytes()).putInt(36 + rate * seconds).put("WAVEfmt ".getBytes()).putInt(16).putShort((short) 1).putShort((short) 1)
                .putInt(rate).putInt(rate).putShort((short) 1).putShort((short) 8).put("data".getBytes()).putInt(rate * seconds);
        Arrays.fill(b.array(), 44, b.capacity(), (byte) 0x80);
        return b.array();
    }

    @Test
    void aLongSoundIsMeasuredWithoutBeingKept() throws Exception {
        byte[] wav = plain(8000, 1500);
        var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
        long before = threads.getCurrentThreadAllocatedBytes();
        Asset a = SoundReader.read("long.wav", wav);
        assertThat(a.duration()).isCloseTo(1_500_000_000L, within(10_000L));
        // kept, its samples would be 288 MB and twice that while they grow
        assertThat((threads.getCurrentThreadAllocatedBytes() - before) >> 20).as("MB").isLessThan(100);
        assertThatThrownBy(() -> SoundReader.read("longer.wav", plain(8000, 1830))).hasMessageContaining("longer than half an hour");
    }

    @Test
    void aSampleASecondIsRefusedBeforeItIsMadeMore() {
        assertThatThrownBy(() -> SoundReader.read("slow.wav", plain(1, 5000))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("1 samples a second");
    }
}
