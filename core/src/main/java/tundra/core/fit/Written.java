package tundra.core.fit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import tundra.core.edit.Galleries;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** Writes what was changed of a board in a layout back into the base and into what differs of the layout. */
final class Written {
    private final Board base;
    private final Layout layout;
    private final Board seen;
    private final Board edited;
    private final boolean here;
    private Differs differs;

    Written(Board base, String layout, Board seen, Board edited, Lens.Scope scope) {
        // what was taken into another group moves by as much in the base and in every layout
        Map<String, Point> moved = Moved.between(seen, edited);
        this.base = Moved.everywhere(base, moved);
        this.layout = this.base.layout(layout);
        this.seen = Moved.as(seen, edited, moved);
        this.edited = edited;
        here = scope == Lens.Scope.ONLY_HERE;
        differs = this.layout.differs();
    }

    Board board() {
        Values canvas = values(Board.CANVAS, base.canvas(), seen.canvas(), edited.canvas(), Properties.ALL);
        List<Element> elements = children("", base.elements(), seen.elements(), edited.elements());
        List<Timeline> timelines = timelines();
        List<Reaction> reactions = reactions();
        Board out = new Board(base.size(), canvas, elements, timelines, reactions, edited.lines(), edited.drags(), base.layouts());
        return out.mapLayout(layout.id(), l -> l.withSize(edited.size()).withDiffers(differs));
    }

    // --- values ---

    /** The base's values of an owner after those that were changed went where they should. */
    private Values values(String id, Values of, Values was, Values now, Iterable<Property<?>> properties) {
        if (was == now) {
            return of;
        }
        Values out = of;
        for (Property<?> p : properties) {
            if (!was.get(p).equals(now.get(p))) {
                out = value(id, p, out, now);
            }
        }
        return out;
    }

    private <T> Values value(String id, Property<T> p, Values of, Values now) {
        if (here && !of.get(p).equals(now.get(p))) {
            differs = differs.withValues(id, v -> v.with(p, now.get(p)));
            return of;
        }
        differs = differs.withValues(id, v -> v.without(p));
        return now.has(p) ? of.with(p, now.get(p)) : of.without(p);
    }

    // --- elements ---

    private List<Element> children(String parent, List<Element> of, List<Element> was, List<Element> now) {
        if (was == now) {
            return of;
        }
        var made = new LinkedHashMap<String, Element>();
        for (Element e : now) {
            made.put(e.id(), element(e));
        }
        if (here) {
            // what is deleted in one layout alone is only not shown there
            for (Element e : of) {
                // but for a group that was taken apart
                if (!made.containsKey(e.id()) && edited.find(e.id()) == null && seen.find(e.id()) != null && Tree.ids(e.children()).stream()
                        .noneMatch(x -> edited.find(x) != null)) {
                    made.put(e.id(), e);
                    differs = differs.withValues(e.id(), v -> v.with(Properties.SHOWN, "no"));
                }
            }
        }
        List<String> before = ids(was), after = ids(now);
        boolean others = !Set.copyOf(before).equals(Set.copyOf(after));
        boolean moved = others ? !kept(before, after).equals(kept(after, before)) : !before.equals(after);
        List<Element> out = moved && !here ? List.copyOf(made.values()) : placed(of, now, made);
        differs = moved && !here ? differs.withOrder(parent, null) : differs;
        // with what is new among them, in the order that is seen here
        List<String> own = differs.order().get(parent);
        List<String> got = ids(own == null ? out : Lens.ordered(out, own));
        if (!kept(got, after).equals(after)) {
            boolean as = kept(ids(out), after).equals(after);
            differs = differs.withOrder(parent, as ? null : after);
        }
        return out;
    }

    private static List<String> ids(List<Element> of) {
        return of.stream().map(Element::id).toList();
    }

    private static List<String> kept(List<String> of, List<String> also) {
        Set<String> there = Set.copyOf(also);
        return of.stream().filter(there::contains).toList();
    }

