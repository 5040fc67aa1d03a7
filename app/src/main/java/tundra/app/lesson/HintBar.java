package tundra.app.lesson;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import tundra.app.command.Commands;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;

/** Shows one hint at the foot of the canvas, through which the mouse reaches what lies there. */
public final class HintBar extends StackPane {
    private static final String GONE = "hint.";
    private final Studio studio;
    private final Commands commands;
    private final Settings settings;
    private final Label words = new Label();
    private Hint shown;

    public HintBar(Studio studio, Commands commands, Settings settings) {
        this.studio = studio;
        this.commands = commands;
        this.settings = settings;
        setId("hint");
        setMouseTransparent(true);
        words.setId("hint-words");
        words.getStyleClass().add("hint");
        words.setWrapText(true);
        words.setMaxWidth(420);
        getChildren().add(words);
        setAlignment(words, Pos.CENTER);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        studio.listen(what -> refresh());
        refresh();
    }

    /** Whether hints are shown. */
    public boolean on() {
        return settings.all(GONE).get("all") == null;
    }

    public void setOn(boolean on) {
        settings.remember(GONE + "all", on ? null : "gone");
        refresh();
    }

    private void refresh() {
        if (shown != null && shown.done().test(studio)) {
            settings.remember(GONE + shown.id(), "gone");
        }
        var gone = settings.all(GONE);
        shown = gone.containsKey("all") ? null : Hint.ALL.stream().filter(h -> !gone.containsKey(h.id()) && h.when().test(studio)).findFirst()
                .orElse(null);
        words.setText(shown == null ? "" : commands.withKeys(shown.words()));
        setVisible(shown != null);
    }
}
