package tundra.core.frame;

import java.util.List;

/** Measures text with the shaper that paints it. Implemented outside of core; safe for use from any thread. */
public interface TextMeasurer {
    /** The advance of one line in px, without breaks; ligatures are off where letters are set apart. */
    double width(String family, int weight, double size, String line, boolean ligatures);

    /** The font's ascent above the baseline as a multiple of its size (positive). */
    double ascent(String family, int weight);

    /** The font's descent below the baseline as a multiple of its size (positive). */
    double descent(String family, int weight);

    /** The families that text can be set in, as far as they are known. */
    default List<String> families() {
        return List.of();
    }
}
