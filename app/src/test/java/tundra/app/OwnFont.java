package tundra.app;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import tundra.render.Fonts;

/** A font that is not bundled: a bundled one with another family name of the same length in its name table. */
final class OwnFont {
    static final String FAMILY = "Tundra";

    private OwnFont() {}

    static byte[] bytes() {
        byte[] font = Fonts.BUNDLED.file("Caveat", 400);
        replace(font, "Caveat".getBytes(StandardCharsets.UTF_16BE), FAMILY.getBytes(StandardCharsets.UTF_16BE));
        replace(font, "Caveat".getBytes(StandardCharsets.US_ASCII), FAMILY.getBytes(StandardCharsets.US_ASCII));
        return font;
    }

    private static void replace(byte[] in, byte[] what, byte[] by) {
        for (int i = 0; i + what.length <= in.length; i++) {
            if (Arrays.equals(in, i, i + what.length, what, 0, what.length)) {
                System.arraycopy(by, 0, in, i, by.length);
            }
        }
    }
}
