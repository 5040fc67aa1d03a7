package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.edit.Motifs;
import tundra.core.edit.Scattering;
import tundra.core.file.ProjectFile;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.svg.ArtPlacing;
import tundra.core.svg.SvgReader;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;
import tundra.render.PictureReader;
import tundra.render.PictureSheets;
import tundra.render.Still;
import tundra.samples.Hop;
import tundra.samples.OpenNight;

/**
 * Damaged files of each kind, always the same ones: each is refused by one sentence or goes all the way — frames, picture, page, SVG,
 * saved and opened again the same. {@code bin/fuzz N} tries more.
 */
class FuzzTest {
    private static final int EACH = Integer.getInteger("tundra.fuzz", 150);
    private static final long FROM = Long.getLong("tundra.fuzz.from", 1);
    private static final int SECONDS = 10;
    private static final String[] ODD = {"0", "-1", "1e308", "-1e308", "1e-320", "999999999999", "0.0000001", "null", "true", "\"\"", "\"x\"", "[]",
            "{}", "[1,2]", "\"#12\"", "NaN", "1e400", "-0.0",
        "2147483648", "\"steps(0)\"", "\"cubic-bezier(9,9,9,9)\"", "\"spring(0 0 0)\"", "\"\\u0000\"", "\"</script>\"", "1000001", "0.5"};
    private static final String[] ODD_SVG = {"0", "-1", "1e30", "1e-30", "NaN", "", "100%", "-50%", "url(#a)", "url(#g1)", "none", "inherit",
            "1 2 3", "matrix(0 0 0 0 0 0)", "scale(1e6)",
        "rotate(90) skewX(90)", "M0 0L1e9 1e9", "M0 0C", "#b", "currentColor", "rgb(1,2)", "0 0 0 0", "0 0 1e-9 1e9", "\u0001", "9999999"};
    @TempDir
    private Path folder;
    private int refused;
    private int whole;

    private static List<byte[]> projects() throws Exception {
        var out = new ArrayList<byte[]>();
        // by names that are the same each time, as the changes fall where the random numbers say
        for (Project p : Ids.seeded(1, () -> List.of(EveryPiece.make(), MotionPiece.make(), PaintPiece.make(), MotifPiece.make(),
                EffectPiece.effects(), EffectPiece.blends(), TypePiece.make(), scattered(), TiesPageTest.tied(3, true), TiesPageTest.sized(),
                TiesPageTest.inlays(), Hop.project(),
                OpenNight.project()))) {
            out.add(ProjectFile.bytes(p));
        }
        return out;
    }

    /** A motif scattered eight times. */
    private static Project scattered() {
        Project p = MotifPiece.make();
        Scene s = p.scenes().getFirst();
        List<String> ids = Motifs.instances(s.board(), x -> true).stream().map(Element::id).limit(1).toList();
        return p.mapBoard(s.id(), b -> Scattering.make(p, b, ids, 8, new Point(200, 150), new Point(300, 200), 5).board());
    }

    @Test
    void damagedProjects() throws Exception {
        var seeds = projects();
        someWhole("project.json changed", seed -> {
            var r = new Random(seed);
            var entries = entries(seeds.get(r.nextInt(seeds.size())));
            entries.computeIfPresent("project.json", (n, b) -> changed(new String(b, StandardCharsets.UTF_8), r).getBytes(StandardCharsets.UTF_8));
            return ProjectFile.read(zip(entries));
        });
        run("bytes of the file changed", seed -> {
            var r = new Random(seed);
            byte[] b = seeds.get(r.nextInt(seeds.size())).clone();
            for (int i = 0, n = 1 + r.nextInt(6); i < n; i++) {
                b[r.nextInt(b.length)] = (byte) r.nextInt(256);
            }
            return ProjectFile.read(r.nextInt(4) == 0 ? Arrays.copyOf(b, r.nextInt(b.length)) : b);
        });
    }

    @Test
    void damagedDrawings() throws Exception {
        String start = drawing();
        someWhole("drawing changed", seed -> {
            var r = new Random(seed);
            String svg = start;
            for (int i = 0, n = 1 + r.nextInt(4); i < n; i++) {
                svg = changedSvg(svg, r);
            }
            var art = SvgReader.read("a.svg", svg.getBytes(StandardCharsets.UTF_8), Fonts.BUNDLED, PictureReader::read);
            if (r.nextBoolean()) {
                return ArtPlacing.project(art, "Art", 24);
            }
            Project p = Project.empty("On", new Point(640, 400), 24);
            for (var a : art.assets().values()) {
                p = p.withAsset(a);
            }
            return p.mapBoard(p.scenes().getFirst().id(), b -> ArtPlacing.add(b, art, "art").board());
        });
    }

