package tundra.core.model;

import java.util.Arrays;

/**
 * How a piece stands on its web page.
 *
 * @param language of its words, as a BCP 47 tag
 * @param ground the ground of all scenes that don't have one of their own
 * @param history whether the browser's own way back goes from scene to scene, each with an address of its own
 * @param over the id of the scene that lies over all others; empty for none
 */
public record PageSettings(Fit fit, String language, Color ground, boolean history, String over) {
    public static final PageSettings USUAL = new PageSettings(Fit.NO_WIDER, "en", Color.WHITE, false, "");
    /** What a language tag looks like; the parts beyond the first are not looked at more closely. */
    private static final String TAG = "[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*";

    /** How large it is seen in the visitor's window. */
    public enum Fit {
        AS_DRAWN("asDrawn", "as drawn"), NO_WIDER("noWider", "no wider than the window"), WIDTH("width", "as wide as the window"),
                WHOLE("whole", "whole in the window");

        private final String key;
        public final String words;

        Fit(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** Its name in files and on the page. */
        public String key() {
            return key;
        }

        /** Null when there is none. */
        public static Fit byKey(String key) {
            return Arrays.stream(values()).filter(f -> f.key.equals(key)).findFirst().orElse(null);
        }
    }

    public PageSettings {
        language = isLanguage(language) ? language : "en";
    }

    public PageSettings(Fit fit, String language) {
        this(fit, language, Color.WHITE, false, "");
    }

    public static boolean isLanguage(String tag) {
        return tag.length() <= 40 && tag.matches(TAG);
    }

    public PageSettings withFit(Fit f) {
        return new PageSettings(f, language, ground, history, over);
    }

    public PageSettings withLanguage(String l) {
        return new PageSettings(fit, l, ground, history, over);
    }

    public PageSettings withGround(Color g) {
        return new PageSettings(fit, language, g, history, over);
    }

    public PageSettings withHistory(boolean h) {
        return new PageSettings(fit, language, ground, h, over);
    }

    public PageSettings withOver(String o) {
        return new PageSettings(fit, language, ground, history, o);
    }
}
