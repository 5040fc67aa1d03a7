package tundra.web;

import com.dylibso.chicory.runtime.Instance;
import com.dylibso.chicory.wasm.Parser;
import com.dylibso.chicory.wasm.WasmModule;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Collection;

/**
 * Cuts fonts to the letters that are used, with HarfBuzz's subsetter, which runs as WebAssembly. Kerning, marks and ligatures of the
 * letters stay.
 */
final class FontCutter {
    /** HB_MEMORY_MODE_WRITABLE: the memory stays ours. */
    private static final int WRITABLE = 2;
    private static final WasmModule MODULE = module();

    private FontCutter() {}

    private static WasmModule module() {
        try (InputStream in = FontCutter.class.getResourceAsStream("harfbuzz/harfbuzz-subset.wasm")) {
            return Parser.parse(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The font with the glyphs of some letters alone.
     *
     * @param font a TTF or OTF file
     * @param letters as code points
     * @return null where it can't be cut
     */
    static byte[] cut(byte[] font, Collection<Integer> letters) {
        Instance in = Instance.builder(MODULE).build();
        in.export("_initialize").apply();
        int at = (int) call(in, "malloc", font.length);
        in.memory().write(at, font);
        long face = call(in, "hb_face_create", call(in, "hb_blob_create", at, font.length, WRITABLE, 0, 0), 0),
                input = call(in, "hb_subset_input_create_or_fail");
        long set = call(in, "hb_subset_input_unicode_set", input);
        letters.forEach(c -> in.export("hb_set_add").apply(set, c));
        long cut = call(in, "hb_subset_or_fail", face, input);
        if (cut == 0) {
            return null;
        }
        long blob = call(in, "hb_face_reference_blob", cut);
        int length = (int) call(in, "hb_blob_get_length", blob);
        return length == 0 ? null : in.memory().readBytes((int) call(in, "hb_blob_get_data", blob, 0), length);
    }

    private static long call(Instance in, String name, long... arguments) {
        return in.export(name).apply(arguments)[0];
    }
}
