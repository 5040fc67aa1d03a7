package tundra.samples;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tundra.core.fit.Layouts;
import tundra.core.fit.Lens;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** The arrival in four layouts: wide as it is drawn, with its menu on top on a tablet, folded on a phone, and as a low banner. */
final class ArrivalLayouts {
    private static final String PHONE = "l-phone", TABLET = "l-tablet", BANNER = "l-banner";
    private static final String[] LAND = {"mountains", "snow-ridge", "foreground", "mast", "mast-lamp", "station", "hut-bell", "tower", "rotor",
            "hub", "wind-flag-1", "wind-flag-2", "wind-flag-3", "wind-flag-4", "hare-at-rest",
        "hare", "sled", "start-the-sled"};
    private static final List<String> ENTRIES = List.of("night-walk", "raise-the-mast", "visit", "write-to-us");
    private Board b;

    private ArrivalLayouts(Board b) {
        this.b = b;
    }

    /** With ties for the widths between and a layout for each kind of window. */
    static Board of(Board drawn) {
        Board b = new ArrivalLayouts(drawn).tied().withLayouts(List.of(new Layout(PHONE, "Phone", 0, 560, new Point(390, 760)),
                new Layout(TABLET, "Tablet", 560, 960, new Point(768, 900)),
                new Layout(BANNER, "Low banner", 1600, Layout.WIDEST, new Point(1600, 320))));
        for (var e : Map.<String, UnaryOperator<ArrivalLayouts>>of(PHONE, ArrivalLayouts::phone, TABLET, ArrivalLayouts::tablet, BANNER,
                ArrivalLayouts::banner).entrySet()) {
            b = Lens.put(b, e.getKey(), e.getValue().apply(new ArrivalLayouts(Lens.get(b, e.getKey()))).b, Lens.Scope.ONLY_HERE);
        }
        return Layouts.ended(b, PHONE, b.main().id(), true);
    }

    private Board tied() {
        rest("sky", v -> v.with(Properties.TIE_X, "both sides"));
        for (String id : List.of("stars", "aurora-high", "aurora-low", "mountains", "snow-ridge", "foreground")) {
            rest(id, v -> v.with(Properties.TIE_X, "both sides").with(Properties.RESIZE, "cover").with(Properties.RESIZE_POINT,
                    new Point(0.5, id.equals("stars") ? 0 : 1)));
        }
        for (String id : List.of("mast", "mast-lamp", "wind-flag-1", "wind-flag-2")) {
            rest(id, v -> v.with(Properties.TIE_X, "middle"));
        }
        for (String id : List.of("station", "hut-bell", "tower", "rotor", "hub", "wind-flag-3", "wind-flag-4", "menu", "menu-panel",
                "start-the-sled")) {
            rest(id, v -> v.with(Properties.TIE_X, "right"));
        }
        return b;
    }

    private ArrivalLayouts phone() {
        box("sky", new Rect(0, 0, 390, 582));
        by(0, 120, LAND);
        by(-300, 0, "mountains", "aurora-high", "aurora-low");
        by(-500, 0, "snow-ridge", "foreground");
        by(-704, 0, "station", "hut-bell");
        by(-690, 0, "mast", "mast-lamp");
        by(-790, 0, "tower", "rotor", "hub");
        by(-190, 0, "sled");
        by(-860, 0, "start-the-sled");
        hidden("hare", "hare-at-rest", "wind-flag-1", "wind-flag-2", "wind-flag-3", "wind-flag-4");
        words("title", new Point(24, 84), 60, 260, "left");
        words("subtitle", new Point(26, 246), 20, 250, "left");
        by(-870, -16, "menu");
        by(-890, -12, "menu-panel");
        return this;
    }

