package tundra.core.series;

import java.util.Collection;
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
        Rect all = null;
        for (Place place : p.places()) {
            if (place instanceof Motif x && x.pictures() && MotifSeries.hindrance(p, x) == null) {
                continue;
            }
            for (Element e : Motifs.instances(place.board(), m.id()::equals)) {
                Affine at = place instanceof Scene ? stands(p, place.board(), e, m) : null;
                if (at == null) {
                    return null;
                }
                Rect seen = at.inverse().bounds(new Rect(0, 0, place.board().size().x(), place.board().size().y()));
                all = all == null ? seen : all.union(seen);
            }
        }
        return all == null ? null : all.grow(EDGE);
    }

    /** From an instance to its scene; null where anything moves it, or lets more of it be seen. */
    private static Affine stands(Project p, Board b, Element e, Motif m) {
        boolean usual = b.elements().contains(e) && b.layouts().isEmpty() && usual(b.canvas(), Properties.ROOM)
                && usual(e.rest(), Properties.TIES) && usual(e.rest(), Set.of(Properties.PARALLAX));
        boolean kept = b.timelines().stream().allMatch(t -> STAYS.containsAll(t.tracksOf(e.id()).keySet()))
                && !NamedElements.of(p, b).contains(e.id()) && e.effects().stream().allMatch(x -> COLOURS.contains(x.kind()));
        var i = (Content.Instance) e.content();
        Affine at = FrameBuilder.placed(e.rest(), i.box());
        return usual && kept && i.box().equals(m.board().size()) && m.board().layouts().isEmpty() && at.invertible() ? at : null;
    }

    private static boolean usual(Values v, Collection<? extends Property<?>> of) {
        return of.stream().allMatch(p -> v.get(p).equals(p.standard()));
    }
}
