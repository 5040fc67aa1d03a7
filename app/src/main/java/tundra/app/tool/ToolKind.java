package tundra.app.tool;

import tundra.app.widget.Icon;

/** The tools in the order of the tool bar, each with its one-letter shortcut. */
public enum ToolKind {
    SELECT("Select", "S", Icon.SELECT), NODES("Nodes", "N", Icon.NODES), PEN("Pen", "P", Icon.PEN), FREEHAND("Freehand", "D", Icon.FREEHAND),
    BRUSH("Brush", "B", Icon.BRUSH), LINE("Line", "L", Icon.LINE), RECTANGLE("Rectangle", "R", Icon.RECTANGLE),
    ELLIPSE("Ellipse", "E", Icon.ELLIPSE), POLYGON("Polygon or star", "G", Icon.POLYGON), TEXT("Text", "T", Icon.TEXT),
    FILL("Fill a region", "F", Icon.FILL), GRADIENT("Place gradient", "Shift+G", Icon.GRADIENT), PICK("Pick colour", "C", Icon.PICK),
    HAND("Hand", "H", Icon.HAND), ZOOM("Zoom", "Z", Icon.ZOOM);

    public final String label;
    public final String key;
    public final Icon icon;

    ToolKind(String label, String key, Icon icon) {
        this.label = label;
        this.key = key;
        this.icon = icon;
    }
}
