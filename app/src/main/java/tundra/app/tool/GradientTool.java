package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/**
 * Places the gradients of the selected element by handles: start, end, the second radius and the focus of a radial one, and the
 * stops between. A drag elsewhere draws its line anew, and makes a gradient from the colour of a shape that has none yet. Shift keeps
 * to steps of 15°.
 */
public final class GradientTool implements Tool {
    private static final double NEAR = 8;
    private static final double START = 3;
    private final Studio studio;
    private final Paints paints;
    private Grip grip;
    private Object merge;

    /** What can be dragged. */
    private enum Part {
        START, END, SIDE, FOCUS, STOP, WHOLE
    }

    private record Grip(Property<Paint> property, Part part, int stop, Point from, Gradient before) {}

    /** A gradient as it lies in the view. */
    private record Shown(Property<Paint> property, Gradient gradient, Point box, Affine toCanvas) {
        Point at(Point fraction) {
            return toCanvas.apply(fraction.times(box));
        }

        Point focus() {
            return toCanvas.apply(gradient.toBox(box).apply(gradient.focus()));
        }

        Point fraction(Point canvas) {
            Point p = toCanvas.inverse().apply(canvas);
            return new Point(box.x() == 0 ? 0 : p.x() / box.x(), box.y() == 0 ? 0 : p.y() / box.y());
        }
    }

    public GradientTool(Studio studio, Paints paints) {
        this.studio = studio;
        this.paints = paints;
    }

    private List<Shown> shown() {
        var out = new ArrayList<Shown>();
        Element e = studio.selected();
        if (e != null) {
            for (Property<Paint> p : List.of(Properties.FILL, Properties.STROKE)) {
                if (p.appliesTo(e) && studio.target().valueAt(e.id(), p) instanceof Gradient g && placed(e, p, g) instanceof Shown s) {
                    out.add(s);
                }
            }
        }
        return out;
    }

    @Override
    public void press(Pointer p) {
        merge = new Object();
        for (Shown s : shown()) {
            grip = at(s, p);
            if (grip != null) {
                return;
            }
        }
        Shown s = drawn(p);
        grip = s == null ? null : new Grip(s.property, Part.WHOLE, 0, s.fraction(p.at()), s.gradient);
    }

    /** The gradient that a drag draws anew: of the selected element, else of the topmost one under the pointer. */
    private Shown drawn(Pointer p) {
        var all = shown();
        if (!all.isEmpty()) {
            return all.getFirst();
        }
        if (studio.selected() == null) {
            var under = HitTest.under(studio.picture().frame(), p.at(), 3 / p.viewport().zoom());
            if (!under.isEmpty()) {
                studio.select(List.of(under.getFirst().getLast()));
            }
        }
        Element e = studio.selected();
        if (e == null || e.locked() || !Properties.FILL.appliesTo(e)) {
            return null;
        }
        all = shown();
        var color = studio.target().valueAt(e.id(), Properties.FILL).main();
        var from = color.visible() ? color : paints.fill.main();
        return !all.isEmpty() ? all.getFirst() : placed(e, Properties.FILL, Gradient.linear(Gradient.shaded(from)));
    }

    private Shown placed(Element e, Property<Paint> p, Gradient g) {
        Frame.Placed placed = studio.picture().frame().find(e.id());
        return placed == null || !placed.toCanvas().invertible() ? null : new Shown(p, g, placed.node().box(), placed.toCanvas());
    }

    private static Grip at(Shown s, Pointer p) {
        Gradient g = s.gradient;
        Viewport v = p.viewport();
        if (near(v, s.at(g.end()), p)) {
            return new Grip(s.property, Part.END, 0, p.at(), g);
        }
        if (g.kind() == Gradient.Kind.RADIAL && near(v, s.at(g.side()), p)) {
            return new Grip(s.property, Part.SIDE, 0, p.at(), g);
        }
        for (int i = 0; i < g.stops().size(); i++) {
            double at = g.stops().get(i).at();
            if (at > 0.02 && at < 0.98 && near(v, s.at(g.start().lerp(g.end(), at)), p)) {
                return new Grip(s.property, Part.STOP, i, p.at(), g);
            }
        }
        if (g.kind() == Gradient.Kind.RADIAL && !p.shift() && p.alt() && near(v, s.focus(), p)) {
            return new Grip(s.property, Part.FOCUS, 0, p.at(), g);
        }
        if (g.kind() == Gradient.Kind.RADIAL && !g.focus().equals(Point.ZERO) && near(v, s.focus(), p)) {
            return new Grip(s.property, Part.FOCUS, 0, p.at(), g);
        }
        return near(v, s.at(g.start()), p) ? new Grip(s.property, Part.START, 0, p.at(), g) : null;
    }

