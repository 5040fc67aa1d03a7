package tundra.core.helper;

import java.util.List;

/**
 * A number that a helper asks for.
 *
 * @param unit shown behind it
 * @param shown how many shown units make one unit of the number (100 for a fraction shown in %)
 * @param words names of the whole numbers from 0 on; empty for a plain number
 */
public record Param(String label, String unit, double shown, double min, double max, double standard, List<String> words) {
    static Param number(String label, String unit, double min, double max, double standard) {
        return new Param(label, unit, 1, min, max, standard, List.of());
    }

    static Param percent(String label, double min, double max, double standard) {
        return new Param(label, "%", 100, min, max, standard, List.of());
    }

    static Param choice(String label, String... words) {
        return new Param(label, "", 1, 0, words.length - 1, 0, List.of(words));
    }
}
