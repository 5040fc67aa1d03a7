package tundra.app.window;

import tundra.core.edit.Clip;
import tundra.core.edit.KeyClip;

/** What was copied last in this window: elements, or keys. */
final class Copied {
    private Clip elements;
    private KeyClip keys;
    private boolean keysLast;

    void elements(Clip c) {
        elements = c;
        keysLast = false;
    }

    void keys(KeyClip k) {
        keys = k;
        keysLast = true;
    }

    Clip elements() {
        return elements;
    }

    KeyClip keys() {
        return keys;
    }

    /** Whether keys were copied after elements. */
    boolean keysLast() {
        return keysLast;
    }
}
