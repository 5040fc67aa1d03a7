package tundra.core.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tundra.core.edit.Motifs;
import tundra.core.edit.NamedElements;
import tundra.core.edit.PieceValues;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Long shadows of what never changes in itself become pictures beneath it. A browser draws a long shadow out by a filter each of whose nine steps
 * asks twice for the one before, and does so again for each frame in which the element moves: seconds, where a picture costs nothing.
 */
final class PaintedShadows {
    /** What of an element stays with what holds it and its shadow: where it stands, and how both together are seen. */
    private static final Set<Property<?>> OUTER = Stream.concat(Properties.PLACING.stream(), Stream.of(Properties.POSITION_X, Properties.POSITION_Y,
            Properties.OPACITY, Properties.BLEND, Properties.SHOWN, Properties.CURSOR, Properties.PARALLAX)).collect(Collectors.toSet());

    private final SeriesPainter painter;
    /** How many times as large as they are drawn motifs are shown at most, by their ids. */
    private final Map<String, Double> scales = new HashMap<>();
    private Project project;

    private PaintedShadows(Project p, SeriesPainter painter) {
        project = p;
        this.painter = painter;
    }

    static Project in(Project p, SeriesPainter painter) {
        if (!p.scripts().isEmpty()) {
            return p;
        }
        var work = new PaintedShadows(p, painter);
        p.places().forEach(work::place);
        return work.project;
    }

    private void place(Place place) {
        Board b = place.board();
        var casting = new ArrayList<Element>();
        Tree.each(b.elements(), e -> {
            if (casts(e) && stays(b, e)) {
                casting.add(e);
            }
        });
        if (casting.isEmpty() || !b.layouts().isEmpty()) {
            return;
        }
        Set<String> named = NamedElements.of(project, b);
        for (Element e : casting) {
            Element bare = e.withEffects(e.effects().subList(0, 1)).withRest(inner(e.rest()));
            SeriesPainter.Shadow shadow = any(List.of(e), x -> named.contains(x.id())) ? null : painter.longShadow(project, bare,
                    ShownPictures.FINE * scale(place, e));
            if (shadow != null) {
                project = project.withAsset(shadow.picture()).mapBoard(place.id(), x -> x.mapElement(e.id(), now -> held(now, shadow)));
            }
        }
    }

    /** How many times as large as it is drawn an element is shown at most, as far as scales at rest and at keys say. */
    private double scale(Place place, Element e) {
        double out = 1;
        for (String id : place.board().path(e.id())) {
            out *= scale(place.board(), place.board().find(id));
        }
        if (place instanceof Motif m) {
            if (!scales.containsKey(m.id())) {
                scales.put(m.id(), scale(m.id()));
            }
            out *= scales.get(m.id());
        }
        return out;
    }

    private double scale(String motif) {
        double most = 0;
        for (Place place : project.places()) {
            for (Element e : Motifs.instances(place.board(), motif::equals)) {
                most = Math.max(most, scale(place, e));
            }
        }
        return most == 0 ? 1 : most;
    }

    private static double scale(Board b, Element e) {
        double most = larger(e.rest().get(Properties.SCALE));
        for (Timeline t : b.timelines()) {
            Track<Point> track = t.track(e.id(), Properties.SCALE);
            for (Key<Point> k : track == null ? List.<Key<Point>>of() : track.keys()) {
                most = Math.max(most, larger(k.value()));
            }
        }
        return most;
    }

    private static double larger(Point scale) {
        return Math.max(Math.abs(scale.x()), Math.abs(scale.y()));
    }

    /** Whether it has one long shadow, before all other effects. */
    private static boolean casts(Element e) {
        return !e.hidden() && !e.guide() && !e.effects().isEmpty() && e.effects().getFirst().on()
                && e.effects().getFirst().kind() == EffectKind.LONG_SHADOW
                && e.effects().stream().filter(x -> x.on() && x.kind() == EffectKind.LONG_SHADOW).count() == 1;
    }

    /** Whether nothing but its place and opacity, and the effects after its shadow, ever changes. */
    private boolean stays(Board b, Element e) {
        String shadow = e.effects().getFirst().id();
        boolean itself = b.timelines().stream().allMatch(t -> t.tracksOf(shadow).isEmpty() && OUTER.containsAll(t.tracksOf(e.id()).keySet()))
                && Properties.TIES.stream().allMatch(p -> e.rest().get(p).equals(p.standard()));
        return itself && plain(e) && !any(e.children(), x -> !plain(x) || moves(b, x));
    }

    private boolean plain(Element e) {
        return switch (e.content()) {
            case Content.Shape s -> true;
            case Content.Group g -> true;
            case Content.Picture p -> true;
            case Content.Text t -> !PieceValues.shows(project, e);
            default -> false;
        };
    }

    private static boolean moves(Board b, Element e) {
        return b.timelines().stream().anyMatch(t -> keyed(t, e.id()) || e.effects().stream().anyMatch(x -> keyed(t, x.id())));
    }

    private static boolean any(List<Element> in, Predicate<Element> what) {
        var found = new boolean[1];
        Tree.each(in, e -> found[0] |= what.test(e));
        return found[0];
    }

    private static boolean keyed(Timeline t, String id) {
        return !t.tracksOf(id).isEmpty() || t.shown().containsKey(id);
    }

    private static Values inner(Values rest) {
        Values out = rest;
        for (Property<?> p : OUTER) {
            out = out.without(p);
        }
        return out;
    }

    private static Values outer(Values rest) {
        Values out = Values.NONE;
        for (Property<?> p : OUTER) {
            out = with(out, p, rest);
        }
        return out;
    }

    private static <T> Values with(Values v, Property<T> p, Values of) {
        return of.has(p) ? v.with(p, of.get(p)) : v;
    }

    /** A group in the element's place that holds its shadow and, above, the element itself. */
    private static Element held(Element e, SeriesPainter.Shadow shadow) {
        Asset a = shadow.picture();
        Rect area = shadow.area();
        // without a name, since screen readers would say it
        Element picture = new Element(e.id() + "-shadow", "", false, false, Values.NONE.with(Properties.POSITION, area.centre())
                .with(Properties.SIZE, new Point(area.width(), area.height())).with(Properties.TOUCH, "lets through"), new Content.Picture(a.hash()));
        Element cast = new Element(e.id() + "-cast", e.name(), false, false, inner(e.rest()).with(Properties.POSITION, shadow.box().times(0.5)),
                e.content());
        List<Effect> after = e.effects().subList(1, e.effects().size());
        return new Element(e.id(), e.name(), e.locked(), false, outer(e.rest()), new Content.Group(List.of(picture, cast), shadow.box()))
                .withEffects(after);
    }
}
