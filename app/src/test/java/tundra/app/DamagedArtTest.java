package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
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
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.art.ArtReader;
import tundra.app.art.ImportedArt;
import tundra.app.command.Shortcuts;
import tundra.core.file.GplPalette;
import tundra.core.file.ProjectFile;
import tundra.core.file.RunFile;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Project;
import tundra.core.model.Swatch;
import tundra.render.Fonts;
import tundra.render.SoundReader;
import tundra.render.Still;
import tundra.samples.OpenNight;

/**
 * Damaged files of every kind that can be brought in, always the same ones: each is refused by one sentence or brought in and painted, and
 * the open piece is what it was. {@code bin/fuzz N} tries more.
 */
class DamagedArtTest {
    private static final int EACH = Integer.getInteger("tundra.fuzz", 40);
    private static final long FROM = Long.getLong("tundra.fuzz.from", 1);
    private static final int SECONDS = 10;
    private static final String MAP = """
            {"type": "FeatureCollection", "features": [
              {"type": "Feature", "properties": {"name": "Fellmark Station"}, "geometry": {"type": "Point", "coordinates": [18.9, 69.6]}},
              {"type": "Feature", "properties": {}, "geometry": {"type": "LineString", "coordinates": [[18.9, 69.6], [19.1, 69.7], [19.4, 69.65]]}},
              {"type": "Feature", "properties": {}, "geometry": {"type": "Polygon", "coordinates": [[[18, 69], [20, 69], [20, 70], [18, 69]]]}}]}
            """;
    private static final String CAPTIONS =
            "WEBVTT\n\n1\n00:00:00.000 --> 00:00:02.000\nThe mast stands.\n\n00:00:02.500 --> 00:00:04.000 line:80%\nAnd the aurora comes.\n";
    private static final String VISIT = """
            {"time": 40, "seen": {"window": [1280, 640], "values": {"raised": "1"}, "scenes": [{"id": "s1", "at": [0, 0, 1280, 640], "z": 1, "opacity": 0.5, "size": [1280, 640], "since": 20, "hidden": ["a"], "order": [["a", 1], ["b", 2]], "carried": [["a", 10, 20, 0.5, 3]]}]}}
            """;
    @TempDir
    private Path folder;
    private final Project open = Project.empty("Open", new Point(200, 150), 24);

    private interface Reading {
        /** The piece that comes of it; null where nothing is shown. */
        Project of(Path file) throws Exception;
    }

    private static byte[] picture(String format) throws IOException {
        var i = new BufferedImage(60, 40, format.equals("png") ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D g = i.createGraphics();
        g.setColor(new Color(0x1F6F5C));
        g.fillOval(5, 5, 40, 30);
        g.setColor(new Color(0xE8B54A));
        g.fillRect(30, 10, 25, 25);
        g.dispose();
        var out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(i, format, out)).isTrue();
        return out.toByteArray();
    }

    private static byte[] asset(Project p, String type) {
        return p.assets().values().stream().filter(a -> a.mediaType().startsWith(type)).map(Asset::data).findFirst().orElseThrow();
    }

    /** A whole file of each kind, by its name. */
    private static Map<String, byte[]> whole() throws Exception {
        Project demo = OpenNight.project();
        var out = new LinkedHashMap<String, byte[]>();
        for (String f : List.of("png", "jpg", "gif")) {
            out.put("picture." + f, picture(f));
        }
        out.put("sound.wav", asset(demo, "audio/"));
        out.put("film.mp4", asset(demo, "video/"));
        out.put("letters.ttf", Fonts.class.getResourceAsStream("fonts/Figtree_700Bold.ttf").readAllBytes());
        out.put("map.geojson", MAP.getBytes(StandardCharsets.UTF_8));
        out.put("words.vtt", CAPTIONS.getBytes(StandardCharsets.UTF_8));
        return out;
    }

    private Project brought(Path file) throws Exception {
        ImportedArt b = ArtReader.read(file);
        if (b instanceof ImportedArt.Kept k && k.asset().mediaType().startsWith("audio/")) {
            SoundReader.decode(k.asset().name(), k.asset().data());
        }
        return b.addTo(open, open.scenes().getFirst().id()).project();
    }

