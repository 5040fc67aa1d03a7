package tundra.app.widget;

import java.util.function.Function;
import javafx.util.StringConverter;

/** The words of the entries of a list that nobody types into. */
public final class WordsOf<T> extends StringConverter<T> {
    private final Function<T, String> words;

    public WordsOf(Function<T, String> words) {
        this.words = words;
    }

    @Override
    public String toString(T entry) {
        return entry == null ? "" : words.apply(entry);
    }

    /** Never asked for. */
    @Override
    public T fromString(String text) {
        return null;
    }
}
