package tundra.app.studio;

import java.util.ArrayList;
import java.util.List;
import tundra.core.fit.Frames;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.render.Fonts;

/** Which scene or motif is open, and the way that led there through instances that were opened in place. */
public final class OpenPlace {
    /** What lies around a motif that is open is seen as faintly as this. */
    private static final double DIMMED = 0.32;

    /**
     * A place that was left for the motif of one of its instances.
     *
     * @param instance the element that was opened; null where the motif was opened from the shelf
     * @param playhead where it stood, in µs
     */
    public record Step(String place, String instance, long playhead, String timeline) {}

    private String id;
    private List<Step> way = List.of();
    private Around around;

    /** The place as it was asked for last, and the project that it is of. */
    private Project of;
    private Place place;

    /** The surroundings as they were worked out last, and what they were worked out from. */
    private record Around(Project project, List<Step> way, Affine toInner, List<FrameNode> nodes, Color background) {}

    String id() {
        return id;
    }

    /** What is open: a scene or a motif. */
    Place place(Project p) {
        if (of != p || place == null || !place.id().equals(id)) {
            of = p;
            place = p.place(id);
        }
        return place;
    }

    /** The places passed, the scene first; empty in a scene. */
    public List<Step> way() {
        return way;
    }

    void show(String place) {
        id = place;
        way = List.of();
        around = null;
    }

    void into(String motif, Step left) {
        var next = new ArrayList<>(way);
        next.add(left);
        way = List.copyOf(next);
        id = motif;
    }

    /** Back to a place of the way; returns how it was left. */
    Step back(int step) {
        Step to = way.get(step);
        id = to.place;
        way = way.subList(0, step);
        return to;
    }

    /** As far back as everything on the way is still there; whether that is where it was. */
    boolean settle(Project p) {
        for (int i = 0; i < way.size(); i++) {
            Step s = way.get(i);
            Place in = p.place(s.place);
            String next = i + 1 < way.size() ? way.get(i + 1).place : id;
            boolean there = in != null && (s.instance == null ? p.motif(next) != null
                    : in.board().find(s.instance) != null && in.board().find(s.instance).content() instanceof Content.Instance x && x.motif()
                    .equals(next));
            if (!there) {
                if (in != null) {
                    back(i);
                } else {
                    show(p.scenes().getFirst().id());
                }
                return false;
            }
        }
        if (p.place(id) == null) {
            show(p.scenes().getFirst().id());
            return false;
        }
        return true;
    }

    /** The scene that the way began in, or the first one where a motif was opened by itself. */
    Scene scene(Project p) {
        Scene s = p.scene(way.isEmpty() ? id : way.getFirst().place);
        return s != null ? s : p.scenes().getFirst();
    }

    /** From the open motif's coordinates to those of the place that it was opened in; nothing moves when there is none. */
    public Affine toAround(Project p) {
        return around(p).toInner.inverse();
    }

    /** A motif's frame with what lies around it behind, faint and out of reach. */
    Frame within(Project p, Frame f) {
        if (way.isEmpty()) {
            return f;
        }
        Around a = around(p);
        var nodes = new ArrayList<FrameNode>();
        if (!a.nodes.isEmpty()) {
            // its elements are none of this board's
            nodes.add(new FrameNode("", true, a.toInner, DIMMED, f.size(), List.of(), a.nodes, List.of(), ""));
        }
        nodes.addAll(f.nodes());
        return new Frame(f.size(), a.background, nodes);
    }

    private Around around(Project p) {
        if (around == null || around.project != p || around.way != way) {
            around = made(p);
        }
        return around;
    }

    private Around made(Project p) {
        Step last = way.getLast();
        Place in = p.place(last.place);
        var background = scene(p).board().canvas().get(Properties.BACKGROUND);
        if (last.instance == null) {
            return new Around(p, way, Affine.IDENTITY, List.of(), background);
        }
        var measure = Fonts.of(p.assets());
        Frame outer = new FrameBuilder(in.board(), measure, null, false, Frames.motifs(p, measure, null))
                .at(Moment.editing(in.board(), last.timeline, last.playhead));
        Frame.Placed placed = outer.find(last.instance);
        if (placed == null || !placed.toCanvas().invertible()) {
            return new Around(p, way, Affine.IDENTITY, List.of(), background);
        }
        var nodes = new ArrayList<FrameNode>();
        var canvas = new Mark.Fill(new Form.Box(outer.size(), 0), outer.background(), outer.size());
        nodes.add(new FrameNode("", true, Affine.IDENTITY, 1, outer.size(), List.of(canvas), List.of(), List.of()));
        outer.nodes().stream().filter(n -> !last.instance.equals(n.id())).forEach(nodes::add);
        return new Around(p, way, placed.toCanvas().inverse(), nodes, Color.NONE);
    }
}
