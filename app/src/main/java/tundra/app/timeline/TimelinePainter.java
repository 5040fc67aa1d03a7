package tundra.app.timeline;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.language.Language;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.fit.Override;
import tundra.core.frame.LaneRanges;
import tundra.core.frame.Moment;
import tundra.core.frame.Turns;
import tundra.core.geometry.Numbers;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Motif;
import tundra.core.model.PlacedSound;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Draws the rows: names at the left, bars and lanes at the right. Only what is in view is drawn, and remembered to be taken hold of. */
final class TimelinePainter {
    static final double HEAD = 300;
    private final Studio studio;
    private final TimeRows rows;
    private final SoundWaves waves;
    /** Of the tracks that were drawn. */
    final LaneRanges ranges = new LaneRanges();
    final List<LanePainter.Bead> beads = new ArrayList<>();
    final List<LanePainter.Grip> grips = new ArrayList<>();

    TimelinePainter(Studio studio, TimeRows rows, SoundWaves waves) {
        this.studio = studio;
        this.rows = rows;
        this.waves = waves;
    }

    static Font text(double size, boolean strong) {
        return Font.font(strong ? "Figtree SemiBold" : "Figtree", size);
    }

    static Font mono(double size) {
        return Font.font("JetBrains Mono", size);
    }

    /**
     * Bars and lanes first, then what is taken hold of, then the names over whatever reaches to their side. Nothing is clipped: a
     * clip costs JavaFX's canvas a blend of its whole area. What reaches over the top is covered by the ruler and the buttons.
     */
    void rows(SkiaGraphics g, TimeScale scale, double top, double scrollY, double w, double h, Palette colors) {
        Timeline t = studio.timeline();
        g.setTextBaseline(VPos.CENTER);
        beads.clear();
        grips.clear();
        var seen = rows.between(scrollY, scrollY + h - top);
        for (TimeRows.Row r : seen) {
            row(g, t, r, scale, top + r.y() - scrollY, w, colors);
        }
        grips.forEach(x -> LanePainter.grip(g, x, beads, colors));
        beads.forEach(b -> LanePainter.bead(g, b, studio.time().keys().contains(b.ref()), b.ref().time() == studio.time().playhead(),
                ownKeys(studio.timeline(), b.ref().element(), b.ref().property()), colors));
        for (TimeRows.Row r : seen) {
            side(g, t, r, top + r.y() - scrollY, colors);
        }
    }

    /** Draws only what the properties are at the playhead, at the left of the lanes in view. */
    void values(SkiaGraphics g, double top, double scrollY, double h, Palette colors) {
        Timeline t = studio.timeline();
        g.setTextBaseline(VPos.CENTER);
        for (TimeRows.Row r : rows.between(scrollY, scrollY + h - top)) {
            if (r.property() != null && r.sound() == null) {
                side(g, t, r, top + r.y() - scrollY, colors);
            }
        }
    }

    private boolean selected(TimeRows.Row r) {
        return studio.selection().contains(r.element());
    }

    private void row(SkiaGraphics g, Timeline t, TimeRows.Row r, TimeScale scale, double y, double w, Palette colors) {
        boolean selected = selected(r), own = r.property() == null;
        if (selected) {
            g.setFill(own ? colors.spaceSoft() : colors.spaceSoft().deriveColor(0, 1, 1, 0.25));
            g.fillRect(HEAD, y, w - HEAD, r.height());
        }
        separator(g, HEAD, w, y + r.height(), colors);
        if (r.sound() != null) {
            sound(g, r, scale, y, colors);
        } else if (own) {
            bar(g, t, r, scale, y, w, selected, colors);
        } else {
            var drawn = LanePainter.draw(g, t, r, r.property(), studio.picture().builder().path(t.id(), r.element()), ranges, scale, y, w,
                    selected, studio.time().keys(), colors);
            beads.addAll(drawn.beads());
            grips.addAll(drawn.grips());
        }
    }

    private static void separator(SkiaGraphics g, double from, double to, double bottom, Palette colors) {
        g.setFill(colors.line().deriveColor(0, 1, 1, 0.6));
        g.fillRect(from, Math.floor(bottom) - 1, to - from, 1);
    }

    /** What stands at the left of a row, on a ground of its own. */
    private void side(SkiaGraphics g, Timeline t, TimeRows.Row r, double y, Palette colors) {
        boolean own = r.property() == null;
        g.setFill(colors.panel());
        g.fillRect(0, y, HEAD, r.height());
        if (selected(r) && r.sound() == null) {
            g.setFill(own ? colors.spaceSoft() : colors.spaceSoft().deriveColor(0, 1, 1, 0.35));
            g.fillRect(0, y, HEAD, r.height());
        }
        separator(g, 0, HEAD, y + r.height(), colors);
        if (r.sound() != null) {
            name(g, r.name(), 26, y + r.height() / 2, false, colors.ink1());
        } else if (own) {
            head(g, t, r, y, colors);
        } else {
            laneHead(g, t, r, r.property(), y, colors);
        }
    }