    private static String drawing() {
        return """
                <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 400 300" width="400" height="300">
                <style>.a{fill:#c33;stroke:#000} #b{opacity:.5} g > rect, g .c {stroke-width:3} /* x */ @media print{.z{fill:none}}</style>
                <defs><linearGradient id="g1" x1="0" x2="1"><stop offset="0" stop-color="red"/><stop offset="1" stop-color="blue" stop-opacity=".5"/></linearGradient>
                <radialGradient id="g2" cx="50%" fx="20%" r="40%" gradientTransform="rotate(20)" xlink:href="#g1"/><clipPath id="k"><circle cx="60" cy="60" r="45"/></clipPath>
                <symbol id="s" viewBox="0 0 20 20"><path d="M0 10Q10-6 20 10Q10 26 0 10Z" fill="currentColor"/></symbol></defs>
                <g transform="translate(20 20) rotate(10) scale(1.2 1)" opacity=".9"><rect id="b" class="a" width="80" height="120" rx="10" fill="url(#g1)" stroke-dasharray="8 4 2"/></g>
                <g clip-path="url(#k)"><ellipse cx="60" cy="60" rx="50" ry="20" fill="url(#g2)"/></g><use href="#s" x="30" y="150" width="40" height="40" color="#2a2"/>
                <text x="20" y="240" font-size="24" letter-spacing="2">Tundra <tspan font-weight="bold" dy="4">bold</tspan></text>
                <polyline class="c" points="20,280 60,260 100,285" stroke="#114" stroke-width="4"/><path d="M350 60A30 20 30 1 1 380 90ZM355 65l10 0 0 10z" fill-rule="evenodd"/>
                </svg>
                """;
    }

    private interface Input {
        Project of(long seed) throws Exception;
    }

    private void someWhole(String kind, Input input) throws Exception {
        run(kind, input);
        assertThat(whole).as("not all are refused").isPositive();
    }

    private void run(String kind, Input input) throws Exception {
        var trouble = new ArrayList<String>();
        refused = 0;
        whole = 0;
        long slowest = 0;
        try (var thread = Executors.newSingleThreadExecutor(r -> Thread.ofPlatform().daemon().unstarted(r))) {
            for (long seed = FROM; seed < FROM + EACH && trouble.size() < 5; seed++) {
                long at = seed, start = System.nanoTime();
                var done = thread.submit(() -> once(input, at));
                try {
                    String problem = done.get(SECONDS + 5, TimeUnit.SECONDS);
                    if (problem != null) {
                        trouble.add(kind + ", seed " + seed + ": " + problem);
                    }
                } catch (TimeoutException e) {
                    throw new AssertionError(kind + ", seed " + seed + " takes longer than " + (SECONDS + 5) + " s");
                }
                slowest = Math.max(slowest, System.nanoTime() - start);
            }
        }
        System.out.printf("%s: %d inputs, %d refused, %d went all the way, the slowest took %d ms%n", kind, EACH, refused, whole,
                slowest / 1_000_000);
        assertThat(trouble).isEmpty();
    }

    private String once(Input input, long seed) {
        try {
            Project p;
            try {
                p = input.of(seed);
            } catch (IOException e) {
                refused++;
                return e.getMessage() == null || e.getMessage().contains("\n") || e.getMessage().contains("Exception") ? "no sentence: " + e : null;
            }
            String problem = allTheWay(p);
            whole += problem == null ? 1 : 0;
            return problem;
        } catch (Throwable e) {
            return e + " at " + List.of(e.getStackTrace()).subList(0, Math.min(4, e.getStackTrace().length));
        }
    }

    private String allTheWay(Project p) throws Exception {
        var fonts = Fonts.of(p.assets());
        for (Scene s : p.scenes()) {
            var builder = new FrameBuilder(s.board(), fonts);
            long end = s.board().main().duration();
            for (int i = 0; i < 5; i++) {
                var frame = builder.at(end * i / 4);
                if (i == 2) {
                    Still.png(p, frame, 96, 64);
                    SvgWriter.write(p, frame, fonts);
                }
            }
        }
        new PageCompiler(fonts, fonts, new PictureSheets()).compile(p, null);
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(p, file);
        Project back = ProjectFile.read(file);
        Files.delete(file);
        Files.deleteIfExists(folder.resolve("a.tundra.previous"));
        return back.equals(p) ? null : "it comes back as another: " + difference(p.toString(), back.toString());
    }

