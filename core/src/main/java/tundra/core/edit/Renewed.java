package tundra.core.edit;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Layout;
import tundra.core.model.Marker;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.motion.Track;

/** A copy of a board whose elements, timelines and reactions have ids of their own. */
public final class Renewed {
    private final Map<String, String> ids = new HashMap<>();

    private Renewed() {
        ids.put(Board.CANVAS, Board.CANVAS);
    }

    public static Board of(Board b) {
        return new Renewed().board(b);
    }

    private Board board(Board old) {
        Board b = Reactions.named(old, this::id);
        return new Board(b.size(), b.canvas(), b.elements().stream().map(this::element).toList(), b.timelines().stream().map(this::timeline).toList(),
                b.reactions().stream().map(r -> r.withId(id(r.id()))).toList(), b.lines(), b.drags().stream().map(d -> d.withId(Ids.next()))
                .toList(), b.layouts().stream().map(this::layout).toList());
    }

    private Layout layout(Layout l) {
        var reactions = new LinkedHashMap<String, Reaction>();
        l.differs().reactions().values().forEach(r -> {
            Reaction there = Reactions.named(r, this::id).withId(id(r.id()));
            reactions.put(there.id(), there);
        });
        var off = l.differs().off().stream().map(this::id).collect(Collectors.toSet());
        return l.withId(Ids.next()).withDiffers(l.differs().mapIds(this::id).withReactions(reactions, off));
    }

    private String id(String old) {
        return ids.computeIfAbsent(old, x -> Ids.next());
    }

    private Element element(Element e) {
        Element copy = BlockSettings.ofBoard(e, this::id).withId(id(e.id())).withEffects(Effects.renewed(e.effects(), ids));
        return e.children().isEmpty() ? copy : copy.withChildren(e.children().stream().map(this::element).toList());
    }

    private Timeline timeline(Timeline t) {
        var tracks = new HashMap<String, Map<Property<?>, Track<?>>>();
        t.tracks().forEach((of, x) -> tracks.put(id(of), x));
        var shown = new HashMap<String, Span>();
        t.shown().forEach((of, s) -> shown.put(id(of), s));
        return new Timeline(id(t.id()), t.name(), t.duration(), t.loop(), t.starts(), tracks, shown,
                t.markers().stream().map(m -> new Marker(id(m.id()), m.name(), m.time())).toList(), t.range(), t.sounds().stream()
                .map(s -> s.withId(Ids.next())).toList(), t.scroll());
    }
}
