package tundra.core.model;

/** What fills an outline or runs along it: one colour or a gradient. */
public sealed interface Paint permits Color, Gradient {
    /** Whether any of it can be seen. */
    boolean visible();

    /** One colour that stands for it where there is room for no more. */
    Color main();
}
