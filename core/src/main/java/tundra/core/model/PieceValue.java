package tundra.core.model;

import java.util.Locale;
import tundra.core.geometry.Numbers;
/**
 * A named variable of the piece.
 *
 * @param start what it is when the page opens, as text
 * @param kept whether the visitor's browser keeps it for the next visit
 */
public record PieceValue(String id, String name, Kind kind, String start, boolean kept) {
    /** What it holds. */
    public enum Kind {
        TEXT("text", ""), NUMBER("number", "0"), YES_NO("yes or no", "no");

        public final String words;
        public final String standard;

        Kind(String words, String standard) {
            this.words = words;
            this.standard = standard;
        }

        /** Its name in the file and on the page. */
        public String key() {
            return this == YES_NO ? "yesNo" : name().toLowerCase(Locale.ROOT);
        }

        /** A text as one of this kind: a number that can't be read is 0, all but yes is no. */
        public String of(String text) {
            return switch (this) {
                case TEXT -> text;
                case YES_NO -> text.strip().matches("(?i)yes|true|on|1") ? "yes" : "no";
                case NUMBER -> {
                    try {
                        double d = Double.parseDouble(text.strip().replace(',', '.'));
                        yield Double.isFinite(d) ? Numbers.plain(d, 9) : "0";
                    } catch (NumberFormatException e) {
                        yield "0";
                    }
                }
            };
        }
    }

    public PieceValue {
        start = kind.of(start);
    }

    public PieceValue withName(String n) {
        return new PieceValue(id, n, kind, start, kept);
    }

    public PieceValue withKind(Kind k) {
        return new PieceValue(id, name, k, start, kept);
    }

    public PieceValue withStart(String s) {
        return new PieceValue(id, name, kind, s, kept);
    }

    public PieceValue withKept(boolean k) {
        return new PieceValue(id, name, kind, start, k);
    }
}
