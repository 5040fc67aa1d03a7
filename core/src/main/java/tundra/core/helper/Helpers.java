package tundra.core.helper;

import java.util.List;

/** All helpers, in the order in which they are offered. */
public final class Helpers {
    public static final List<Helper> ALL = List.of(new Appear(false), new Appear(true), new Bounce(), new Swing(), new Drift(), new Stagger(),
            new FlyingDash(), new Copies(), new PassesBy());

    private Helpers() {}
}
