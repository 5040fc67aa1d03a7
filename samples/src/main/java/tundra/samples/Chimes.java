package tundra.samples;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import tundra.core.model.Asset;

/** Small sounds worked out from sines: struck bells, and a soft thud. */
final class Chimes {
    private static final int RATE = 16_000;

    private Chimes() {}

    /** A struck bell: partials that die away, higher ones sooner. */
    static Asset bell(String name, double hertz) {
        return sound(name, 0.9, t -> {
            double sum = 0;
            double[] partials = {1, 2.76, 5.4};
            for (int i = 0; i < partials.length; i++) {
                sum += Math.sin(2 * Math.PI * hertz * partials[i] * t) * Math.exp(-t * (4 + 5 * i)) / (1 + i);
            }
            return 0.5 * sum;
        });
    }

    /** What falls into snow. */
    static Asset thud(String name) {
        return sound(name, 0.3, t -> 0.7 * Math.sin(2 * Math.PI * (90 - 120 * t) * t) * Math.exp(-t * 18));
    }

    private interface Wave {
        double at(double seconds);
    }

    private static Asset sound(String name, double seconds, Wave wave) {
        int n = (int) (seconds * RATE);
        ByteBuffer b = ByteBuffer.allocate(44 + 2 * n).order(ByteOrder.LITTLE_ENDIAN);
        b.put(ascii("RIFF")).putInt(36 + 2 * n).put(ascii("WAVEfmt ")).putInt(16).putShort((short) 1).putShort((short) 1).putInt(RATE)
                .putInt(2 * RATE).putShort((short) 2).putShort((short) 16)
                .put(ascii("data")).putInt(2 * n);
        for (int i = 0; i < n; i++) {
            double t = (double) i / RATE, rise = Math.min(1, t / 0.004);
            b.putShort((short) Math.round(32_000 * Math.max(-1, Math.min(1, rise * wave.at(t)))));
        }
        return Asset.sound(name, "audio/wav", Math.round(seconds * 1e6), b.array());
    }

    private static byte[] ascii(String s) {
        return s.getBytes(StandardCharsets.US_ASCII);
    }
}
