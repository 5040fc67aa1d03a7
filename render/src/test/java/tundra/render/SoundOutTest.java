package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.render.SoundOut.Voice;

class SoundOutTest {
    private static short[] mixed(long from, int count, Voice... voices) {
        short[] out = new short[count * 2];
        ByteBuffer.wrap(SoundOut.mix(List.of(voices), from, count)).order(ByteOrder.LITTLE_ENDIAN).asShortBuffer().get(out);
        return out;
    }

    @Test
    void voicesAddUpAtTheirTimesAndLoudness() {
        var early = new Voice(new float[] {0.5f, -0.5f, 0.25f, 0}, 10, 1);
        var late = new Voice(new float[] {0.5f, 0.5f}, 11, 0.5);
        // one sample before the first, both of it, one after; left and right in turn
        assertThat(mixed(9, 4, early, late)).containsExactly((short) 0, (short) 0, (short) 16384, (short) -16383, (short) 16384, (short) 8192, (short) 0, (short) 0);
    }

    @Test
    void whatIsTooLoudIsCutAndNotWrapped() {
        var loud = new Voice(new float[] {0.9f, -0.9f}, 0, 1);
        assertThat(mixed(0, 1, loud, loud)).containsExactly((short) 32767, (short) -32767);
    }
}
