package tundra.core.series;

import java.util.List;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/**
 * What one instance of a motif takes on a visitor's machine while its elements are moved by the browser: each that moves, is faded or has
 * effects is a layer of its own, of four bytes a pixel.
 *
 * @param bytes at one device pixel for each of CSS's
 */
public record LiveCost(int layers, long bytes) {
    /** From this on a motif is better shown as pictures, if those take less: what a phone can spare for a page. */
    public static final long HEAVY = 64L << 20;
    private static final Set<Property<?>> MOVED = Set.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y, Properties.ROTATION,
            Properties.SCALE, Properties.OPACITY);

    public static LiveCost of(Project p, Motif m) {
        return of(p, m.board(), m.board().elements(), 1);
    }

    public boolean heavy() {
        return bytes >= HEAVY;
    }

    /** In words, for one instance. */
    public String words() {
        return layers == 0 ? "Live: no layers of its own." : "Live: " + (layers == 1 ? "1 layer" : layers + " layers") + ", "
                + Series.megabytes(bytes) + " on the visitor's machine.";
    }

    private static LiveCost of(Project p, Board b, List<Element> elements, double scale) {
        var sum = new LiveCost(0, 0);
        for (Element e : elements) {
            if (e.hidden() || e.guide()) {
                continue;
            }
            Point by = e.rest().get(Properties.SCALE);
            double s = scale * Math.sqrt(Math.abs(by.x() * by.y()));
            if (layer(b, e)) {
                Point box = box(e);
                sum = sum.plus(new LiveCost(1, Math.round(4 * box.x() * box.y() * s * s)));
            }
            if (e.content() instanceof Content.Instance i && p.motif(i.motif()) instanceof Motif inner) {
                sum = sum.plus(of(p, inner.board(), inner.board().elements(), s));
            }
            sum = sum.plus(of(p, b, e.children(), s));
        }
        return sum;
    }

    private static boolean layer(Board b, Element e) {
        return !e.effects().isEmpty() || !e.rest().get(Properties.BLEND).equals("normal")
                || b.timelines().stream().map(Timeline.class::cast).anyMatch(t -> MOVED.stream().anyMatch(p -> t.track(e.id(), p) != null));
    }

    private static Point box(Element e) {
        return switch (e.content()) {
            case Content.Parent g -> g.box();
            case Content.Instance i -> i.box();
            default -> e.rest().get(Properties.SIZE);
        };
    }

    private LiveCost plus(LiveCost o) {
        return new LiveCost(layers + o.layers, bytes + o.bytes);
    }
}
