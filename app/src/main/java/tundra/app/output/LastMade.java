package tundra.app.output;

import java.nio.file.Path;
import tundra.app.studio.Settings;
import tundra.core.model.Output;
import tundra.core.model.Project;

/**
 * When an output was last made on this machine, and of what.
 *
 * @param when in ms since 1970
 * @param words what it holds, with its size
 * @param fingerprint of the piece and its settings then
 */
public record LastMade(long when, String words, String fingerprint, Path place) {
    private static final String KEY = "made", BETWEEN = "|";

    /** Null where it was not made yet. */
    public static LastMade of(Settings s, Project p, Output o) {
        String kept = s.ofOutput(KEY, p.id(), o.id());
        String[] parts = kept == null ? new String[0] : kept.split("\\|", 4);
        try {
            return parts.length < 4 ? null : new LastMade(Long.parseLong(parts[0]), parts[1], parts[2], Path.of(parts[3]));
        } catch (IllegalArgumentException e) {
            // a file of settings that was written to by hand
            return null;
        }
    }

    public void keep(Settings s, Project p, Output o) {
        s.setOfOutput(KEY, p.id(), o.id(), when + BETWEEN + words.replace(BETWEEN, "/") + BETWEEN + fingerprint + BETWEEN + place.toAbsolutePath());
    }
}