    private static String difference(String a, String b) {
        int at = Arrays.mismatch(a.toCharArray(), b.toCharArray());
        return at < 0 ? "in what isn't shown" : a.substring(Math.max(0, at - 80), Math.min(a.length(), at + 60)) + " / "
                + b.substring(at, Math.min(b.length(), at + 60));
    }

    // --- changes ---

    private static final Pattern JSON_VALUE =
            Pattern.compile("(?<=[:\\[,] )(-?\\d+(\\.\\d+)?([eE]-?\\d+)?|\"[^\"\\n]{0,80}\"(?= ?[,\\n])|true|false)");
    private static final Pattern SVG_VALUE = Pattern.compile("(?<==)\"[^\"<]{0,80}\"");

    private static String changed(String json, Random r) {
        String s = json;
        for (int i = 0, n = 1 + r.nextInt(3); i < n; i++) {
            s = switch (r.nextInt(8)) {
                case 0 -> without(s, r);
                case 1 -> twice(s, r);
                case 2, 3 -> replaced(s, JSON_VALUE, was -> ODD[r.nextInt(ODD.length)], r);
                default -> replaced(s, JSON_VALUE, was -> near(was, r), r);
            };
        }
        return s;
    }

    private static String changedSvg(String svg, Random r) {
        return switch (r.nextInt(5)) {
            case 0 -> {
                int from = svg.indexOf('<', 100 + r.nextInt(svg.length() - 200)), to = from < 0 ? -1 : svg.indexOf('>', from);
                yield to < 0 ? svg : svg.substring(0, from) + svg.substring(to + 1);
            }
            case 1 -> {
                int from = svg.indexOf('<', 100 + r.nextInt(svg.length() - 200)), to = from < 0 ? -1 : svg.indexOf("/>", from);
                yield to < 0 ? svg : svg.substring(0, to + 2) + svg.substring(from, to + 2).repeat(1 + r.nextInt(5)) + svg.substring(to + 2);
            }
            default -> replaced(svg, SVG_VALUE, was -> "\"" + ODD_SVG[r.nextInt(ODD_SVG.length)] + "\"", r);
        };
    }

    /** One of the matches, by chance, is put another text for. */
    private static String replaced(String s, Pattern what, UnaryOperator<String> by, Random r) {
        Matcher m = what.matcher(s);
        int start = r.nextInt(s.length());
        return m.find(start) ? s.substring(0, m.start()) + by.apply(m.group()) + s.substring(m.end()) : s;
    }

    /** Another value of the same kind, which may well be allowed. */
    private static String near(String was, Random r) {
        if (was.startsWith("\"")) {
            return was.length() > 3 && r.nextBoolean() ? "\"" + was.substring(2) : was.replace("linear", "steps(3)");
        }
        if (was.equals("true") || was.equals("false")) {
            return String.valueOf(!was.equals("true"));
        }
        double v = Double.parseDouble(was);
        double other = switch (r.nextInt(7)) {
            case 0 -> 0;
            case 1 -> -v;
            case 2 -> v * 1000;
            case 3 -> v / 1000;
            case 4 -> v + 1;
            case 5 -> Math.rint(v * r.nextDouble());
            default -> v * 2 * r.nextDouble();
        };
        return was.contains(".") ? String.valueOf(other) : String.valueOf((long) other);
    }

    private static String without(String s, Random r) {
        String[] lines = s.split("\n");
        int skip = r.nextInt(lines.length);
        var out = new StringBuilder();
        for (int i = 0; i < lines.length; i++) {
            out.append(i == skip ? "" : lines[i]).append('\n');
        }
        return out.toString();
    }

    private static String twice(String s, Random r) {
        int from = r.nextInt(s.length()), to = Math.min(s.length(), from + r.nextInt(400));
        return s.substring(0, to) + s.substring(from);
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        var out = new LinkedHashMap<String, byte[]>();
        try (var in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e; (e = in.getNextEntry()) != null; ) {
                out.put(e.getName(), in.readAllBytes());
            }
        }
        return out;
    }

    private static byte[] zip(Map<String, byte[]> entries) throws IOException {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            for (var e : entries.entrySet()) {
                var entry = new ZipEntry(e.getKey());
                var crc = new CRC32();
                crc.update(e.getValue());
                entry.setMethod(ZipEntry.STORED);
                entry.setSize(e.getValue().length);
                entry.setCrc(crc.getValue());
                zip.putNextEntry(entry);
                zip.write(e.getValue());
            }
        }
        return out.toByteArray();
    }
}
