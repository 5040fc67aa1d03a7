package tundra.web;

import com.aayushatharva.brotli4j.Brotli4jLoader;
import com.aayushatharva.brotli4j.encoder.Encoder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Packs fonts as WOFF2 (W3C Recommendation, WOFF File Format 2.0); the outlines are kept as they are, without that format's own transform. */
final class Woff2 {
    private static final int SIGNATURE = 0x774F4632, HEADER = 48, BEST = 11;
    /** The tags that have a number of their own, section 4.1. */
    private static final List<String> KNOWN = List.of("cmap", "head", "hhea", "hmtx", "maxp", "name", "OS/2", "post", "cvt ", "fpgm", "glyf", "loca",
            "prep", "CFF ", "VORG", "EBDT", "EBLC", "gasp", "hdmx", "kern", "LTSH", "PCLT", "VDMX", "vhea", "vmtx", "BASE",
            "GDEF", "GPOS", "GSUB", "EBSC", "JSTF", "MATH", "CBDT", "CBLC", "COLR", "CPAL", "SVG ", "sbix", "acnt", "avar", "bdat", "bloc", "bsln",
            "cvar", "fdsc", "feat", "fmtx", "fvar", "gvar", "hsty", "just", "lcar", "mort", "morx", "opbd", "prop", "trak",
            "Zapf", "Silf", "Glat", "Gloc", "Feat", "Sill");
    /** For glyf and loca: not transformed. */
    private static final int AS_THEY_ARE = 3;

    private record Table(String tag, byte[] data) {}

    private Woff2() {}

    /** Of a TTF or OTF file of one font; null where this machine can't pack it. */
    static byte[] of(byte[] font) throws IOException {
        if (!Brotli4jLoader.isAvailable()) {
            return null;
        }
        var in = ByteBuffer.wrap(font);
        int flavor = in.getInt(0), count = in.getShort(4);
        List<Table> tables = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int at = 12 + 16 * i;
            byte[] data = new byte[in.getInt(at + 12)];
            in.get(in.getInt(at + 8), data);
            byte[] tag = new byte[4];
            in.get(at, tag);
            String name = new String(tag, StandardCharsets.ISO_8859_1);
            if (name.equals("head")) {
                // bit 11: it was through a packing that loses nothing
                data[16] |= 0x08;
            }
            if (!name.equals("DSIG")) {
                tables.add(new Table(name, data));
            }
        }
        // loca follows glyf, the others stand in the order of their tags
        tables.sort(Comparator.comparing(t -> t.tag.equals("loca") ? "glyf " : t.tag));
        var directory = new ByteArrayOutputStream();
        var all = new ByteArrayOutputStream();
        int size = 12 + 16 * tables.size();
        for (Table t : tables) {
            int known = KNOWN.indexOf(t.tag);
            int transform = t.tag.equals("glyf") || t.tag.equals("loca") ? AS_THEY_ARE : 0;
            directory.write(transform << 6 | (known < 0 ? 63 : known));
            if (known < 0) {
                directory.write(t.tag.getBytes(StandardCharsets.ISO_8859_1));
            }
            base128(directory, t.data.length);
            all.write(t.data);
            size += t.data.length + 3 & ~3;
        }
        byte[] packed = Encoder.compress(all.toByteArray(), new Encoder.Parameters().setQuality(BEST).setMode(Encoder.Mode.FONT));
        int length = HEADER + directory.size() + packed.length;
        var out = ByteBuffer.allocate(length + 3 & ~3);
        out.putInt(SIGNATURE).putInt(flavor).putInt(out.capacity()).putShort((short) tables.size()).putShort((short) 0).putInt(size)
                .putInt(packed.length);
        out.position(HEADER);
        out.put(directory.toByteArray()).put(packed);
        return out.array();
    }

    /** A number in as few bytes as it takes, seven bits each, section 4.1. */
    private static void base128(ByteArrayOutputStream out, int value) {
        for (int shift = 28; shift > 0; shift -= 7) {
            if (value >>> shift != 0) {
                out.write(value >>> shift & 0x7F | 0x80);
            }
        }
        out.write(value & 0x7F);
    }
}
