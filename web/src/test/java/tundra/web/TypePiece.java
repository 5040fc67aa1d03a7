package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Texts whose size, weight, lines, width and alignment are keyed, groups that grow and clip, and what is shown for a while. */
final class TypePiece {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final String WORDS = "The wind turns over the fell and the lamps go on";
    private final List<Element> elements = new ArrayList<>();
    private Timeline timeline = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());

    static Project make() {
        var p = new TypePiece();
        p.texts();
        p.groups();
        var board = new Board(new Point(800, 600), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), p.elements, List.of(p.timeline),
                List.of());
        return new Project("type", "Type", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
    }

    @SafeVarargs
    private <T> void key(String id, Property<T> p, Easing easing, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(4_000_000L * i / (values.length - 1), values[i], easing));
        }
        timeline = timeline.with(id, p, new Track<>(keys));
    }

    private void text(String id, double x, double y, double wrap, Content.Align align) {
        elements.add(new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y))
                .with(Properties.FILL, Color.parse("#1D2926")),
                new Content.Text(WORDS, "Figtree", 400, 18, align, 1.3).withWrap(wrap)));
    }

    private void texts() {
        text("grows", 130, 90, 180, Content.Align.LEFT);
        key("grows", Properties.FONT_SIZE, GENTLE, 12.0, 26.0);
        text("heavy", 400, 90, 180, Content.Align.CENTRE);
        key("heavy", Properties.FONT_WEIGHT, Easing.LINEAR, 400.0, 700.0, 600.0);
        key("heavy", Properties.LINE_HEIGHT, GENTLE, 1.0, 2.0);
        text("wraps", 670, 100, 180, Content.Align.RIGHT);
        key("wraps", Properties.WRAP, Easing.LINEAR, 220.0, 60.0);
        text("sides", 200, 260, 240, Content.Align.LEFT);
        key("sides", Properties.TEXT_ALIGN, Easing.HOLD, "left", "centre", "right", "left");
        key("sides", Properties.LETTER_SPACING, GENTLE, 0.0, 3.0);
        text("free", 560, 260, 0, Content.Align.CENTRE);
        key("free", Properties.FONT_SIZE, EasingText.parse("back-out"), 8.0, 15.0);
        key("free", Properties.ROTATION, Easing.LINEAR, -4.0, 4.0);
    }

    private static Element box(String id, double x, double y, double w, double h, String color, Content content) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse(color)), content);
    }

    private void group(String id, double x, double y, Values v, Outline clip) {
        elements.add(new Element(id, id, false, false, v.with(Properties.POSITION, new Point(x, y)), new Content.Group(List.of(
                box(id + "sun", 30, 30, 90, 90, "#E9B44C", new Content.Ellipse()), box(id + "hut", 90, 60, 80, 50, "#C23B3B",
                new Content.Rectangle())), new Point(120, 80), clip)));
    }

    private void groups() {
        group("door", 120, 440, Values.NONE.with(Properties.OVERFLOW, "clipped").with(Properties.PIVOT, new Point(0, 0.5)), null);
        key("door", Properties.SIZE, GENTLE, new Point(10, 80), new Point(140, 60));
        group("lid", 330, 440, Values.NONE.with(Properties.ROTATION, 12.0), null);
        key("lid", Properties.OVERFLOW, Easing.HOLD, "shown", "clipped", "shown");
        group("cut", 530, 440, Values.NONE.with(Properties.OVERFLOW, "clipped"), Outline.polygon(0, 0, 150, 20, 60, 110));
        group("blink", 700, 440, Values.NONE.with(Properties.SHOWN, "no"), null);
        key("blink", Properties.SHOWN, Easing.HOLD, "no", "yes", "no", "yes", "no");
        timeline = timeline.withShown("blink", new Span(0, 3_300_000)).withShown("blinksun", new Span(1_400_000, 4_000_000));
        Values off = Values.NONE.with(Properties.SHOWN, "no");
        elements.add(new Element("off", "off", false, false, off.with(Properties.POSITION, new Point(400, 550))
                .with(Properties.SIZE, new Point(700, 40)), new Content.Rectangle()));
    }
}
