package tundra.core.model;

/** One step in an element's ordered list of effects. It owns its values, and is keyed by its id, as an element is. */
public record Effect(String id, EffectKind kind, boolean on, Values rest) implements Owner {
    public Effect(EffectKind kind) {
        this(Ids.next(), kind, true, Values.NONE);
    }

    public Effect withRest(Values v) {
        return new Effect(id, kind, on, v);
    }

    public <T> Effect with(Property<T> p, T value) {
        return withRest(rest.with(p, value));
    }

    public Effect withOn(boolean o) {
        return new Effect(id, kind, o, rest);
    }

    public Effect withId(String i) {
        return new Effect(i, kind, on, rest);
    }
}
