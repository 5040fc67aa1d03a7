package tundra.app.document;

import tundra.core.edit.Clip;
import tundra.core.edit.KeyClip;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.render.Fonts;

/** What was copied last in this window: elements, keys, or drawings of a flipbook. */
public final class CopiedContent {
    private Clip elements;
    private KeyClip keys;
    private boolean keysLast;
    private Flipbook drawings;
    private Project from;
    private boolean drawingsLast;

    public void elements(Clip c) {
        elements = c;
        keysLast = false;
        drawingsLast = false;
    }

    public void keys(KeyClip k) {
        keys = k;
        keysLast = true;
        drawingsLast = false;
    }

    public Clip elements() {
        return elements;
    }

    public KeyClip keys() {
        return keys;
    }

    /** Whether keys were copied after elements. */
    public boolean keysLast() {
        return keysLast;
    }

    /** @param piece where they were copied, for what they show */
    public void drawings(Flipbook of, Project piece) {
        drawings = of;
        from = piece;
        drawingsLast = true;
    }

    /** A flipbook of the copied drawings; null when none were. */
    public Flipbook drawings() {
        return drawings;
    }

    /** Whether drawings were copied after anything else. */
    public boolean drawingsLast() {
        return drawingsLast;
    }

    /** A project with the pictures and motifs that the copied drawings show. */
    public Project withParts(Project p) {
        return Clip.withParts(p, drawings.children(), from, Fonts::familyOf);
    }
}
