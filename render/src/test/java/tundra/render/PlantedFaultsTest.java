package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.check.Check;
import tundra.core.check.Checks;
import tundra.core.check.Finding;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Paint;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;

/** Each check finds its fault in five pieces that have it, and nothing of it in five that are the same but for it. */
class PlantedFaultsTest {
    private static final int PIECES = 5;

    private static List<Finding> found(Project p) {
        try (var eyes = new SkiaImageComparer()) {
            return Checks.run(p, Fonts.of(p.assets()), eyes, Checks.JUMP, Progress.NONE);
        }
    }

    private static Element box(String id, double x, double y, double w, double h, String color) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse(color)), new Content.Rectangle());
    }

    private static Element text(String id, String words, double x, double y, double size, String color, String family) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.FILL, Color.parse(color)),
                new Content.Text(words, family, 400, size, Content.Align.LEFT, 1.2));
    }

    private static Project piece(int w, int h, String ground, boolean loop, long length, List<Element> elements) {
        Project p = Project.empty("Piece", new Point(w, h), 24);
        String main = p.scenes().getFirst().board().main().id();
        return p.mapBoard(p.scenes().getFirst().id(), b -> new Board(b.size(), Values.NONE.with(Properties.BACKGROUND, Color.parse(ground)),
                elements, List.of(new Timeline(main, Timeline.MAIN, length, loop, true, Map.of())), List.of()));
    }

    private static <T> Project keyed(Project p, String id, Property<T> property, List<Key<T>> keys) {
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.mapTimeline(b.main().id(), t -> t.with(id, property, new Track<>(keys))));
    }

    private static Project with(Project p, Reaction r) {
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withReactions(List.of(r)));
    }

    /** A box that turns from one colour to another so many times a second. */
    private static Project flashing(int perSecond, int w, int h, String from, String to) {
        var keys = new ArrayList<Key<Paint>>();
        for (int i = 0; i < 2 * perSecond * 2; i++) {
            keys.add(new Key<>(i * 500_000L / perSecond, Color.parse(i % 2 == 0 ? from : to), Easing.HOLD));
        }
        return keyed(piece(800, 600, "#404040", true, 2_000_000, List.of(box("lamp", 400, 300, w, h, from))), "lamp", Properties.FILL, keys);
    }

    private static Asset picture(int w, int h) {
        try {
            var image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
            var out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            return Asset.picture("p" + w + ".png", "image/png", w, h, out.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Project shown(Asset a, String name, double w, double h) {
        Project p = piece(400, 300, "#FFFFFF", false, 1_000_000, List.of()).withAsset(a);
        return p.mapBoard(p.scenes().getFirst().id(),
                b -> b.withElements(List.of(new Element("pic", name, false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150))
                .with(Properties.SIZE, new Point(w, h)), new Content.Picture(a.hash())))));
    }

    private static Project moving(boolean loop, long length) {
        return keyed(piece(400, 300, "#FFFFFF", loop, length, List.of(box("ball", 100, 100, 40, 40, "#C8503C"))), "ball", Properties.POSITION,
                List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(length / 2, new Point(200, 100), Easing.LINEAR),
                new Key<>(length, new Point(100, 100), Easing.LINEAR)));
    }

    private static Project sounding(int seconds, boolean starts) {
        Asset tone = Asset.sound("tone.wav", "audio/wav", seconds * 1_000_000L, new byte[] {1, 2, (byte) seconds});
        Project p = piece(400, 300, "#FFFFFF", false, 20_000_000, List.of(box("ball", 100, 100, 40, 40, "#C8503C"))).withAsset(tone);
        return p.mapBoard(p.scenes().getFirst().id(),
                b -> b.withTimelines(List.of(new Timeline(b.main().id(), Timeline.MAIN, 20_000_000, false, starts, Map.of())
                .withSounds(List.of(new PlacedSound("s", tone.hash(), 0, 1))))));
    }

    private static Project opened(int k, boolean closes) {
        long length = 1_000_000L + 200_000L * k;
        Project p = piece(200, 100, "#FFFFFF", true, length, List.of(box("ball", 40, 50, 60, 60, "#203040")));
        return keyed(p, "ball", Properties.POSITION, List.of(new Key<>(0, new Point(40, 50), Easing.LINEAR),
                new Key<>(length / 2, new Point(150, 50), Easing.LINEAR), new Key<>(length, new Point(closes ? 40 : 110 + 5 * k, 50),
                Easing.LINEAR)));
    }

    private static Project ordered(int n, boolean upwards) {
        var elements = new ArrayList<Element>();
        var reactions = new ArrayList<Reaction>();
        for (int i = 0; i < n; i++) {
            elements.add(box("b" + i, 100, 30 + 50 * (upwards ? n - i : i), 80, 30, "#203040"));
            reactions.add(new Reaction("r" + i, Events.tapped("b" + i), List.of(Actions.of(Actions.HIDE, List.of("b" + i)))));
        }
        Project p = piece(400, 600, "#FFFFFF", false, 1_000_000, elements);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withReactions(reactions));
    }

    /** A fault in one of five pieces, and its twin without it. */
    private record Pair(IntFunction<Project> faulty, IntFunction<Project> sound) {}

    private static Map<Check, Pair> pairs() {
        var out = new LinkedHashMap<Check, Pair>();
        Reaction pause = new Reaction("p", Events.of(Events.KEY_PRESSED, "Escape"), List.of(Actions.of(Actions.PAUSE, Slot.EVERYTHING)));
        // more than three a second, over more than a quarter of the field; the fifth one in red, hardly lighter than black
        out.put(Check.FLASHES, new Pair(k -> k == 4 ? flashing(5, 500, 500, "#E00000", "#000000") : flashing(4 + k, 300 + 40 * k, 300, "#FFFFFF",
                "#000000"),
                k -> k == 0 ? flashing(2, 700, 500, "#FFFFFF", "#000000") : k == 1 ? flashing(8, 100, 100, "#FFFFFF", "#000000") : k == 2
                ? flashing(8, 700, 500, "#FFFFFF", "#F6F6F6") : k == 3 ? flashing(3, 700, 500, "#FFFFFF", "#000000")
                : flashing(8, 700, 500, "#202020", "#282828")));
        out.put(Check.CONTRAST, new Pair(k -> piece(400, 200, "#FFFFFF", false, 1_000_000,
                List.of(text("words", "Come and see", 40, 60 + k, 16 + k, k == 3 ? "#3A3A3A55" : "#9A9A9A", "Figtree"))),
                k -> piece(400, 200, "#FFFFFF", false, 1_000_000, List.of(text("words", "Come and see", 40, 60 + k, k == 4 ? 40 : 16 + k, k == 4
                ? "#8A8A8A" : "#505050", "Figtree")))));
        out.put(Check.LETTERS, new Pair(k -> piece(400, 200, "#FFFFFF", false, 1_000_000,
                List.of(text("words", "A" + "字龍🙂אक".codePoints().skip(k).limit(1).collect(StringBuilder::new, StringBuilder::appendCodePoint,
                StringBuilder::append), 40, 60, 30, "#000000", "Figtree"))),
                k -> piece(400, 200, "#FFFFFF", false, 1_000_000, List.of(text("words", "Aéäñß".substring(k), 40, 60, 30, "#000000", "Figtree")))));
        out.put(Check.CUT_TEXT, new Pair(k -> piece(400, 200, "#FFFFFF", false, 1_000_000,
                List.of(text("words", "Come and read the sky", 320 + 10 * k, 60, 30, "#000000", "Figtree"))), k -> piece(400, 200, "#FFFFFF", false,
                1_000_000, List.of(text("words", "Come and read the sky", 200 + k, 60, 14, "#000000", "Figtree")))));
        out.put(Check.OPEN_LOOP, new Pair(k -> opened(k, false), k -> opened(k, true)));
        out.put(Check.NEVER_STILL, new Pair(k -> moving(k % 2 == 0, k % 2 == 0 ? 1_000_000 + k : 6_000_000 + k), k -> k < 2
                ? moving(false, 2_000_000 + k) : with(moving(k % 2 == 0, 8_000_000), pause)));
        out.put(Check.UNASKED_SOUND, new Pair(k -> sounding(4 + k, true), k -> k < 2 ? sounding(1 + k, true) : k < 4 ? sounding(9, false)
                : with(sounding(9, true), pause)));
        out.put(Check.NOT_SEEN, new Pair(k -> piece(400, 300, "#FFFFFF", false, 1_000_000,
                List.of(box("lost", k == 4 ? 200 : -100 - 40 * k, 100, 60, 60, "#203040").with(Properties.OPACITY, k == 4 ? 0.0 : 1.0))),
                k -> k == 4 ? keyed(piece(400, 300, "#FFFFFF", false, 1_000_000, List.of(box("lost", -100, 100, 60, 60, "#203040"))), "lost",
                Properties.POSITION, List.of(new Key<>(0, new Point(-100, 100), Easing.LINEAR), new Key<>(900_000, new Point(100, 100),
                Easing.LINEAR)))
                        : piece(400, 300, "#FFFFFF", false, 1_000_000, List.of(box("lost", 20 + 40 * k, 100, 60, 60, "#203040")))));
        out.put(Check.LARGE_PICTURE, new Pair(k -> shown(picture(1200 + 10 * k, 900), "Mountains", 100 + k, 75),
                k -> shown(picture(400 + k, 300), "Mountains", 180, 135)));
        out.put(Check.UNDESCRIBED,
                new Pair(k -> shown(picture(100, 80), List.of("IMG_2044", "view.png", "DSC00012", "Screenshot 3", "photo of me.jpeg 2").get(k), 100,
                80), k -> shown(picture(100, 80), List.of("The mast", "Image of the hut", "Hare", "Screenshots of the hut", "Night").get(k), 100,
                80)));
        out.put(Check.ORDER, new Pair(k -> ordered(3 + k, true), k -> ordered(3 + k, false)));
        out.put(Check.TOO_HEAVY, new Pair(k -> shown(picture(6200 + k, 5600), "Mountains", 400, 300), k -> shown(picture(1000 + k, 800), "Mountains",
                400, 300)));
        return out;
    }

    @Test
    void eachFaultIsFoundAndItsTwinIsNot() {
        pairs().forEach((check, pair) -> {
            for (int k = 0; k < PIECES; k++) {
                Project bad = pair.faulty.apply(k), good = pair.sound.apply(k);
                List<Finding> told = found(bad);
                assertThat(told).as("%s, piece %d", check, k).extracting(Finding::check).contains(check);
                assertThat(found(good)).as("%s, twin %d", check, k).extracting(Finding::check).doesNotContain(check);
                Finding f = told.stream().filter(x -> x.check() == check).findFirst().orElseThrow();
                assertThat(f.text()).endsWith(".");
                // muted with a reason it is known and no longer told; a mend takes it away
                assertThat(f.muted(f.mute(bad, "meant so"))).isEqualTo("meant so");
                assertThat(f.muted(f.heard(f.mute(bad, "meant so")))).isNull();
                if (f.fix() != null && f.fix().change() != null) {
                    assertThat(found(bad.mapBoard(f.scene(), f.fix().change()))).as("%s, mended %d", check, k).extracting(Finding::check)
                            .doesNotContain(check);
                }
            }
        });
    }

    @Test
    void twoScenesAreLookedAtEachForItself() {
        Project p = flashing(6, 500, 400, "#FFFFFF", "#000000");
        Scene second = new Scene("second", "Second", piece(400, 200, "#FFFFFF", false, 1_000_000,
                List.of(text("faint", "Come", 40, 60, 16, "#BBBBBB", "Figtree"))).scenes().getFirst().board());
        List<Finding> all = found(p.withScenes(List.of(p.scenes().getFirst(), second)));
        assertThat(all.stream().filter(f -> f.check() == Check.FLASHES).map(Finding::scene)).containsExactly(p.scenes().getFirst().id());
        assertThat(all.stream().filter(f -> f.check() == Check.CONTRAST).map(Finding::scene)).containsExactly("second");
    }
}
