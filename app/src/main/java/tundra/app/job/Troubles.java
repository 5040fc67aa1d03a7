package tundra.app.job;

/** What went wrong, in one sentence. */
public final class Troubles {
    private Troubles() {}

    /** The sentence of an exception, or, for errors that have none, what they mean to who works with Tundra. */
    public static String sentence(Throwable e) {
        return switch (e) {
            case OutOfMemoryError m -> "There is not enough memory for that. Nothing was changed; make pictures and sounds smaller, or close other programs, and try again.";
            case StackOverflowError s -> "That is nested too deep. Nothing was changed; take some groups apart and try again.";
            case Error x -> "That could not be done (" + x + "). Nothing was changed; save the piece under another name and go on there.";
            default -> e.getMessage() == null || e.getMessage().isBlank() ? e.toString() : e.getMessage();
        };
    }
}
