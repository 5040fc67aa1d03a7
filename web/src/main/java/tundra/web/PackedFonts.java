package tundra.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Asset;
import tundra.core.model.Project;

/** The fonts of a page: cut to the letters that it shows, and packed. */
final class PackedFonts {
    private static final int KEPT = 32;
    /** Those that were packed last, by what they were and their letters. */
    private static final Map<List<Object>, byte[]> KNOWN = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<List<Object>, byte[]> e) {
            return size() > KEPT;
        }
    };
    private final Set<Integer> letters;

    PackedFonts(Project p) {
        letters = UsedLetters.of(p);
    }

    /** A font that can't be cut is packed whole; one that can't be packed stays as it is, which browsers take under any name. */
    byte[] of(byte[] font) {
        List<Object> key = List.of(Asset.hash(font), letters);
        synchronized (KNOWN) {
            byte[] known = KNOWN.get(key);
            if (known == null) {
                try {
                    byte[] cut = FontCutter.cut(font, letters), packed = Woff2.of(cut == null ? font : cut);
                    known = packed == null ? cut == null ? font : cut : packed;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                KNOWN.put(key, known);
            }
            return known;
        }
    }
}
