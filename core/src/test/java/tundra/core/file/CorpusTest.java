package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.model.Board;
import tundra.core.model.Limits;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/**
 * Files that were saved on 27 November 2026 by the version that wrote schema 1 — 40 made pieces and the demo — with what they showed then:
 * they open and show the same. -Dtundra.corpus=write adds what today's version writes, which is only wanted when the schema moves.
 */
class CorpusTest {
    private static final String CORPUS = "corpus-1.zip";
    private static final long[] TIMES = {0, 700_000, 1_900_000};

    /** Numbers that change when anything stands elsewhere, in another order, or is gone. */
    static String digest(Project p) {
        var s = new StringBuilder();
        for (Scene scene : p.scenes()) {
            Board b = scene.board();
            long keys = 0;
            for (Timeline t : b.timelines()) {
                for (var of : t.tracks().values()) {
                    keys += of.values().stream().mapToLong(x -> x.keys().size()).sum();
                }
            }
            s.append(b.elements().size()).append(" elements ").append(keys).append(" keys ").append(b.reactions().size()).append(" reactions");
            var builder = new FrameBuilder(b, new FakeMeasurer());
            for (long t : TIMES) {
                double[] sum = new double[2];
                Frame f = builder.at(t);
                f.index().values().forEach(x -> {
                    sum[0] += x.toCanvas().e() + 3 * x.toCanvas().f() + 100 * x.toCanvas().a() + x.node().box().x();
                    sum[1] += x.node().opacity() + x.node().marks().size();
                });
                s.append(String.format(Locale.ROOT, "; %d nodes %.3f %.3f", f.index().size(), sum[0], sum[1]));
            }
        }
        return s.toString();
    }

    private static byte[] written() throws Exception {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            var all = new TreeMap<String, Project>();
            for (long seed = 0; seed < 40; seed++) {
                all.put("made-" + seed, ProjectFileTest.random(seed));
            }
            all.put("open-night", ProjectFile.read(Path.of("../samples/open-night.tundra")));
            for (var e : all.entrySet()) {
                zip.putNextEntry(new ZipEntry(e.getKey() + ".tundra"));
                zip.write(ProjectFile.bytes(e.getValue()));
                zip.putNextEntry(new ZipEntry(e.getKey() + ".txt"));
                zip.write(digest(e.getValue()).getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }

    @Test
    void filesOfBeforeOpenAndShowTheSame() throws Exception {
        if ("write".equals(System.getProperty("tundra.corpus"))) {
            Files.write(Path.of("src/test/resources/tundra/core/file/corpus-" + Limits.SCHEMA + ".zip"), written());
            return;
        }
        var soft = new SoftAssertions();
        int n = 0;
        try (var in = CorpusTest.class.getResourceAsStream(CORPUS); var zip = new ZipInputStream(new ByteArrayInputStream(in.readAllBytes()))) {
            for (ZipEntry e; (e = zip.getNextEntry()) != null; n++) {
                Project p = ProjectFile.read(zip.readAllBytes());
                ZipEntry text = zip.getNextEntry();
                String then = new String(zip.readAllBytes(), StandardCharsets.UTF_8);
                soft.assertThat(digest(p)).as(e.getName() + " and " + text.getName()).isEqualTo(then);
                soft.assertThat(ProjectFile.read(ProjectFile.bytes(p))).as(e.getName() + " saved again").isEqualTo(p);
            }
        }
        soft.assertAll();
        assertThat(n).isEqualTo(41);
    }
}
