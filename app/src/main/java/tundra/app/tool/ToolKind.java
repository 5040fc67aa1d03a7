package tundra.app.tool;

import tundra.app.widget.Icon;

/** The tools in the order of the card, each with its one-letter shortcut and what it does. */
public enum ToolKind {
    SELECT("Select", "S", Icon.SELECT, "drag marks several · double click goes in · Alt takes what lies beneath"),
    NODES("Nodes", "N", Icon.NODES, "drag a node, a handle or the line itself · double click adds a node · Delete takes it away"),
    PEN("Pen", "P", Icon.PEN, "click for corners, drag for curves · click the start to close · Enter ends it"),
    FREEHAND("Freehand", "D", Icon.FREEHAND, "Shift draws straight · ends that meet close the line"),
    BRUSH("Brush", "B", Icon.BRUSH, "leaves a filled shape · Shift paints straight"),
    LINE("Line", "L", Icon.LINE, "drag one, or click a row of them that Enter ends · Shift keeps to steps of 15°"),
    RECTANGLE("Rectangle", "R", Icon.RECTANGLE,
    "Shift makes a square · Alt draws from the centre · Ctrl does not snap · Enter draws one in the middle"),
    ELLIPSE("Ellipse", "E", Icon.ELLIPSE, "Shift makes a circle · Alt draws from the centre · Ctrl does not snap · Enter draws one in the middle"),
    POLYGON("Polygon or star", "G", Icon.POLYGON, "100 % draws a polygon, less a star"),
    TEXT("Text", "T", Icon.TEXT, "click to write, or drag the width at which lines wrap"),
    FILL("Fill a region", "F", Icon.FILL, "click an area that strokes enclose · once more recolours it"),
    GRADIENT("Place gradient", "Shift+G", Icon.GRADIENT, "draw across a shape to give it one · drag the ends and the stops between"),
    PICK("Pick colour", "C", Icon.PICK, "click a colour for the fill · Alt for the stroke · Shift keeps the tool"),
    TOUCH("Touch area", "A", Icon.INTERACT, "drag over what a finger should meet · it is never seen · Ctrl does not snap"),
    HAND("Hand", "H", Icon.HAND, "drag the view · the middle button does it with every tool"),
    ZOOM("Zoom", "Z", Icon.ZOOM, "click or drag an area to come nearer · Alt goes out");

    public final String label;
    public final String key;
    public final Icon icon;
    /** What can be done with it, in a line. */
    public final String hint;

    ToolKind(String label, String key, Icon icon, String hint) {
        this.label = label;
        this.key = key;
        this.icon = icon;
        this.hint = hint;
    }

    /** Whether it makes something and is put away then, unless it is kept in hand. */
    public boolean draws() {
        return switch (this) {
            case PEN, LINE, RECTANGLE, ELLIPSE, POLYGON, TEXT, PICK, TOUCH -> true;
            default -> false;
        };
    }
}
