package tundra.core.model;

import java.util.List;

/** Anything placed on the canvas. Immutable; the id is unique in the project, the name is for people; effects are done in their order. */
public record Element(String id, String name, boolean locked, boolean hidden, boolean guide, Values rest, Content content,
        List<Effect> effects) implements Owner {
    private static final int CALLED = 32;

    public Element {
        rest = content.kept(rest);
        effects = List.copyOf(effects);
    }

    public Element(String id, String name, boolean locked, boolean hidden, boolean guide, Values rest, Content content) {
        this(id, name, locked, hidden, guide, rest, content, List.of());
    }

    public Element(String name, Content content, Values rest) {
        this(Ids.next(), name, false, false, rest, content);
    }

    public Element(String id, String name, boolean locked, boolean hidden, Values rest, Content content) {
        this(id, name, locked, hidden, false, rest, content);
    }

    public Element withName(String n) {
        return new Element(id, n, locked, hidden, guide, rest, content, effects);
    }

    public Element withLocked(boolean l) {
        return new Element(id, name, l, hidden, guide, rest, content, effects);
    }

    public Element withHidden(boolean h) {
        return new Element(id, name, locked, h, guide, rest, content, effects);
    }

    /** A guide helps to draw and is never published. */
    public Element withGuide(boolean g) {
        return new Element(id, name, locked, hidden, g, rest, content, effects);
    }

    public Element withRest(Values v) {
        return new Element(id, name, locked, hidden, guide, v, content.with(v), effects);
    }

    public <T> Element with(Property<T> p, T value) {
        return withRest(rest.with(p, value));
    }

    /** As something else where need be: then without the values that this doesn't have. */
    public Element withContent(Content c) {
        var e = new Element(id, name, locked, hidden, guide, rest, c, effects);
        if (c.getClass() == content.getClass()) {
            return e;
        }
        Values v = e.rest;
        for (Property<?> p : Properties.ALL) {
            v = v.has(p) && !p.appliesTo(e) ? v.without(p) : v;
        }
        return v == e.rest ? e : new Element(id, name, locked, hidden, guide, v, c, effects);
    }

    public Element withEffects(List<Effect> e) {
        return new Element(id, name, locked, hidden, guide, rest, content, e);
    }

    public Element withId(String newId) {
        return new Element(newId, name, locked, hidden, guide, rest, content, effects);
    }

    /** What is the same instance is the same: most of a document is, from one version to the next. */
    @Override
    public boolean equals(Object o) {
        return this == o || o instanceof Element e && id.equals(e.id) && name.equals(e.name) && locked == e.locked && hidden == e.hidden
                && guide == e.guide && rest.equals(e.rest) && effects.equals(e.effects) && (content == e.content || content.equals(e.content));
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    /** The children of a group, the drawings of a flipbook; none for anything else. */
    public List<Element> children() {
        return content instanceof Content.Parent p ? p.children() : List.of();
    }

    public Element withChildren(List<Element> children) {
        return withContent(((Content.Parent) content).withChildren(children));
    }

    /** What it is called in lists and sentences: a text without a name of its own by its first words. */
    public String called() {
        if (!(content instanceof Content.Text t) || !name.matches("Text( \\d+)?") || t.text().isBlank()) {
            return name;
        }
        String words = t.text().strip().replaceAll("\\s+", " ");
        return words.length() <= CALLED ? words : words.substring(0, words.offsetByCodePoints(0, words.codePointCount(0, CALLED - 1)))
                .stripTrailing() + "…";
    }
}
