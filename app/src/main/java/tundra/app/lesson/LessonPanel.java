package tundra.app.lesson;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tundra.app.command.Commands;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.PanelHead;

/** A lesson beside the work: it watches what is really done and ticks it off; nothing is held up by it. */
public final class LessonPanel extends VBox {
    /** As wide as the panels at the left of the Draw desk, so that it leaves the tools in sight. */
    private static final double WIDE = 232;
    private final Consumer<Set<Aspect>> follow = what -> look();
    private final Studio studio;
    private final Commands commands;
    private final List<Lesson.Step> steps;
    private final BooleanSupplier playing, trying, making;
    private final Runnable leave;
    private final List<Label> rows = new ArrayList<>();
    private final Label how = new Label();
    private final PanelHead head;
    /** What plays and is tried tells nobody, so it is looked at. */
    private final Timeline looks = new Timeline(new KeyFrame(Duration.millis(250), e -> look()));
    private boolean played, tried, made;
    private int done;

    /** @param making whether an output was made since the window was opened */
    public LessonPanel(Studio studio, Commands commands, List<Lesson.Step> steps, BooleanSupplier playing, BooleanSupplier trying,
            BooleanSupplier making, Runnable leave) {
        super(8);
        this.studio = studio;
        this.commands = commands;
        this.steps = steps;
        this.playing = playing;
        this.trying = trying;
        this.making = making;
        this.leave = leave;
        setId("lesson");
        getStyleClass().add("checks-panel");
        head = new PanelHead("lesson", "", "Leave the lesson", this::leaveIt);
        getChildren().add(head);
        for (Lesson.Step s : steps) {
            var row = new Label(s.words());
            rows.add(row);
            getChildren().add(row);
        }
        how.setId("lesson-how");
        how.setWrapText(true);
        how.setMinHeight(USE_PREF_SIZE);
        how.getStyleClass().add("quiet");
        getChildren().add(how);
        setPrefWidth(WIDE);
        setMaxSize(WIDE, USE_PREF_SIZE);
        studio.listen(follow);
        looks.setCycleCount(Animation.INDEFINITE);
        looks.play();
        look();
    }

    public void leaveIt() {
        looks.stop();
        studio.unlisten(follow);
        leave.run();
    }

    /** Steps are ticked off in their order; what was done stays done. */
    private void look() {
        played |= playing.getAsBoolean();
        tried |= trying.getAsBoolean();
        made |= making.getAsBoolean();
        var seen = new Lesson.Seen(studio, played, tried, made);
        while (done < steps.size() && steps.get(done).done().test(seen)) {
            done++;
            // what counts for a step is done after the one before it
            played = tried = made = false;
            seen = new Lesson.Seen(studio, false, false, false);
        }
        head.setText(done == steps.size() ? "Your first piece is made" : "Your first piece  " + done + " of " + steps.size());
        how.setText(commands.withKeys(done == steps.size()
                ? "All of it can be changed at any time. Save it with {save}; the samples on the start page show more." : steps.get(done).how()));
        for (int i = 0; i < rows.size(); i++) {
            Label row = rows.get(i);
            row.setText((i < done ? "✓  " : i == done ? "→  " : "     ") + steps.get(i).words());
            row.setAccessibleText(steps.get(i).words() + (i < done ? ", done" : i == done ? ", now" : ""));
            row.getStyleClass().setAll("label", i < done ? "lesson-done" : i == done ? "lesson-now" : "quiet");
        }
    }
}
