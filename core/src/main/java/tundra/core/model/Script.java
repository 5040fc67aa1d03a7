package tundra.core.model;

/**
 * A JavaScript function of the piece.
 *
 * @param name what it is called: a name of the language
 * @param source its text: {@code export function NAME(page) { … }} with what else stands around it
 * @param comments whether its comments are published
 */
public record Script(String id, String name, String source, boolean comments) {
    /** What a function may be called. */
    public static final String NAME = "[A-Za-z_$][A-Za-z0-9_$]{0,60}";

    public Script {
        if (!name.matches(NAME)) {
            throw new IllegalArgumentException("“" + name + "” can't be the name of a function");
        }
    }

    /** One whose comments are published. */
    public Script(String id, String name, String source) {
        this(id, name, source, true);
    }

    /** One that does nothing yet. */
    public static Script empty(String id, String name) {
        return new Script(id, name, "export function " + name + "(page) {\n  \n}\n");
    }

    public Script withSource(String s) {
        return new Script(id, name, s, comments);
    }

    public Script withComments(boolean c) {
        return new Script(id, name, source, c);
    }
}