    /** In the base's own order, with what is new behind what it stands behind. */
    private static List<Element> placed(List<Element> of, List<Element> now, Map<String, Element> made) {
        var out = new ArrayList<String>();
        of.forEach(e -> {
            if (made.containsKey(e.id())) {
                out.add(e.id());
            }
        });
        String before = null;
        for (Element e : now) {
            if (!out.contains(e.id())) {
                out.add(before == null ? 0 : out.indexOf(before) + 1, e.id());
            }
            before = e.id();
        }
        return out.stream().map(made::get).toList();
    }

    private Element element(Element now) {
        Element of = base.find(now.id()), was = seen.find(now.id());
        if (of == null || was == null) {
            boolean holds = Tree.ids(now.children()).stream().anyMatch(x -> base.find(x) != null);
            if (holds && now.content() instanceof Content.Parent g && !(g instanceof Flipbook)) {
                return now.withContent(g.withChildren(g.children().stream().map(this::element).toList()));
            }
            if (here && now.rest().get(Properties.SHOWN).equals("yes")) {
                differs = differs.withValues(now.id(), v -> v.with(Properties.SHOWN, "yes"));
                return now.with(Properties.SHOWN, "no");
            }
            return now;
        }
        if (was == now) {
            return of;
        }
        Values rest = values(now.id(), of.rest(), was.rest(), now.rest(), Properties.of(now));
        List<Effect> effects = now.effects().stream().map(x -> effect(x, of, was)).toList();
        return new Element(now.id(), now.name(), now.locked(), now.hidden(), now.guide(), rest, content(now, of, was), effects).withRest(rest);
    }

    private Effect effect(Effect now, Element of, Element was) {
        Effect own = find(of, now.id()), before = find(was, now.id());
        return own == null || before == null ? now : now.withRest(values(now.id(), own.rest(), before.rest(), now.rest(), Properties.of(now)));
    }

    private static Effect find(Element e, String effect) {
        return e.effects().stream().filter(x -> x.id().equals(effect)).findFirst().orElse(null);
    }

    /** What an element is made of is the base's, but for what can differ: outlines and words. */
    private Content content(Element now, Element of, Element was) {
        return switch (now.content()) {
            case Content.Path p when was.content() instanceof Content.Path w && of.content() instanceof Content.Path o -> {
                if (p.outline().equals(w.outline())) {
                    yield new Content.Path(o.outline(), p.box(), p.evenOdd());
                }
                if (here && !p.outline().equals(o.outline())) {
                    differs = differs.withValues(now.id(), v -> v.with(Properties.OUTLINE, p.outline()));
                    yield new Content.Path(o.outline(), p.box(), p.evenOdd());
                }
                differs = differs.withValues(now.id(), v -> v.without(Properties.OUTLINE));
                yield p;
            }
            case Content.Text t when was.content() instanceof Content.Text w && of.content() instanceof Content.Text o -> {
                boolean changed = !t.text().equals(w.text());
                if (changed) {
                    boolean own = here && !t.text().equals(o.text());
                    differs = differs.withWords(now.id(), own ? t.text() : null);
                    yield own ? t.withText(o.text()) : t;
                }
                yield t.withText(o.text());
            }
            case Content.Group g when was.content() instanceof Content.Group w && of.content() instanceof Content.Group o ->
                    new Content.Group(children(now.id(), o.children(), w.children(), g.children()), g.box(), g.clip(), g.scatter());
            case Content.Block b when was.content() instanceof Content.Block w && of.content() instanceof Content.Block o ->
                    new Content.Block(b.kind(), b.settings(), b.settings().equals(w.settings()) ? children(now.id(), o.children(), w.children(),
                            b.children())
                            : b.settings().values().entrySet().stream().filter(s -> !s.getValue().equals(w.get(s.getKey())))
                            .reduce(of.withContent(o.with(b.settings())), (e, s) -> Galleries.fitted(e, s.getKey()), (x, y) -> y).children(),
                            b.box());
            case Flipbook f when was.content() instanceof Flipbook w && of.content() instanceof Flipbook o -> f.withChildren(f.children().stream()
                    .map(this::element).toList());
            default -> now.content();
        };
    }

    // --- time ---

    private List<Timeline> timelines() {
        if (edited.timelines().equals(seen.timelines())) {
            return base.timelines();
        }
        var out = new ArrayList<Timeline>();
        for (Timeline now : edited.timelines()) {
            Timeline of = base.timeline(now.id()), was = seen.timeline(now.id());
            out.add(of == null || was == null ? now : was.equals(now) ? of : timeline(now, of, was));
        }
        return out;
    }

