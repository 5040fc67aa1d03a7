package tundra.core.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Evaluates what visitors see. One thread at a time. */
public final class VisitFrames {
    private static final int KEPT = 12;
    private final Project project;
    private final TextMeasurer measure;
    /** What some sentence may bring to sight. */
    private final Set<String> showable = new HashSet<>();
    private final Map<List<Object>, FrameBuilder> builders = new LinkedHashMap<>(16, 0.75f, true) {
        @java.lang.Override
        protected boolean removeEldestEntry(Map.Entry<List<Object>, FrameBuilder> e) {
            return size() > KEPT;
        }
    };

    /** A scene as it is painted: where it is in the window, and how opaque. */
    public record Seen(Frame frame, VisitorState.SceneState state) {}

    public VisitFrames(Project project, TextMeasurer measure) {
        this.project = project;
        this.measure = measure;
        project.allReactions().forEach(r -> Stream.concat(r.actions().stream(), r.otherwise().stream()).filter(a -> a.kind() == Actions.SHOW
                || a.kind() == Actions.TOGGLE_SHOWN)
                .forEach(a -> a.slots().values().values().forEach(v -> {
                    if (v instanceof List<?> ids) {
                        ids.forEach(id -> showable.add(String.valueOf(id)));
                    }
                })));
    }

    /** The scenes that are seen, from back to front; what is no longer there is left out. */
    public List<Seen> at(VisitorState v) {
        var out = new ArrayList<Seen>();
        for (VisitorState.SceneState s : v.scenes()) {
            Scene scene = project.scene(s.scene());
            if (scene != null) {
                Frame f = builder(scene, s, v.values()).at(s.moment());
                out.add(new Seen(new Frame(f.size(), f.background(), touched(f.nodes(), s.changes())), s));
            }
        }
        return out;
    }

    private FrameBuilder builder(Scene scene, VisitorState.SceneState s, Map<String, String> values) {
        return builders.computeIfAbsent(Arrays.asList(scene.id(), s.layout(), s.size(), s.changes().withoutPlaces(), s.changes().settled() ? null
                : s.moment(), values), k -> {
            Layout l = s.layout() == null ? null : scene.board().layout(s.layout());
            Board b = Layouts.seen(scene.board(), l, s.size(), measure);
            var visited = new VisitedBoards(project.withValues(project.values().stream().map(x -> values.containsKey(x.id())
                    ? x.withStart(values.get(x.id())) : x).toList()), showable, measure);
            Board seen = visited.board(b, s.changes(), s.moment());
            return new FrameBuilder(seen, measure, null, false, Frames.motifs(visited.project(), measure, null));
        });
    }

    /** With what was dragged where it is now, and in the order that it was brought into. */
    private static List<FrameNode> touched(List<FrameNode> nodes, BoardChanges s) {
        if (s.unmoved()) {
            return nodes;
        }
        var carried = new HashMap<String, BoardChanges.Carried>();
        s.carried().forEach(c -> carried.put(c.element(), c));
        return touched(nodes, s, carried);
    }

    private static List<FrameNode> touched(List<FrameNode> nodes, BoardChanges s, Map<String, BoardChanges.Carried> carried) {
        var out = new ArrayList<FrameNode>();
        for (FrameNode n : nodes) {
            BoardChanges inner = n.motif() == null ? null : s.inside().get(n.id());
            FrameNode now = n.children().isEmpty() ? n : n.motif() == null ? n.withChildren(touched(n.children(), s, carried)) : inner == null
                    || inner.unmoved() ? n : n.withChildren(touched(n.children(), inner));
            BoardChanges.Carried c = n.id() == null ? null : carried.get(n.id());
            if (c != null) {
                Point pivot = n.toParent().apply(n.box().times(0.5));
                Affine turned = c.turn() == 0 ? Affine.IDENTITY : Affine.translate(pivot.x(), pivot.y()).times(Affine.rotate(c.turn()))
                        .times(Affine.translate(-pivot.x(), -pivot.y()));
                now = now.withPlacement(Affine.translate(c.by().x(), c.by().y()).times(turned).times(now.toParent()))
                        .withOpacity(now.opacity() * c.opacity());
            }
            out.add(now);
        }
        if (!s.order().isEmpty()) {
            out.sort(Comparator.comparingInt(n -> n.id() == null ? 0 : s.order().getOrDefault(n.id(), 0)));
        }
        return out;
    }
}
