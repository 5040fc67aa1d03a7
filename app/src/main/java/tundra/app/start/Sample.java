package tundra.app.start;

import java.io.IOException;
import java.io.InputStream;
import tundra.core.file.ProjectFile;
import tundra.core.model.Project;

/** The pieces that ship to be taken apart; each has a page in the help. */
public enum Sample {
    OPEN_NIGHT("open-night", "Open Night", "Scenes, layouts, sounds, a map"), FROST_GLASS("frost-glass", "Frost glass",
            "Light by effects and blending"), HOP("hop", "Hop", "A flipbook in twenty drawings"),
    DRAWN_MARK("drawn-mark", "Drawn by its line", "Stroke reveal, and a dash that flies along"), BUTTONS("buttons", "A set of buttons",
    "Looks, reactions, and a value in a text"), STORY("scrolled-story", "Told by scrolling", "A timeline that the page's scrolling moves");

    final String file;
    final String words;
    final String shows;

    Sample(String file, String words, String shows) {
        this.file = file;
        this.words = words;
        this.shows = shows;
    }

    /** Which page of the help tells of it. */
    public String help() {
        return "sample-" + file;
    }

    public String words() {
        return words;
    }

    /** Reads it; not for the interface thread. */
    public Project read() throws IOException {
        try (InputStream in = Sample.class.getResourceAsStream("/tundra/app/samples/" + file + ".tundra")) {
            if (in == null) {
                throw new IOException("the sample “" + words + "” is missing in this installation");
            }
            return ProjectFile.read(in.readAllBytes());
        }
    }
}
