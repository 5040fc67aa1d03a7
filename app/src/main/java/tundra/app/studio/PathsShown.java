package tundra.app.studio;

/** Which motion paths are drawn on the canvas. */
public enum PathsShown {
    ALL("Show all motion paths"), SELECTED("Show the selected element's motion path"), POINTER("Show the motion path under the pointer"),
    NONE("Show no motion paths");

    public final String label;

    PathsShown(String label) {
        this.label = label;
    }
}
