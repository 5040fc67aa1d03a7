package tundra.app.start;

import tundra.core.geometry.Point;
import tundra.core.model.Project;

/** What a new piece is for: its size and its pictures a second. */
public enum Purpose {
    PAGE("A page", "1280 × 720", 1280, 720, 30), BANNER("A banner", "1200 × 400", 1200, 400, 30), SQUARE("A square post", "1080 × 1080", 1080, 1080,
            30), STORY("A tall story", "1080 × 1920", 1080, 1920, 30), PHONE("A phone's screen", "390 × 844", 390, 844, 60),
    FILM("A film", "1920 × 1080", 1920, 1080, 24), ICON("A moving icon", "256 × 256", 256, 256, 30), DRAWN("Drawn by hand", "800 × 600, 12 /s", 800,
    600, 12);

    final String words;
    final String size;
    private final Point canvas;
    private final int rate;

    Purpose(String words, String size, double w, double h, int rate) {
        this.words = words;
        this.size = size;
        canvas = new Point(w, h);
        this.rate = rate;
    }

    Project piece() {
        return Project.empty("Untitled", canvas, rate);
    }

    /** Width by height. */
    double shape() {
        return canvas.x() / canvas.y();
    }
}
