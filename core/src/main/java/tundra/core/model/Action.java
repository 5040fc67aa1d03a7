package tundra.core.model;

/** What a reaction does. */
public sealed interface Action {
    /**
     * Moves a timeline.
     *
     * @param time µs, for {@link Verb#GO_TO} only
     */
    record Move(Verb verb, String timeline, long time) implements Action {}

    /** The ways to move a timeline. */
    enum Verb {
        PLAY("play", "play"), PAUSE("pause", "pause"), TOGGLE("toggle", "play or pause"),
        PLAY_FROM_START("playFromStart", "play from start"), GO_TO("goTo", "go to");

        /** Its name in the file and in the page. */
        public final String key;
        /** Its words in a sentence. */
        public final String words;

        Verb(String key, String words) {
            this.key = key;
            this.words = words;
        }
    }
}
