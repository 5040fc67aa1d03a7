package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tundra.core.model.Board;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Timeline;

/** The effects of an element: added, ordered, switched and taken away, with their keys. */
public final class Effects {
    private Effects() {}

    public static Board add(Board b, String element, EffectKind kind) {
        return change(b, element, all -> {
            var out = new ArrayList<>(all);
            out.add(new Effect(kind));
            return out;
        });
    }

    /** Without an effect and its keys. */
    public static Board delete(Board b, String effect) {
        Element holder = b.holder(effect);
        return holder == null ? b : withoutKeys(change(b, holder.id(), all -> all.stream().filter(x -> !x.id().equals(effect)).toList()), effect);
    }

    private static Board withoutKeys(Board b, String effect) {
        return b.withTimelines(b.timelines().stream().map((Timeline t) -> t.withTracks(effect, Map.of())).toList());
    }

    /** Moves an effect among the others; {@code index} counts after it was taken out. */
    public static Board move(Board b, String effect, int index) {
        Element holder = b.holder(effect);
        return holder == null ? b : change(b, holder.id(), all -> {
            var out = new ArrayList<>(all);
            Effect e = out.stream().filter(x -> x.id().equals(effect)).findFirst().orElseThrow();
            out.remove(e);
            out.add(Math.max(0, Math.min(out.size(), index)), e);
            return out;
        });
    }

    public static Board setOn(Board b, String effect, boolean on) {
        Element holder = b.holder(effect);
        return holder == null ? b : change(b, holder.id(), all -> all.stream().map(x -> x.id().equals(effect) ? x.withOn(on) : x).toList());
    }

    /** With copies of effects, as they rest, behind those that an element has. */
    public static Board paste(Board b, String element, List<Effect> copied) {
        return change(b, element, all -> {
            var out = new ArrayList<>(all);
            copied.forEach(x -> out.add(x.withId(Ids.next())));
            return out;
        });
    }

    private static Board change(Board b, String element, UnaryOperator<List<Effect>> change) {
        return b.mapElement(element, e -> e.withEffects(change.apply(e.effects())));
    }

    /** With ids of their own, which are noted under the old ones. */
    static List<Effect> renewed(List<Effect> effects, Map<String, String> ids) {
        return effects.stream().map(x -> x.withId(ids.computeIfAbsent(x.id(), k -> Ids.next()))).toList();
    }
}
