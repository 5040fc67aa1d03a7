package tundra.app.tool;

import tundra.app.widget.Icon;

/** The tools in the order of the tool bar, each with its one-letter shortcut. */
public enum ToolKind {
    SELECT("Select", "S", Icon.SELECT), PEN("Pen", "P", Icon.PEN), RECTANGLE("Rectangle", "R", Icon.RECTANGLE),
    ELLIPSE("Ellipse", "E", Icon.ELLIPSE), TEXT("Text", "T", Icon.TEXT), HAND("Hand", "H", Icon.HAND), ZOOM("Zoom", "Z", Icon.ZOOM);

    public final String label;
    public final String key;
    public final Icon icon;

    ToolKind(String label, String key, Icon icon) {
        this.label = label;
        this.key = key;
        this.icon = icon;
    }
}
