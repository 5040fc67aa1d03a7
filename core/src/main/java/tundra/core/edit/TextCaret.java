package tundra.core.edit;

/**
 * A text being typed: the words, where the caret stands, and where the selection began. Indices count chars; a caret never
 * stands within a surrogate pair.
 */
public record TextCaret(String text, int caret, int anchor) {
    public TextCaret {
        caret = Math.max(0, Math.min(text.length(), caret));
        anchor = Math.max(0, Math.min(text.length(), anchor));
    }

    /** All of it selected. */
    public static TextCaret all(String text) {
        return new TextCaret(text, text.length(), 0);
    }

    public int from() {
        return Math.min(caret, anchor);
    }

    public int to() {
        return Math.max(caret, anchor);
    }

    public String selected() {
        return text.substring(from(), to());
    }

    /** In the place of what is selected. */
    public TextCaret insert(String s) {
        int at = from() + s.length();
        return new TextCaret(text.substring(0, from()) + s + text.substring(to()), at, at);
    }

    public TextCaret backspace() {
        return caret != anchor ? insert("") : new TextCaret(text, caret, before()).insert("");
    }

    public TextCaret delete() {
        return caret != anchor ? insert("") : new TextCaret(text, caret, after()).insert("");
    }

    private int before() {
        return caret == 0 ? 0 : text.offsetByCodePoints(caret, -1);
    }

    private int after() {
        return caret == text.length() ? caret : text.offsetByCodePoints(caret, 1);
    }

    /** One letter on or back; without {@code select} a selection is left at its end. */
    public TextCaret step(boolean forward, boolean select) {
        if (!select && caret != anchor) {
            return at(forward ? to() : from(), false);
        }
        return at(forward ? after() : before(), select);
    }

    /** One word on or back. */
    public TextCaret word(boolean forward, boolean select) {
        int i = caret;
        if (forward) {
            while (i < text.length() && !Character.isLetterOrDigit(text.charAt(i))) {
                i++;
            }
            while (i < text.length() && Character.isLetterOrDigit(text.charAt(i))) {
                i++;
            }
        } else {
            while (i > 0 && !Character.isLetterOrDigit(text.charAt(i - 1))) {
                i--;
            }
            while (i > 0 && Character.isLetterOrDigit(text.charAt(i - 1))) {
                i--;
            }
        }
        return at(i, select);
    }

    public TextCaret at(int index, boolean select) {
        return new TextCaret(text, index, select ? anchor : index);
    }
}
