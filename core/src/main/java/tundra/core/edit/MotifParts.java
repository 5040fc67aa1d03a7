package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Motifs on their way from piece to piece. */
public final class MotifParts {
    private MotifParts() {}

    /**
     * A piece of nothing but a motif and what it uses: other motifs, pictures, sounds and fonts.
     *
     * @param familyOf the family that a font of the shelf belongs to
     */
    public static Project alone(Project p, String motif, Function<Asset, String> familyOf) {
        Motif m = p.motif(motif);
        return alone(p, Motifs.within(p, motif), m, familyOf);
    }

    /** A piece of nothing but some motifs and what they use. */
    static Project alone(Project p, Collection<Motif> motifs, Function<Asset, String> familyOf) {
        return alone(p, motifs, motifs.iterator().next(), familyOf);
    }

    private static Project alone(Project p, Collection<Motif> motifs, Motif m, Function<Asset, String> familyOf) {
        List<Motif> used = p.motifs().stream().filter(motifs::contains).toList();
        Point size = m.board().size();
        Element shown = Motifs.instance(p, m.id(), size.times(0.5));
        var board = new Board(size, Values.NONE, List.of(shown), List.of(new Timeline(Timeline.MAIN, m.board().main().duration())), List.of());
        var out = new Project(Ids.next(), m.name(), p.frameRate(), List.of(new Scene(Ids.next(), m.name(), board)), Map.of(), Map.of())
                .withMotifs(used);
        var assets = new LinkedHashMap<String, Asset>();
        p.assets().values().stream().filter(a -> Shelf.used(out, a, a.kind() == Asset.Kind.FONT ? familyOf.apply(a) : null))
                .forEach(a -> assets.put(a.hash(), a));
        // what leads out of the motif stays behind
        return Reactions.tidied(PieceValues.spelled(out.withAssets(assets), p.values()));
    }

    /** Of the motifs of another piece those that this piece has in another version. */
    public static List<Motif> older(Project into, Project from) {
        return into.motifs().stream().filter(m -> from.motif(m.id()) != null && !from.motif(m.id()).equals(m)).toList();
    }

    /**
     * A project with the motifs of another piece and the files that they use.
     *
     * @param replace whether motifs that are there in another version are replaced, wherever they are placed; otherwise they stay
     */
    public static Project bring(Project into, Project from, boolean replace) {
        Set<String> taken = new HashSet<>();
        for (Place p : into.places()) {
            taken.addAll(Tree.ids(p.board().elements()));
        }
        var names = new FreeNames(into.motifs().stream().map(Motif::name).toList());
        Project out = into;
        var all = new ArrayList<>(into.motifs());
        for (Motif m : from.motifs()) {
            Motif there = into.motif(m.id());
            if (there == null) {
                boolean clash = Tree.ids(m.board().elements()).stream().anyMatch(taken::contains);
                all.add((clash ? m.withBoard(Renewed.of(m.board())) : m).withName(names.take(m.name())));
            } else if (replace) {
                all.set(all.indexOf(there), m.withName(there.name()));
            }
        }
        for (Asset a : from.assets().values()) {
            out = out.withAsset(a);
        }
        out = out.withMotifs(all);
        for (Motif m : all) {
            Point size = m.board().size();
            out = out.mapBoards(b -> b.mapElements(new HashSet<>(Motifs.instances(b, m.id()::equals).stream()
                    .filter(e -> !((Content.Instance) e.content()).box().equals(size)).map(Element::id).toList()),
                    e -> e.withContent(new Content.Instance(m.id(), size, ((Content.Instance) e.content()).clock()))));
        }
        return out;
    }
}
