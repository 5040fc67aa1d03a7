package tundra.render;

import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.FontEdging;
import io.github.humbleui.skija.FontHinting;
import io.github.humbleui.skija.FontMetrics;
import io.github.humbleui.skija.FontMgr;
import io.github.humbleui.skija.TextLine;
import io.github.humbleui.skija.Typeface;
import io.github.humbleui.skija.shaper.Shaper;
import io.github.humbleui.skija.shaper.ShapingOptions;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Asset;
import tundra.core.model.FontSource;

/** The bundled fonts and those on a shelf: their files, their measures and their shapes. No font of the system is ever used. */
public final class Fonts implements TextMeasurer, FontSource {
    /** @param own the font of a shelf; null for a bundled one */
    private record Face(String family, int weight, String file, Asset own) {
        Face(String family, int weight, String file) {
            this(family, weight, file, null);
        }

        /** By hand: what a record makes for itself is put together at the first call, which the start of the program would wait for. */
        @Override
        public int hashCode() {
            return Objects.hash(family, weight, file, own);
        }
    }

    private static final List<Face> FACES = List.of(
            new Face("Figtree", 400, "Figtree_400Regular"), new Face("Figtree", 500, "Figtree_500Medium"),
            new Face("Figtree", 600, "Figtree_600SemiBold"), new Face("Figtree", 700, "Figtree_700Bold"),
            new Face("JetBrains Mono", 400, "JetBrainsMono_400Regular"), new Face("JetBrains Mono", 700, "JetBrainsMono_700Bold"),
            new Face("Fredoka", 400, "Fredoka_400Regular"), new Face("Fredoka", 600, "Fredoka_600SemiBold"),
            new Face("Bebas Neue", 400, "BebasNeue_400Regular"),
            new Face("Caveat", 400, "Caveat_400Regular"), new Face("Caveat", 700, "Caveat_700Bold"),
            new Face("Lora", 400, "Lora_400Regular"), new Face("Lora", 700, "Lora_700Bold"));

    private static final ShapingOptions APART = ShapingOptions.DEFAULT.withFeatures("-liga -clig -calt -dlig -hlig");

    public static final Fonts BUNDLED = new Fonts(FACES);
    private static final Map<Face, byte[]> FILES = new ConcurrentHashMap<>();
    private static final Map<Face, Typeface> TYPEFACES = new ConcurrentHashMap<>();
    private static final Map<List<Asset>, Fonts> OF = new ConcurrentHashMap<>();
    /** So many shelves' fonts are held ready. */
    private static final int KEPT = 4;

    private final List<Face> faces;
    private final Map<Face, double[]> metrics = new ConcurrentHashMap<>();
    private final Map<Measured, Double> widths = new ConcurrentHashMap<>();

    private record Measured(Face face, double size, String line, boolean ligatures) {}

    private Fonts(List<Face> faces) {
        this.faces = faces;
    }

    /** The bundled fonts and those of a shelf; of two faces alike the shelf's is taken. The same instance for the same fonts. */
    public static Fonts of(Map<String, Asset> shelf) {
        List<Asset> own = shelf.values().stream().filter(a -> a.kind() == Asset.Kind.FONT).toList();
        if (own.isEmpty()) {
            return BUNDLED;
        }
        Fonts known = OF.get(own);
        if (known != null) {
            return known;
        }
        if (OF.size() >= KEPT) {
            // of pieces that are no longer open
            OF.clear();
            TYPEFACES.keySet().removeIf(f -> f.own != null);
        }
        return OF.computeIfAbsent(own, Fonts::with);
    }

    private static Fonts with(List<Asset> own) {
        var all = new ArrayList<Face>();
        for (Asset a : own) {
            Typeface t = typeface(a);
            if (t != null && FontReader.family(t) != null) {
                var face = new Face(FontReader.family(t), t.getFontStyle().getWeight(), null, a);
                all.add(face);
                TYPEFACES.put(face, t);
            }
        }
        all.addAll(FACES);
        return new Fonts(List.copyOf(all));
    }

    private static Typeface typeface(Asset a) {
        try {
            return FontReader.typeface(a.data());
        } catch (UncheckedIOException e) {
            // its file can't be read any more: its text stands in the standard font
            return null;
        }
    }

