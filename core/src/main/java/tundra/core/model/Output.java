package tundra.core.model;

/** A file that is to be made of a piece: its kind, and what is said of it. */
public record Output(OutputKind kind, Slots settings) {
    public String text(Slot s) {
        return (String) settings.get(s);
    }

    public double number(Slot s) {
        return (Double) settings.get(s);
    }

    /** In µs. */
    public long time(Slot s) {
        return (Long) settings.get(s);
    }

    /** Whether a choice of yes and no says yes; also where the kind has no such choice. */
    public boolean is(Slot s) {
        return "yes".equals(settings.get(s));
    }

    public Output with(Slot s, Object value) {
        return new Output(kind, settings.with(s, value));
    }
}
