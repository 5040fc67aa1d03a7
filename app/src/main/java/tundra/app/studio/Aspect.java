package tundra.app.studio;

/** What of the studio changed. */
public enum Aspect {
    DOCUMENT, SELECTION, PLAYHEAD, SCOPE, DESK, TOOL, SCENE, TIMELINE, FILE, THEME, PLAYING
}