    /** The family that a font of a shelf belongs to; the standard one for a font that can't be read. */
    public static String familyOf(Asset font) {
        Face first = of(Map.of(font.hash(), font)).faces.getFirst();
        return first.own == null ? STANDARD : first.family;
    }

    /** Whether the nearest face of a family has a letter. */
    public boolean hasLetter(String family, int weight, int codePoint) {
        return typeface(face(family, weight)).getUTF32Glyph(codePoint) != 0;
    }

    /** The fonts of a shelf that can't be read; texts that name them are set in another font. */
    public static List<Asset> unreadable(Map<String, Asset> shelf) {
        Fonts all = of(shelf);
        return shelf.values().stream().filter(a -> a.kind() == Asset.Kind.FONT && all.faces.stream().noneMatch(f -> f.own == a)).toList();
    }

    @Override
    public List<String> families() {
        return faces.stream().map(Face::family).distinct().toList();
    }

    @Override
    public List<Integer> weights(String family) {
        return faces.stream().filter(f -> f.family.equals(family)).map(Face::weight).distinct().sorted().toList();
    }

    @Override
    public byte[] file(String family, int weight) {
        return FILES.computeIfAbsent(face(family, weight), Fonts::load).clone();
    }

    @Override
    public byte[] licence(String family) {
        Face face = face(family, 400);
        return face.own != null ? null : resource("LICENSE-" + face.family.toLowerCase(Locale.ROOT).replace(' ', '-') + ".txt");
    }

    private static byte[] load(Face f) {
        return f.own != null ? f.own.data() : resource(f.file + ".ttf");
    }

    private static byte[] resource(String name) {
        try (InputStream in = Fonts.class.getResourceAsStream("fonts/" + name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Face face(String family, int weight) {
        String known = faces.stream().anyMatch(f -> f.family.equals(family)) ? family : STANDARD;
        return faces.stream().filter(f -> f.family.equals(known))
                .min(Comparator.comparingInt(f -> Math.abs(f.weight - weight))).orElseThrow();
    }

    private Typeface typeface(Face f) {
        return TYPEFACES.computeIfAbsent(f, x -> {
            try (Data data = Data.makeFromBytes(FILES.computeIfAbsent(x, Fonts::load))) {
                return FontMgr.getDefault().makeFromData(data);
            }
        });
    }

    /** A Skia font that lays out and paints as Chromium's geometric precision does, which has sizes in steps of a hundredth. The caller closes it. */
    public Font font(String family, int weight, double size) {
        return new Font(typeface(face(family, weight)), (float) (Math.floor(size * 100 + 1e-6) / 100))
                .setEdging(FontEdging.ANTI_ALIAS).setHinting(FontHinting.NONE).setSubpixel(true).setMetricsLinear(true);
    }

    /** One shaped line. The caller closes it. */
    public static TextLine shape(String line, Font font, boolean ligatures) {
        try (Shaper shaper = Shaper.makeShapeDontWrapOrReorder()) {
            return shaper.shapeLine(line, font, ligatures ? ShapingOptions.DEFAULT : APART);
        }
    }

    @Override
    public double width(String family, int weight, double size, String line, boolean ligatures) {
        if (line.isEmpty()) {
            return 0;
        }
        if (widths.size() > 10_000) {
            widths.clear();
        }
        return widths.computeIfAbsent(new Measured(face(family, weight), size, line, ligatures), m -> {
            try (Font f = font(family, weight, size); TextLine shaped = shape(line, f, ligatures)) {
                return (double) shaped.getWidth();
            }
        });
    }

    @Override
    public double ascent(String family, int weight) {
        return metrics(family, weight)[0];
    }

    @Override
    public double descent(String family, int weight) {
        return metrics(family, weight)[1];
    }

    private double[] metrics(String family, int weight) {
        return metrics.computeIfAbsent(face(family, weight), x -> {
            try (Font f = font(family, weight, 1000)) {
                FontMetrics m = f.getMetrics();
                return new double[] {-m.getAscent() / 1000, m.getDescent() / 1000};
            }
        });
    }
}
