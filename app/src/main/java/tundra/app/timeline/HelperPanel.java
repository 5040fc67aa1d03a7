package tundra.app.timeline;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.studio.Aspect;
import tundra.app.studio.Playback;
import tundra.app.studio.Studio;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.edit.TimeText;
import tundra.core.helper.Helper;
import tundra.core.helper.Job;
import tundra.core.helper.Param;
import tundra.core.model.Board;
import tundra.core.model.Tree;

/**
 * The numbers of a helper beside the canvas. Every change is seen at once, and played while the panel is open; it becomes one step
 * of undo when it is taken. Opened again on the same elements it goes on from where it began, so that other numbers replace what
 * it wrote.
 */
public final class HelperPanel extends VBox {
    /** What was tried last with a helper: its numbers, and what it was used on. */
    private record Used(double[] numbers, List<String> elements, long at, Board before, Board after) {}

    private static final Map<String, Used> LAST = new HashMap<>();
    /** The piece that these boards are of; of others only the numbers are remembered. */
    private static Object lastOf;
    private final Studio studio;
    private final Playback playback;
    private final Helper helper;
    private final Runnable leave;
    private final double[] numbers;
    private List<String> elements;
    private long at;
    private Board start;
    /** What is kept beneath what is tried. */
    private Board under;
    /** What the numbers make; null while they make nothing. */
    private Board written;
    private boolean left;
    private boolean filling;
    private final Map<Integer, ComboBox<String>> choices = new HashMap<>();
    private final Label title = new Label();
    private final Label told = new Label();
    private final Consumer<Set<Aspect>> follow = what -> follow();

    /** @param leave takes the panel away */
    public HelperPanel(Studio studio, Playback playback, Helper helper, Runnable leave) {
        this.studio = studio;
        this.playback = playback;
        this.helper = helper;
        this.leave = leave;
        if (lastOf != studio.document()) {
            lastOf = studio.document();
            LAST.replaceAll((name, used) -> new Used(used.numbers, List.of(), 0, null, null));
        }
        Used last = LAST.get(helper.name());
        numbers = last != null ? last.numbers.clone() : helper.params().stream().mapToDouble(Param::standard).toArray();
        setId("helper-panel");
        getStyleClass().addAll("popover", "helper-panel");
        setSpacing(8);
        setMaxSize(270, Region.USE_PREF_SIZE);
        title.setId("helper-title");
        title.getStyleClass().add("heading");
        var says = Words.wrapped(helper.says());
        getChildren().addAll(title, says);
        for (int i = 0; i < helper.params().size(); i++) {
            getChildren().add(row(i, helper.params().get(i)));
        }
        told.getStyleClass().addAll("quiet", "small");
        told.setWrapText(true);
        told.setId("helper-told");
        var play = new Button("Play it");
        play.setOnAction(e -> preview());
        var cancel = new Button("Discard");
        cancel.setId("helper-leave");
        cancel.setOnAction(e -> leaveIt());
        var take = new Button("Use it");
        take.setId("helper-take");
        take.getStyleClass().add("primary");
        take.setOnAction(e -> take());
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(told, new HBox(6, play, gap, cancel, take));
        begin();
        studio.listen(follow);
    }

    /** Takes what is selected now. */
    private void begin() {
        Used last = LAST.get(helper.name());
        elements = ordered();
        boolean again = last != null && last.after != null && last.after.equals(studio.drawn()) && last.elements.equals(elements);
        at = again ? last.at : studio.time().playhead();
        under = studio.drawn();
        start = again ? last.before : under;
        title.setText(helper.name() + " · " + (elements.size() == 1 ? studio.board().find(elements.getFirst()).name() : elements.size()
                + " elements"));
        fill();
        apply();
    }

    /** Goes to what was selected meanwhile; leaves when nothing is, or when something else changed the piece. */
    private void follow() {
        if (left) {
            return;
        }
        if (written != null && !studio.tried().shown()) {
            leaveIt();
        } else if (!ordered().equals(elements)) {
            studio.tried().leave();
            if (studio.selection().isEmpty()) {
                leaveIt();
            } else {
                begin();
            }
        }
    }

    /** The selected elements as the outline lists them, from the top. */
    private List<String> ordered() {
        var out = new ArrayList<String>();
        Tree.each(studio.board().elements(), e -> {
            if (studio.selection().contains(e.id())) {
                out.addFirst(e.id());
            }
        });
        return out;
    }

    private HBox row(int i, Param p) {
        var name = new Label(p.label());
        name.getStyleClass().add("quiet");
        name.setMinWidth(Region.USE_PREF_SIZE);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var row = new HBox(6, name, gap);
        row.setAlignment(Pos.CENTER_LEFT);
        if (!p.words().isEmpty()) {
            var choice = new LightComboBox<String>();
            choice.setId("helper-" + i);
            choice.setAccessibleText(p.label());
            choice.setOnAction(e -> {
                if (!filling && choice.getValue() != null) {
                    set(i, p.words().indexOf(choice.getValue()));
                }
            });
            choices.put(i, choice);
            row.getChildren().add(choice);
        } else {
            var field = new NumberField(p.label(), p.unit().isEmpty() ? "n" : p.unit(), 2);
            field.setId("helper-" + i);
            field.setPrefWidth(112);
            field.setMaxWidth(112);
            field.show(numbers[i] * p.shown());
            field.onChange((v, m) -> {
                double n = Math.max(p.min(), Math.min(p.max(), v / p.shown()));
                field.show(n * p.shown());
                set(i, n);
            });
            row.getChildren().add(field);
        }
        return row;
    }

    /** Fills the lists with the words that make sense for what is selected. */
    private void fill() {
        filling = true;
        choices.forEach((i, choice) -> {
            Param p = helper.params().get(i);
            choice.getItems().setAll(IntStream.range(0, p.words().size()).filter(k -> helper.offers(job(), i, k)).mapToObj(p.words()::get).toList());
            if (!choice.getItems().contains(p.words().get((int) numbers[i]))) {
                numbers[i] = p.standard();
            }
            choice.setValue(p.words().get((int) numbers[i]));
        });
        filling = false;
    }

    private void set(int i, double v) {
        numbers[i] = v;
        apply();
    }

    private Job job() {
        return new Job(studio.kept(), start, studio.timeline().id(), elements, at, studio.picture().fonts());
    }

    private void apply() {
        written = null;
        studio.tried().leave();
        String why = helper.refuses(job());
        if (why != null) {
            told.setText(why);
            return;
        }
        try {
            var made = helper.apply(job(), numbers);
            written = made.board();
            studio.tried().show(written);
            told.setText(made.length() == 0 ? "" : "Takes " + TimeText.seconds(made.length()) + " from "
                    + TimeText.seconds(at) + " on.");
        } catch (IllegalArgumentException e) {
            told.setText("These numbers make no move; nothing was changed.");
        }
    }

    private void preview() {
        playback.stop();
        studio.time().seek(at);
        playback.play();
    }

    /** Writes the keys: one step of undo. */
    public void take() {
        if (written == null) {
            leaveIt();
            return;
        }
        Board made = written;
        end();
        // worked out of what was kept when it was begun, so only that can become it
        studio.edit(helper.name(), b -> b == under ? made : b);
        LAST.put(helper.name(), new Used(numbers.clone(), elements, at, start, studio.board()));
        leave.run();
    }

    /** Changes nothing. */
    public void leaveIt() {
        end();
        studio.tried().leave();
        leave.run();
    }

    private void end() {
        left = true;
        playback.stop();
        studio.unlisten(follow);
    }
}