    private void damaged(String name, byte[] start, Reading reading) throws Exception {
        byte[] before = ProjectFile.bytes(open);
        boolean text = name.matches(".*\\.(geojson|vtt|gpl|txt|run)");
        var trouble = new ArrayList<String>();
        int refused = 0, whole = 0;
        try (var thread = Executors.newSingleThreadExecutor(r -> Thread.ofPlatform().daemon().unstarted(r))) {
            for (long seed = FROM; seed < FROM + EACH && trouble.size() < 5; seed++) {
                Path file = folder.resolve(name);
                Files.write(file, changed(start, new Random(seed), text));
                var done = thread.submit(() -> {
                    Project p = reading.of(file);
                    if (p != null) {
                        Still.png(p, new FrameBuilder(p.scenes().getFirst().board(), Fonts.of(p.assets())).at(0), 64, 48);
                    }
                    return null;
                });
                try {
                    done.get(SECONDS, TimeUnit.SECONDS);
                    whole++;
                } catch (TimeoutException e) {
                    throw new AssertionError(name + ", seed " + seed + " takes longer than " + SECONDS + " s");
                } catch (ExecutionException e) {
                    String words = e.getCause().getMessage();
                    refused++;
                    if (!(e.getCause() instanceof IOException || e.getCause() instanceof IllegalArgumentException) || words == null
                            || words.contains("\n") || words.contains("Exception")) {
                        trouble.add(name + ", seed " + seed + ": " + e.getCause() + " at " + List.of(e.getCause().getStackTrace())
                                .subList(0, Math.min(4, e.getCause().getStackTrace().length)));
                    }
                }
            }
        }
        System.out.printf("%s: %d damaged, %d refused, %d brought in%n", name, EACH, refused, whole);
        assertThat(trouble).isEmpty();
        assertThat(ProjectFile.bytes(open)).as("the open piece").isEqualTo(before);
    }

    private static byte[] changed(byte[] start, Random r, boolean text) {
        byte[] b = start.clone();
        if (b.length == 0) {
            return b;
        }
        switch (r.nextInt(5)) {
            case 0 -> {
                return Arrays.copyOf(b, r.nextInt(b.length));
            }
            case 1 -> {
                // a stretch of it twice
                int from = r.nextInt(b.length), to = Math.min(b.length, from + 1 + r.nextInt(64));
                var out = new ByteArrayOutputStream();
                out.write(b, 0, to);
                out.write(b, from, b.length - from);
                return out.toByteArray();
            }
            default -> {
                // near the start lies what says how the rest is read
                int near = r.nextBoolean() ? Math.min(b.length, 200) : b.length;
                for (int i = 0, n = 1 + r.nextInt(8); i < n; i++) {
                    b[r.nextInt(near)] = text ? (byte) " 0123456789-.eE\"{}[]:,\n>".charAt(r.nextInt(24)) : (byte) r.nextInt(256);
                }
                return b;
            }
        }
    }

    @Test
    void whatCanBeBroughtIn() throws Exception {
        for (var e : whole().entrySet()) {
            damaged(e.getKey(), e.getValue(), this::brought);
        }
    }

    @Test
    void whatElseCanBeRead() throws Exception {
        var swatches = List.of(new Swatch("Snow", tundra.core.model.Color.parse("#F2F6FA")),
                new Swatch("Night", tundra.core.model.Color.parse("#12244D")));
        damaged("colours.gpl", GplPalette.write("Colours", swatches).getBytes(StandardCharsets.UTF_8), f -> {
            GplPalette.read(new String(Files.readAllBytes(f), StandardCharsets.UTF_8));
            return null;
        });
        damaged("visit.run", VISIT.getBytes(StandardCharsets.UTF_8), f -> {
            RunFile.read(new String(Files.readAllBytes(f), StandardCharsets.UTF_8), id -> id);
            return null;
        });
        var keys = new Shortcuts();
        damaged("keys.txt", "save = Shortcut+S\nundo = Shortcut+Z\nredo = Shortcut+Shift+Z\n".getBytes(StandardCharsets.UTF_8), f -> {
            keys.take(new String(Files.readAllBytes(f), StandardCharsets.UTF_8), Set.of("save", "undo", "redo"));
            return null;
        });
        damaged("motif.tundra", ProjectFile.bytes(OpenNight.project()), f -> {
            ProjectFile.read(f);
            return null;
        });
    }
}
