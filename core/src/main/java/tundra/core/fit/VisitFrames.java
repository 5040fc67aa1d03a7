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
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Tree;
import tundra.core.model.Values;

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
        project.allReactions().forEach(r -> Stream.concat(r.actions().stream(), r.otherwise().stream()).filter(a -> a.kind() == Actions.SHOW || a.kind() == Actions.TOGGLE_SHOWN)
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
                out.add(new Seen(new Frame(f.size(), f.background(), touched(f.nodes(), s)), s));
            }
        }
        return out;
    }

    private FrameBuilder builder(Scene scene, VisitorState.SceneState s, Map<String, String> values) {
        return builders.computeIfAbsent(Arrays.asList(scene.id(), s.layout(), s.size(), s.hidden(), s.scripted(), values), k -> {
            Project p = project.withValues(project.values().stream().map(x -> values.containsKey(x.id()) ? x.withStart(values.get(x.id())) : x).toList());
            Layout l = s.layout() == null ? null : scene.board().layout(s.layout());
            Board b = Layouts.seen(scene.board(), l, s.size(), measure);
            var ids = new HashSet<String>();
            Tree.each(b.elements(), e -> {
                boolean hides = s.hidden().contains(e.id());
                if (hides != e.hidden() && (hides || showable.contains(e.id()))) {
                    ids.add(e.id());
                }
            });
            Board seen = b.mapElements(ids, e -> e.withHidden(!e.hidden()));
            for (VisitorState.Scripted x : s.scripted()) {
                seen = seen.find(x.element()) == null ? seen : seen.mapElement(x.element(), e -> e.withRest(scripted(e.rest(), x)));
            }
            return new FrameBuilder(seen, measure, null, false, Frames.motifs(p, measure, null));
        });
    }

    private static Values scripted(Values rest, VisitorState.Scripted x) {
        Values out = rest.with(Properties.POSITION, rest.get(Properties.POSITION).plus(x.by()));
        out = x.opacity() == null ? out : out.with(Properties.OPACITY, x.opacity());
        out = x.rotation() == null ? out : out.with(Properties.ROTATION, x.rotation());
        out = x.scale() == null ? out : out.with(Properties.SCALE, new Point(x.scale(), x.scale()));
        return x.fill() == null ? out : out.with(Properties.FILL, x.fill());
    }

    /** With what was dragged where it is now, and in the order that it was brought into. */
    private static List<FrameNode> touched(List<FrameNode> nodes, VisitorState.SceneState s) {
        if (s.carried().isEmpty() && s.order().isEmpty()) {
            return nodes;
        }
        var carried = new HashMap<String, VisitorState.Carried>();
        s.carried().forEach(c -> carried.put(c.element(), c));
        return touched(nodes, s, carried);
    }

    private static List<FrameNode> touched(List<FrameNode> nodes, VisitorState.SceneState s, Map<String, VisitorState.Carried> carried) {
        var out = new ArrayList<FrameNode>();
        for (FrameNode n : nodes) {
            FrameNode now = n.children().isEmpty() || n.motif() != null ? n : n.withChildren(touched(n.children(), s, carried));
            VisitorState.Carried c = n.id() == null ? null : carried.get(n.id());
            if (c != null) {
                Point pivot = n.toParent().apply(n.box().times(0.5));
                Affine turned = c.turn() == 0 ? Affine.IDENTITY : Affine.translate(pivot.x(), pivot.y()).times(Affine.rotate(c.turn())).times(Affine.translate(-pivot.x(), -pivot.y()));
                now = now.withPlacement(Affine.translate(c.by().x(), c.by().y()).times(turned).times(now.toParent())).withOpacity(now.opacity() * c.opacity());
            }
            out.add(now);
        }
        if (!s.order().isEmpty()) {
            out.sort(Comparator.comparingInt(n -> n.id() == null ? 0 : s.order().getOrDefault(n.id(), 0)));
        }
        return out;
    }
}