    private void head(SkiaGraphics g, Timeline t, TimeRows.Row r, double y, Palette colors) {
        double x = 12 + r.depth() * 14, mid = y + r.height() / 2;
        own(g, studio.layouts().differs().contains(new Override.Shown(t.id(), r.element())) || t.tracksOf(r.element()).keySet().stream()
                .anyMatch(p -> ownKeys(t, r.element(), p)), y, r, colors);
        boolean effects = studio.board().find(r.element()) instanceof Element of && of.effects().stream()
                .anyMatch(f -> !t.tracksOf(f.id()).isEmpty());
        if (r.group() || effects || !t.tracksOf(r.element()).isEmpty()) {
            triangle(g, x, mid, rows.unfolded(r.element()), colors);
        }
        name(g, shortened(r.name(), 24 - r.depth() * 2), x + 14, mid, true, colors.ink1());
        String side = r.locked() ? "locked" : studio.board().find(r.element()) instanceof Element e && e.content() instanceof Content.Instance i
                ? (i.clock().own() ? "own · " : "parent · ") + (i.clock().repeat() == Clock.Repeat.HOLD ? "hold" : i.clock().repeat().words) : null;
        if (side != null) {
            g.setFont(text(11, false));
            g.setFill(colors.ink2());
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText(Language.of(side), HEAD - 10, mid);
        }
    }

    /** Whether the layout that is worked on has keys of its own there. */
    private boolean ownKeys(Timeline t, String element, Property<?> p) {
        return studio.layouts().differs().contains(new Override.Keys(t.id(), element, p));
    }

    /** The mark at the very left of what is of the layout that is worked on. */
    private static void own(SkiaGraphics g, boolean own, double y, TimeRows.Row r, Palette colors) {
        if (own) {
            g.setFill(colors.fitting());
            g.fillRect(0, y, 3, r.height() - 1);
        }
    }

    private static void triangle(SkiaGraphics g, double x, double mid, boolean open, Palette colors) {
        g.setFill(colors.ink2());
        double[] px = open ? new double[] {x - 4, x + 4, x} : new double[] {x - 3, x + 3, x - 3};
        double[] py = open ? new double[] {mid - 2.5, mid - 2.5, mid + 3.5} : new double[] {mid - 4, mid, mid + 4};
        g.fillPolygon(px, py, 3);
    }

    private static void name(SkiaGraphics g, String words, double x, double mid, boolean strong, javafx.scene.paint.Color ink) {
        g.setFont(text(12.5, strong));
        g.setFill(ink);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(words, x, mid);
    }

    private static String shortened(String s, int most) {
        return s.length() <= most ? s : s.substring(0, most - 1) + "…";
    }

    /** When the element is seen, and a short stroke for each time that has keys. */
    private void bar(SkiaGraphics g, Timeline t, TimeRows.Row r, TimeScale scale, double y, double w, boolean selected, Palette colors) {
        var times = new ArrayList<>(Keys.times(t, r.element()));
        if (r.group() && studio.board().find(r.element()) instanceof Element e) {
            Tree.each(e.children(), c -> times.addAll(Keys.times(t, c.id())));
        }
        Span span = t.shown().get(r.element());
        double mid = y + r.height() / 2, top = y + 6, tall = r.height() - 13;
        g.setFont(text(11, false));
        g.setTextAlign(TextAlignment.LEFT);
        if (span != null) {
            double a = inView(scale.x(span.from()), w), b = inView(scale.x(Math.min(span.to(), t.duration())), w);
            g.setFill(colors.space().deriveColor(0, 1, 1, 0.10));
            g.fillRoundRect(a, top, b - a, tall, 8, 8);
            g.setFill(colors.space());
            g.fillRect(a, top, 3, tall);
            g.fillRect(b - 3, top, 3, tall);
        }
        Flipbook book = t == studio.board().main() && studio.board().find(r.element()) instanceof Element e && e.content() instanceof Flipbook f ? f
                : null;
        Element motion = studio.board().find(r.element());
        if (motion != null && motion.content() instanceof Content.Instance i && studio.project().motif(i.motif()) instanceof Motif m
                && (t == studio.board().main() || t == Moment.sitsOn(studio.board(), r.element()))) {
            TurnsPainter.draw(g, Turns.of(studio.board(), motion, m), m.clock(i), scale, top, tall, HEAD, w, colors);
            g.setFill(colors.space());
            times.stream().distinct().forEach(k -> g.fillRect(scale.x(k) - 1, y + r.height() - 10, 2, 4));
        } else if (book != null) {
            BookPainter.draw(g, book, scale, t.duration(), top + 1, tall - 2, w, colors);
            g.setFill(colors.space());
            times.stream().distinct().forEach(k -> g.fillRect(scale.x(k) - 1, y + r.height() - 10, 2, 4));
        } else if (times.isEmpty()) {
            g.setFill(colors.ink2());
            g.fillText(Language.of(span == null ? "still" : "still, seen here only"), Math.max(HEAD + 8, scale.x(span == null ? 0 : span.from())
                    + 9), mid);
        } else {
            long first = times.stream().mapToLong(Long::longValue).min().orElse(0), last = times.stream().mapToLong(Long::longValue).max().orElse(0);
            double a = inView(scale.x(first), w), b = inView(Math.max(a + 8, scale.x(last)), w);
            g.setFill(colors.space().deriveColor(0, 1, 1, selected ? 0.25 : 0.16));
            g.fillRoundRect(a, top, b - a, tall, 8, 8);
            g.setFill(colors.space());
            if (span == null) {
                g.fillRect(a, top, 3, tall);
            }
            g.setFill(colors.space().deriveColor(0, 1, 1, 0.55));
            times.stream().distinct().filter(k -> k != first).forEach(k -> g.fillRect(scale.x(k) - 1, y + r.height() - 11, 2, 4));
            g.setFill(colors.ink1());
            g.fillText(Language.of(summary(t, r)), Math.max(HEAD + 8, a + 9), mid - (r.height() > 24 ? 1 : 0));
        }
    }

