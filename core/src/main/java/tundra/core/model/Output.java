package tundra.core.model;

/**
 * A file or folder that is to be made of a piece.
 *
 * @param name what it is called in the list of the piece's outputs
 * @param settings what is said of it: a value for each of its kind's slots
 * @param file its name, or its path from the folder of all outputs, with / between; empty for a name after the piece
 */
public record Output(String id, String name, OutputKind kind, Slots settings, String file) {
    public String text(Slot s) {
        return (String) settings.get(s);
    }

    /** 0 where the kind has no such number. */
    public double number(Slot s) {
        return settings.get(s) instanceof Double d ? d : 0;
    }

    /** In µs. */
    public long time(Slot s) {
        return (Long) settings.get(s);
    }

    /** Whether a choice of yes and no says yes; not where the kind has no such choice. */
    public boolean is(Slot s) {
        return "yes".equals(settings.get(s));
    }

    public Output with(Slot s, Object value) {
        return new Output(id, name, kind, settings.with(s, value), file);
    }

    public Output withSettings(Slots s) {
        return new Output(id, name, kind, s, file);
    }

    public Output withName(String n) {
        return new Output(id, n, kind, settings, file);
    }

    public Output withId(String i) {
        return new Output(i, name, kind, settings, file);
    }

    /** @param f as {@link #isFile} has it, or empty */
    public Output withFile(String f) {
        return new Output(id, name, kind, settings, f);
    }

    /** Whether something can be the name of a file within the folder of all outputs: it leads nowhere else. */
    public static boolean isFile(String f) {
        return f.length() <= 300 && f.matches("[^/\\\\:*?\"<>|\\p{Cntrl}]+(/[^/\\\\:*?\"<>|\\p{Cntrl}]+)*") && !f.matches("(.*/)?\\.{1,2}(/.*)?");
    }
}
