package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Outline;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Instances of motifs become plain groups that look as the motifs do at one moment. */
public final class BrokenApart {
    private final Project project;
    private final FreeNames names;
    private final FrameBuilder seen;

    private BrokenApart(Project project, FreeNames names, FrameBuilder seen) {
        this.project = project;
        this.names = names;
        this.seen = seen;
    }

    /** @param seen shows the board */
    public static Board of(Project p, Board b, Collection<String> ids, FrameBuilder seen, Moment moment) {
        var taken = new ArrayList<String>();
        Tree.each(b.elements(), e -> taken.add(e.name()));
        var apart = new BrokenApart(p, new FreeNames(taken), seen);
        Board out = b;
        for (String id : ids) {
            if (out.find(id) instanceof Element e && e.content() instanceof Content.Instance i && p.motif(i.motif()) instanceof Motif m) {
                Moment inner = moment.inside(b, id, m.clock(i), m.board());
                List<Element> children = apart.posed(m.board().elements(), m.board(), new FrameBuilder(m.board(), null, null, false, seen.motifs()),
                        inner);
                out = out.mapElement(id, x -> x.withContent(new Content.Group(children, i.box())));
            }
        }
        return out;
    }

    private List<Element> posed(List<Element> all, Board in, FrameBuilder builder, Moment m) {
        return all.stream().filter(e -> !e.hidden()).map(e -> posed(e, in, builder, m)).toList();
    }

    private Element posed(Element e, Board in, FrameBuilder builder, Moment m) {
        Values now = builder.valuesAt(e.id(), m), rest = Values.NONE;
        for (Property<?> p : Properties.of(e)) {
            rest = now.has(p) ? copied(rest, p, now) : rest;
        }
        rest = rest.without(Properties.FACE_PATH);
        if (!builder.shown(e.id(), m)) {
            rest = rest.with(Properties.SHOWN, "no");
        }
        Content content = switch (e.content()) {
            case Content.Path p when now.has(Properties.OUTLINE) -> new Content.Path((Outline) now.get(Properties.OUTLINE), p.box(), p.evenOdd());
            case Content.Group g -> new Content.Group(posed(g.children(), in, builder, m), g.box(), g.clip(), null);
            case Flipbook f -> flipbook(f, in, builder, m);
            case Content.Instance i when !i.clock().own() -> i.withClock(stopped(i, m, in, e.id()));
            default -> e.content();
        };
        var effects = e.effects().stream().map(x -> x.withId(Ids.next()).withRest(builder.valuesAt(x.id(), m))).toList();
        return new Element(Ids.next(), names.take(e.name()), e.locked(), false, e.guide(), rest, content.with(rest), effects);
    }

    private static <T> Values copied(Values to, Property<T> p, Values from) {
        return to.with(p, from.get(p));
    }

    /** The one drawing that is shown. */
    private Content flipbook(Flipbook f, Board in, FrameBuilder builder, Moment m) {
        var d = f.at(m.timeOf(in.main().id()));
        return new Content.Group(d == null ? List.of() : List.of(posed(d.art(), in, builder, m)), f.box());
    }

    /** What went by the motif's time stands where it stood. */
    private Clock stopped(Content.Instance i, Moment m, Board in, String id) {
        Motif inner = project.motif(i.motif());
        long at = inner == null ? 0 : m.inside(in, id, inner.clock(i), inner.board()).timeOf(inner.board().main().id());
        return new Clock(false, Clock.Repeat.HOLD, at, 1);
    }
}