    /** A place across, at most a little out of view. */
    private static double inView(double x, double w) {
        return Numbers.clamp(x, HEAD - 40, w + 40);
    }

    private static String summary(Timeline t, TimeRows.Row r) {
        int count = t.tracksOf(r.element()).values().stream().mapToInt(k -> k.keys().size()).sum(), properties = t.tracksOf(r.element()).size();
        return properties == 0 ? "moves inside"
                : (properties == 1 ? "1 property" : properties + " properties") + " · " + (count == 1 ? "1 key" : count + " keys");
    }

    private void laneHead(SkiaGraphics g, Timeline t, TimeRows.Row r, Property<?> p, double y, Palette colors) {
        double mid = r.editor() ? y + 20 : y + r.height() / 2;
        triangle(g, 26 + r.depth() * 14, mid, r.editor(), colors);
        boolean own = ownKeys(t, r.element(), p);
        own(g, own, y, r, colors);
        name(g, shortened(Language.of(r.name()), 26), 38 + r.depth() * 14, mid, false, own ? colors.fitting() : colors.ink2());
        g.setFont(mono(11));
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(shownValue(r.element(), p), HEAD - 28, mid);
        keyButton(g, HEAD - 15, mid, t.track(r.element(), p).keyAt(studio.time().playhead()) != null, colors);
    }

    private <T> String shownValue(String element, Property<T> p) {
        T v = studio.target().valueAt(element, p);
        if (v instanceof Color c) {
            return c.hex();
        }
        if (v instanceof Gradient gradient) {
            return gradient.kind().name().toLowerCase(Locale.ROOT);
        }
        if (v instanceof String word) {
            return word;
        }
        var s = new StringBuilder();
        for (double d : p.type().parts(v)) {
            s.append(s.isEmpty() ? "" : ", ").append(Numbers.plain(d * p.shown(), p.parts().size() > 1 ? 0 : 1));
        }
        return s + (p.unit().equals("px") ? "" : p.unit());
    }

    private static void keyButton(SkiaGraphics g, double x, double y, boolean here, Palette colors) {
        g.setStroke(colors.time());
        g.setLineWidth(1.4);
        g.strokeOval(x - 5.5, y - 5.5, 11, 11);
        if (here) {
            g.setFill(colors.time());
            g.fillOval(x - 3, y - 3, 6, 6);
        }
    }

    private void sound(SkiaGraphics g, TimeRows.Row r, TimeScale scale, double y, Palette colors) {
        PlacedSound s = r.sound();
        long length = s.heard(studio.project().assets().get(s.asset()).duration(), studio.timeline().duration());
        double a = scale.x(s.start()), b = scale.x(s.start() + length);
        g.setFill(colors.interactionSoft());
        g.fillRoundRect(a, y + 4, b - a, r.height() - 9, 8, 8);
        if (s.equals(studio.time().sound())) {
            g.setStroke(colors.interaction());
            g.setLineWidth(1.5);
            g.strokeRoundRect(a, y + 4, b - a, r.height() - 9, 8, 8);
        }
        waves.draw(g, studio.project(), s, studio.timeline().duration(), scale, y + r.height() / 2, r.height() / 2 - 6, colors.interaction());
    }
}
