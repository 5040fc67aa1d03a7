package tundra.app.widget;

import java.util.function.Supplier;

/** Something that is made when it is first asked for. */
public final class Lazy<T> implements Supplier<T> {
    private final Supplier<T> maker;
    private T made;

    public Lazy(Supplier<T> maker) {
        this.maker = maker;
    }

    @Override
    public T get() {
        if (made == null) {
            made = maker.get();
        }
        return made;
    }

    public boolean isMade() {
        return made != null;
    }
}
