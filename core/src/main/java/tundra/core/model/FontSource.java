package tundra.core.model;

import java.util.List;

/** The font families of a project: the bundled ones and those on its shelf. Implemented outside of core. */
public interface FontSource {
    /** The family that new text gets and that stands in for an unknown one. */
    String STANDARD = "Figtree";

    List<String> families();

    List<Integer> weights(String family);

    /** The TTF or OTF file of the nearest weight; an unknown family gives the standard one. */
    byte[] file(String family, int weight);

    /** The licence text that travels with a family's files; null for a font that was brought in. */
    byte[] licence(String family);
}
