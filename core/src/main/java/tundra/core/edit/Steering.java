package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.MapData;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Tree;

/** Ready-made sentences by which something that is tapped steers a block. */
public final class Steering {
    /** Elements that are offered to steer a block, at most. */
    private static final int MOST = 16;

    private Steering() {}

    /**
     * A sentence to take.
     *
     * @param words what is done, such as “leaf Strip on”
     */
    public record Offer(String words, Reaction reaction) {}

    /** What a tap on an element could do to the blocks of its board; none for a block. */
    public static List<Offer> by(Project p, Board b, String element) {
        var out = new ArrayList<Offer>();
        if (Blocks.of(b.find(element)) == null) {
            Tree.each(b.elements(), e -> offers(p, b, element, e, out));
        }
        return out;
    }

    /** What other elements could do to a block when they are tapped. */
    public static List<Offer> of(Project p, Board b, String block) {
        var out = new ArrayList<Offer>();
        int n = 0;
        for (Element e : b.elements().reversed()) {
            if (Blocks.of(e) == null && !e.id().equals(block) && n++ < MOST) {
                var own = new ArrayList<Offer>();
                offers(p, b, e.id(), b.find(block), own);
                own.forEach(o -> out.add(new Offer(e.called() + ": " + o.words, o.reaction)));
            }
        }
        return out;
    }

    private static void offers(Project p, Board b, String by, Element e, List<Offer> out) {
        Content.Block k = Blocks.of(e);
        if (k == null) {
            return;
        }
        var actions = new ArrayList<Action>();
        if (k.kind().gallery()) {
            actions.addAll(List.of(Actions.of(Actions.NEXT_ITEM, e.id()), Actions.of(Actions.PREVIOUS_ITEM, e.id()),
                    Actions.of(Actions.SHOW_ITEM, 1.0, e.id()), Actions.of(Actions.TURN_ONCE, e.id(), Actions.WAY.standard(), 4_000_000L)));
        } else if (k.kind() == Blocks.VIDEO || k.kind() == Blocks.SOUND) {
            actions.add(Actions.of(Actions.TOGGLE_MEDIA, e.id()));
            actions.add(Actions.of(Actions.PAUSE_MEDIA, e.id()));
        } else if (k.kind() == Blocks.MAP_BLOCK) {
            ((MapData) k.get(Blocks.MAP)).places().stream().limit(6).forEach(f -> actions.add(Actions.of(Actions.GO_TO_PLACE, e.id(), f.name())));
            actions.add(Actions.of(Actions.ZOOM_MAP, e.id(), "in"));
            actions.add(Actions.of(Actions.ZOOM_MAP, e.id(), "out"));
        }
        var words = new Sentences(p, b);
        actions.forEach(a -> out.add(new Offer(words.of(a.kind(), a.slots()), new Reaction(Ids.next(), Events.tapped(by), List.of(a)))));
    }
}