    private static boolean near(Viewport v, Point canvas, Pointer p) {
        return v.toView(canvas).distance(p.view()) <= NEAR;
    }

    @Override
    public void drag(Pointer p) {
        Element e = studio.selected();
        if (grip == null || e == null) {
            return;
        }
        Shown s = placed(e, grip.property, grip.before);
        if (s == null || grip.part == Part.WHOLE && s.at(grip.from).minus(p.at()).times(p.viewport().zoom()).length() < START) {
            return;
        }
        Gradient next = changed(s, p);
        String name = grip.part == Part.WHOLE ? "Draw gradient on " : "Place gradient of ";
        studio.again(name + e.name(), merge, b -> studio.target().set(b, e.id(), grip.property, next));
    }

    private Gradient changed(Shown s, Pointer p) {
        Gradient g = grip.before;
        Point to = p.at();
        if (p.shift() && (grip.part == Part.END || grip.part == Part.WHOLE || grip.part == Part.SIDE)) {
            to = DrawnShapes.stepped(s.at(grip.part == Part.WHOLE ? grip.from : g.start()), to, 15);
        }
        Point f = s.fraction(to);
        return switch (grip.part) {
            case START -> g.kind() == Gradient.Kind.RADIAL ? g.moved(f) : g.placed(f, g.end(), g.side().plus(f.minus(g.start())));
            case END -> g.withEnd(f, s.box);
            case SIDE -> g.placed(g.start(), g.end(), f);
            case FOCUS -> g.withFocus(g.toBox(s.box).inverse().apply(f.times(s.box)));
            case STOP -> {
                Point a = s.at(g.start()), way = s.at(g.end()).minus(a), by = to.minus(a);
                double l = way.length();
                double at = l == 0 ? 0 : (by.x() * way.x() + by.y() * way.y()) / (l * l);
                var stops = new ArrayList<>(g.stops());
                stops.set(grip.stop, new Gradient.Stop(at, stops.get(grip.stop).color()));
                yield g.withStops(stops);
            }
            case WHOLE -> g.moved(grip.from).withEnd(f, s.box);
        };
    }

    @Override
    public void release(Pointer p) {
        grip = null;
    }

    @Override
    public boolean cancel() {
        if (grip == null) {
            return false;
        }
        studio.cancel(merge);
        grip = null;
        return true;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        Palette colors = Palette.of(studio.dark());
        for (Shown s : shown()) {
            Point a = v.toView(s.at(s.gradient.start())), b = v.toView(s.at(s.gradient.end()));
            g.setStroke(Color.WHITE);
            g.setLineWidth(3);
            g.strokeLine(a.x(), a.y(), b.x(), b.y());
            HandleMarks.arm(g, a, b, colors.space());
            if (s.gradient.kind() == Gradient.Kind.RADIAL) {
                Point side = v.toView(s.at(s.gradient.side()));
                HandleMarks.arm(g, a, side, colors.space());
                ring(g, v, s, colors.space());
                HandleMarks.round(g, side, 4, Color.WHITE, colors.space());
                if (!s.gradient.focus().equals(Point.ZERO)) {
                    Point f = v.toView(s.focus());
                    HandleMarks.arm(g, new Point(f.x() - 5, f.y()), new Point(f.x() + 5, f.y()), colors.space());
                    HandleMarks.arm(g, new Point(f.x(), f.y() - 5), new Point(f.x(), f.y() + 5), colors.space());
                }
            }
            for (Gradient.Stop stop : s.gradient.stops()) {
                Point at = v.toView(s.at(s.gradient.start().lerp(s.gradient.end(), stop.at())));
                var c = stop.color();
                boolean end = stop.at() <= 0.02 || stop.at() >= 0.98;
                HandleMarks.round(g, at, end ? 6 : 4.5, Color.WHITE, colors.space());
                g.setFill(Color.rgb(c.red(), c.green(), c.blue(), c.alpha() / 255.0));
                double r = end ? 4 : 3;
                g.fillOval(at.x() - r, at.y() - r, 2 * r, 2 * r);
            }
            HandleMarks.round(g, a, 2, colors.space(), colors.space());
        }
    }

    private static void ring(SkiaGraphics g, Viewport v, Shown s, Color ink) {
        g.setStroke(ink.deriveColor(0, 1, 1, 0.7));
        g.setLineDashes(4, 4);
        g.beginPath();
        Affine m = s.toCanvas.times(s.gradient.toBox(s.box));
        for (int i = 0; i <= 64; i++) {
            double t = Math.PI * i / 32;
            Point at = v.toView(m.apply(new Point(Math.cos(t), Math.sin(t))));
            if (i == 0) {
                g.moveTo(at.x(), at.y());
            } else {
                g.lineTo(at.x(), at.y());
            }
        }
        g.stroke();
        g.setLineDashes();
    }
}
