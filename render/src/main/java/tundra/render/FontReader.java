package tundra.render;

import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.FontFamilyName;
import io.github.humbleui.skija.FontMgr;
import io.github.humbleui.skija.Typeface;
import java.nio.ByteBuffer;
import java.util.Arrays;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;

/** Brings in fonts in the two single-font forms of OpenType: TrueType outlines (TTF) and CFF outlines (OTF). */
public final class FontReader {
    private static final int TRUE_TYPE = 0x00010000, TRUE = 0x74727565, CFF = 0x4F54544F, COLLECTION = 0x74746366, WOFF = 0x774F4646,
            WOFF2 = 0x774F4632;

    private FontReader() {}

    /** Whether data starts as a font file does, also one of a kind that can't be brought in. */
    public static boolean isFont(byte[] data) {
        return switch (magic(data)) {
            case TRUE_TYPE, TRUE, CFF, COLLECTION, WOFF, WOFF2 -> true;
            default -> false;
        };
    }

    private static int magic(byte[] data) {
        return data.length < 12 ? 0 : ByteBuffer.wrap(data).getInt();
    }

    /** Throws a {@link FileProblem} with one sentence. */
    public static Asset read(String name, byte[] data) throws FileProblem {
        int magic = magic(data);
        if (magic == COLLECTION || magic == WOFF || magic == WOFF2) {
            throw problem(name, "it is " + (magic == COLLECTION ? "a collection of several fonts" : "a font packed for the web")
                    + ", and Tundra takes single TTF and OTF fonts");
        }
        try (Typeface t = isFont(data) ? typeface(data) : null) {
            if (t == null || t.getGlyphsCount() == 0) {
                throw problem(name, "it is not a font that can be read, or it is damaged or cut short");
            }
            if (family(t) == null) {
                throw problem(name, "it says no family name by which a text could be set in it");
            }
        }
        return Asset.font(name, magic == CFF ? "font/otf" : "font/ttf", data);
    }

    /**
     * The family that a font says it belongs to; null for none. Skia's short name has "?" for letters beyond ASCII, so the names by language are
     * asked first.
     */
    static String family(Typeface t) {
        String plain = t.getFamilyName(), name = plain;
        if (plain != null && plain.contains("?")) {
            name = Arrays.stream(t.getFamilyNames()).map(FontFamilyName::getName).filter(n -> !n.isBlank() && !n.contains("?"))
                    .findFirst().orElse(plain);
        }
        return name == null || name.isBlank() ? null : name;
    }

    /** The font of a file's bytes; null when it can't be read. The caller closes it. */
    static Typeface typeface(byte[] data) {
        try (Data d = Data.makeFromBytes(data)) {
            return FontMgr.getDefault().makeFromData(d);
        } catch (RuntimeException e) {
            return null;
        }
    }

    private static FileProblem problem(String name, String why) {
        return new FileProblem("“" + name + "” can't be brought in: " + why + ". Nothing was changed.");
    }
}
