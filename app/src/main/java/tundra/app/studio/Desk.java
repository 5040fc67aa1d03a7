package tundra.app.studio;

/** The window arranged for one part of the work, in the order of the work. */
public enum Desk {
    DRAW("Draw"), ANIMATE("Animate"), INTERACT("Interact"), ADAPT("Adapt"), PUBLISH("Publish");

    public final String label;

    Desk(String label) {
        this.label = label;
    }
}