    private ArrivalLayouts tablet() {
        box("sky", new Rect(0, 0, 768, 722));
        by(0, 260, LAND);
        by(-200, 90, "aurora-high", "aurora-low");
        by(-420, 0, "mountains");
        by(-400, 0, "station", "hut-bell");
        by(-560, 0, "mast", "mast-lamp");
        by(-470, 0, "tower", "rotor", "hub", "wind-flag-3", "wind-flag-4");
        by(-760, -10, "start-the-sled");
        hidden("wind-flag-1", "wind-flag-2", "menu");
        words("title", new Point(64, 108), 68, 640, "centre");
        words("subtitle", new Point(64, 204), 24, 640, "centre");
        // the menu lies across the top, its entries in equal parts of the width
        box("menu-panel", new Rect(0, 0, 768, 56));
        keys("menu-panel", Properties.POSITION, p -> Point.ZERO);
        rest("menu-panel", v -> v.with(Properties.TIE_X, "both sides"));
        box("menu-ground", new Rect(0, 0, 768, 56));
        rest("menu-ground", v -> v.with(Properties.TIE_X, "both sides").with(Properties.CORNER_RADIUS, 0.0));
        for (String entry : ENTRIES) {
            rest(entry, v -> v.with(Properties.POSITION, new Point(108 + 186 * ENTRIES.indexOf(entry), 28)).with(Properties.LEFT_IN, "%"));
            rest(entry + "-row", v -> v.with(Properties.SIZE, new Point(174, 36)));
        }
        return this;
    }

    private ArrivalLayouts banner() {
        box("sky", new Rect(0, 0, 1600, 190));
        by(0, -300, LAND);
        by(160, -60, "aurora-high", "aurora-low");
        for (String id : List.of("aurora-high", "aurora-low", "mountains", "snow-ridge", "foreground")) {
            rest(id, v -> v.with(Properties.SCALE, new Point(1.27, 1)));
        }
        by(160, 0, "mountains", "snow-ridge", "foreground");
        by(300, 0, "station", "hut-bell", "tower", "rotor", "hub", "wind-flag-3", "wind-flag-4");
        by(200, 0, "mast", "mast-lamp");
        by(320, -4, "start-the-sled");
        words("title", new Point(84, 22), 60, 0, "left");
        words("subtitle", new Point(88, 100), 22, 0, "left");
        by(320, -16, "menu");
        by(320, -24, "menu-panel");
        return this;
    }

    private static String id(String name) {
        return "s-" + name;
    }

    private void rest(String name, UnaryOperator<Values> change) {
        b = b.withRest(id(name), change);
    }

    private void hidden(String... names) {
        Arrays.stream(names).forEach(n -> rest(n, v -> v.with(Properties.SHOWN, "no")));
    }

    /** Where it stands, with all of its motion. */
    private void by(double dx, double dy, String... names) {
        var by = new Point(dx, dy);
        for (String n : names) {
            rest(n, v -> v.with(Properties.POSITION, v.get(Properties.POSITION).plus(by)));
            keys(n, Properties.POSITION, p -> p.plus(by));
        }
    }

    private void keys(String name, Property<Point> p, UnaryOperator<Point> change) {
        for (Timeline t : b.timelines()) {
            Track<Point> track = t.track(id(name), p);
            if (track != null) {
                b = b.mapTimeline(t.id(), x -> x.with(id(name), p, track.map(k -> k.with(change.apply(k.value())))));
            }
        }
    }

    /** Of a given box in its parent. */
    private void box(String name, Rect r) {
        rest(name, v -> v.with(Properties.SIZE, new Point(r.width(), r.height())).with(Properties.POSITION, r.topLeft()
                .plus(v.get(Properties.PIVOT).times(new Point(r.width(), r.height())))));
    }

    /** Words of a size at a place, no wider than that; 0 for as wide as they are. The title comes from below its place. */
    private void words(String name, Point at, double size, double wrap, String align) {
        Element e = b.find(id(name));
        Point was = e.rest().get(Properties.POSITION);
        by(at.x() - was.x(), at.y() - was.y(), name);
        rest(name, v -> v.with(Properties.FONT_SIZE, size).with(Properties.WRAP, wrap).with(Properties.TEXT_ALIGN, align)
                .with(Properties.TIE_X, align.equals("centre") ? "middle" : "left"));
    }
}
