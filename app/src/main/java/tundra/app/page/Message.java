package tundra.app.page;

import java.io.Serializable;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

/** What the window and the process that runs the page tell each other. */
sealed interface Message extends Serializable {
    // --- from the window ---

    /** Loads an address. */
    record Load(String url) implements Message {}

    /**
     * How large the page's window is, in CSS px.
     *
     * @param scale pixels of the picture to a CSS px
     */
    record Size(double wide, double high, double scale) implements Message {}

    /** Nobody looks: the page is left and no pictures are made until the next {@link Load}. */
    record Rest() implements Message {}

    /**
     * The mouse, in CSS px of the page's window.
     *
     * @param type the name of JavaFX's event type
     * @param buttons those that are held
     */
    record Pointer(String type, double x, double y, MouseButton button, int clicks, Held buttons) implements Message {}

    /** Buttons of the mouse that are held down. */
    record Held(boolean primary, boolean middle, boolean secondary) implements Serializable {}

    /** The wheel, turned by so many px. */
    record Wheel(double x, double y, double dx, double dy) implements Message {}

    /** @param type the name of JavaFX's event type */
    record Key(String type, String character, String text, KeyCode code, boolean shift) implements Message {}

    /** Whether the page has the keyboard. */
    record Focus(boolean on) implements Message {}

    /** Evaluates a line of JavaScript in the page; the {@link Answer} has the same number. */
    record Ask(int number, String script) implements Message {}

    // --- from the page ---

    /** The process has begun. */
    record Ready() implements Message {}

    /** An address was loaded. */
    record Loaded(String url) implements Message {}

    /** The pointer's look over the page, by the name of JavaFX's cursor. */
    record Looks(String cursor) implements Message {}

    /** The keyboard left the page beyond its last or before its first part. */
    record Left(boolean forwards) implements Message {}

    /** @param value the result as text, or what was thrown */
    record Answer(int number, String value) implements Message {}
}