    private Timeline timeline(Timeline now, Timeline of, Timeline was) {
        // what it is called, how long it takes and what is heard is the same in every layout
        Timeline out = new Timeline(of.id(), now.name(), now.duration(), now.loop(), of.starts(), of.tracks(), of.shown(), now.markers(),
                now.range(), now.sounds(), now.scroll());
        var owners = new HashSet<>(now.tracks().keySet());
        owners.addAll(was.tracks().keySet());
        for (String owner : owners) {
            var properties = new HashSet<Property<?>>(now.tracksOf(owner).keySet());
            properties.addAll(was.tracksOf(owner).keySet());
            for (Property<?> p : properties) {
                if (!Objects.equals(now.tracksOf(owner).get(p), was.tracksOf(owner).get(p))) {
                    out = track(out, new Differs.Keyed(owner, p), of, now);
                }
            }
        }
        var shown = new HashSet<>(now.shown().keySet());
        shown.addAll(was.shown().keySet());
        for (String e : shown) {
            Span is = now.shown().get(e);
            if (!Objects.equals(is, was.shown().get(e))) {
                boolean own = here && !Objects.equals(is, of.shown().get(e));
                differs = differs.withTimeline(of.id(), x -> x.withShown(e, !own ? null : is == null ? Lens.ALWAYS : is));
                out = own ? out : out.withShown(e, is);
            }
        }
        if (now.starts() != was.starts()) {
            boolean own = here && now.starts() != of.starts();
            // whoever says whether it starts means no more that it was skipped
            differs = differs.withTimeline(of.id(), x -> x.withStarts(own ? now.starts() : null).withEnded(false));
            out = own ? out : out.withStarts(now.starts());
        }
        return out;
    }

    private Timeline track(Timeline out, Differs.Keyed k, Timeline of, Timeline now) {
        Track<?> is = now.tracksOf(k.owner()).get(k.property());
        if (here && !Objects.equals(is, of.tracksOf(k.owner()).get(k.property()))) {
            differs = differs.withTimeline(of.id(), x -> x.with(k, is));
            return out;
        }
        differs = differs.withTimeline(of.id(), x -> x.without(k));
        return with(out, k.owner(), k.property(), is);
    }

    @SuppressWarnings("unchecked")
    private static <T> Timeline with(Timeline t, String owner, Property<T> p, Track<?> track) {
        return t.with(owner, p, (Track<T>) track);
    }

    // --- reactions ---

    private List<Reaction> reactions() {
        if (edited.reactions().equals(seen.reactions())) {
            return base.reactions();
        }
        var own = new LinkedHashMap<>(differs.reactions());
        var off = new HashSet<>(differs.off());
        var out = new ArrayList<Reaction>();
        Map<String, Reaction> before = byId(seen.reactions()), bases = byId(base.reactions());
        if (!here) {
            // those that hold here alone stay so
            for (Reaction r : edited.reactions()) {
                if (own.containsKey(r.id())) {
                    own.put(r.id(), r);
                    if (bases.containsKey(r.id())) {
                        out.add(bases.get(r.id()));
                    }
                } else {
                    out.add(r);
                }
            }
            Set<String> left = byId(edited.reactions()).keySet();
            own.keySet().retainAll(left);
            base.reactions().stream().filter(r -> off.contains(r.id())).forEach(out::add);
        } else {
            out.addAll(base.reactions());
            for (Reaction r : edited.reactions()) {
                if (!r.equals(before.get(r.id()))) {
                    own.put(r.id(), r);
                }
            }
            for (Reaction r : seen.reactions()) {
                if (edited.reactions().stream().noneMatch(x -> x.id().equals(r.id()))) {
                    own.remove(r.id());
                    if (bases.containsKey(r.id())) {
                        off.add(r.id());
                    }
                }
            }
        }
        differs = differs.withReactions(own, off);
        return out;
    }

    private static Map<String, Reaction> byId(List<Reaction> all) {
        var out = new LinkedHashMap<String, Reaction>();
        all.forEach(r -> out.put(r.id(), r));
        return out;
    }
}
