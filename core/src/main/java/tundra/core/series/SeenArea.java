package tundra.core.series;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.edit.Motifs;
import tundra.core.edit.NamedElements;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Values;

/** Which part of a motif any visitor can see: what of its instances lies within their scenes, where all of them stand still. */
public final class SeenArea {
    /** Effects that look at no neighbours of a pixel. */
    private static final Set<EffectKind> COLOURS = Set.of(EffectKind.BRIGHTNESS, EffectKind.CONTRAST, EffectKind.SATURATION, EffectKind.HUE,
            EffectKind.INVERT, EffectKind.CHANNELS, EffectKind.TINT);
    private static final Set<Property<?>> STAYS = Set.of(Properties.OPACITY);
    /** What lies beside it is mixed into its edge when pictures are shown larger, in px. */
    private static final double EDGE = 24;

    private SeenArea() {}

    /** In the motif's coordinates, somewhat wider; null where it may be anything. */
    public static Rect of(Project p, Motif m) {
        if (!p.scripts().isEmpty()) {
            return null;
        }
        Set<String> pictures = MotifSeries.asPictures(p);
        Rect all = null;
        for (Place place : p.places()) {
            if (pictures.contains(place.id())) {
                continue;
            }
            List<Element> instances = Motifs.instances(place.board(), m.id()::equals);
            if (instances.isEmpty()) {
                continue;
            }
            if (!(place instanceof Scene s) || !fixed(s.board(), instances) || !m.board().layouts().isEmpty()) {
                return null;
            }
            Set<String> named = NamedElements.of(p, s.board());
            var scene = new Rect(0, 0, s.board().size().x(), s.board().size().y());
            for (Element e : instances) {
                Affine at = FrameBuilder.placed(e.rest(), m.board().size());
                if (named.contains(e.id()) || !stands(s.board(), e, m) || !at.invertible()) {
                    return null;
                }
                Rect seen = at.inverse().bounds(scene);
                all = all == null ? seen : all.union(seen);
            }
        }
        return all == null ? null : all.grow(EDGE);
    }

    /** Whether a scene is always as it is drawn, and instances stand directly in it. */
    private static boolean fixed(Board b, List<Element> instances) {
        return b.layouts().isEmpty() && usual(b.canvas(), Properties.ROOM) && new HashSet<>(b.elements().stream().map(Element::id).toList())
                .containsAll(instances.stream().map(Element::id).toList());
    }

    /** Whether an instance shows its motif in the motif's own size, and no key, tie or effect moves it or what is seen of it. */
    private static boolean stands(Board b, Element e, Motif m) {
        return ((Content.Instance) e.content()).box().equals(m.board().size()) && usual(e.rest(), Properties.TIES)
                && usual(e.rest(), Set.of(Properties.PARALLAX)) && e.effects().stream().allMatch(x -> COLOURS.contains(x.kind()))
                && b.timelines().stream().allMatch(t -> STAYS.containsAll(t.tracksOf(e.id()).keySet()));
    }

    private static boolean usual(Values v, Collection<? extends Property<?>> of) {
        return of.stream().allMatch(p -> v.get(p).equals(p.standard()));
    }
}
