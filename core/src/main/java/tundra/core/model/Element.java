package tundra.core.model;

import java.util.List;

/** Anything placed on the canvas. Immutable; the id is unique in the project, the name is for people. */
public record Element(String id, String name, boolean locked, boolean hidden, Values rest, Content content) {

    public Element(String name, Content content, Values rest) {
        this(Ids.next(), name, false, false, rest, content);
    }

    public Element withName(String n) {
        return new Element(id, n, locked, hidden, rest, content);
    }

    public Element withLocked(boolean l) {
        return new Element(id, name, l, hidden, rest, content);
    }

    public Element withHidden(boolean h) {
        return new Element(id, name, locked, h, rest, content);
    }

    public Element withRest(Values v) {
        return new Element(id, name, locked, hidden, v, content);
    }

    public <T> Element with(Property<T> p, T value) {
        return withRest(rest.with(p, value));
    }

    public Element withContent(Content c) {
        return new Element(id, name, locked, hidden, rest, c);
    }

    public Element withId(String newId) {
        return new Element(newId, name, locked, hidden, rest, content);
    }

    /** The children of a group; none for anything else. */
    public List<Element> children() {
        return content instanceof Content.Group g ? g.children() : List.of();
    }

    public Element withChildren(List<Element> children) {
        return withContent(new Content.Group(children, ((Content.Group) content).box()));
    }
}
