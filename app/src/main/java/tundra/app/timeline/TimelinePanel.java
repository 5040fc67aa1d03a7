package tundra.app.timeline;

import java.util.HashSet;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Aspect;
import tundra.app.studio.Playback;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NameField;
import tundra.core.edit.Names;
import tundra.core.edit.TimeText;
import tundra.core.model.Timeline;

/** The timeline with the buttons that play it. */
public final class TimelinePanel extends StackPane {
    private final Studio studio;
    private final TimelineCanvas lanes;
    private final Label time = new Label();
    private final Label frame = new Label();
    private final MenuButton chooser = new MenuButton();
    private final LightButton play;
    private final ToggleButton loop = new ToggleButton();

    public TimelinePanel(Studio studio, Playback playback, Commands commands) {
        this.studio = studio;
        lanes = new TimelineCanvas(studio);
        play = Buttons.icon(commands.get(CommandIds.PLAY), Icon.PLAY, 18);
        play.getStyleClass().add("play");
        LightButton start = Buttons.icon(commands.get(CommandIds.TO_START), Icon.TO_START, 16);
        start.getStyleClass().add("flat");
        loop.setId("do-loop");
        loop.setGraphic(Icon.LOOP.node(16));
        loop.setAccessibleText("Loop while playing here");
        loop.getStyleClass().add("flat");
        Buttons.tip(loop, commands.get(CommandIds.LOOP).tip());
        loop.setOnAction(e -> commands.run(CommandIds.LOOP));
        time.getStyleClass().add("mono");
        time.setId("time");
        frame.getStyleClass().addAll("mono", "quiet");
        chooser.setId("timeline-chooser");
        chooser.getStyleClass().add("chooser");
        chooser.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(chooser, Priority.ALWAYS);
        time.setMinWidth(USE_PREF_SIZE);
        frame.setMinWidth(USE_PREF_SIZE);
        var transport = new HBox(4, start, play, loop, time, frame, chooser);
        transport.setAlignment(Pos.CENTER_LEFT);
        transport.getStyleClass().add("transport");
        transport.setMaxSize(TimelineCanvas.HEAD, TimelineCanvas.RULER);
        transport.setPrefSize(TimelineCanvas.HEAD, TimelineCanvas.RULER);
        setAlignment(transport, Pos.TOP_LEFT);
        getChildren().addAll(lanes, transport);
        getStyleClass().add("timeline-panel");
        chooser.setOnShowing(e -> choices(commands));
        studio.listen(what -> {
            if (what.contains(Aspect.PLAYING)) {
                play.setMark((studio.time().playing() ? Icon.PAUSE : Icon.PLAY).node(18), LightLabel.Place.BEFORE);
                loop.setSelected(playback.loop());
            }
            refresh();
        });
        studio.eachFrame(this::refresh);
        loop.setSelected(playback.loop());
        refresh();
        choices(commands);
    }

    public TimelineCanvas lanes() {
        return lanes;
    }

    private void refresh() {
        time.setText(TimeText.clock(studio.time().playhead()));
        frame.setText("f" + studio.project().frameAt(studio.time().playhead()));
        chooser.setText(studio.timeline().name());
    }

    /** Lets the name of the shown timeline be typed where it stands. */
    public void nameTimeline() {
        applyCss();
        layout();
        var at = sceneToLocal(chooser.localToScene(0, 0));
        String id = studio.timeline().id();
        NameField.open(this, at.getX(), at.getY(), Math.max(90, chooser.getWidth()), studio.timeline().name(), name -> studio.edit("Rename timeline",
                b -> {
            var taken = new HashSet<String>();
            b.timelines().stream().filter(t -> !t.id().equals(id)).forEach(t -> taken.add(t.name()));
            return b.mapTimeline(id, t -> t.withName(Names.free(taken, name)));
        }));
    }

    private void choices(Commands commands) {
        chooser.getItems().clear();
        for (Timeline t : studio.board().timelines()) {
            var item = new CheckMenuItem(t.name() + "   " + TimeText.seconds(t.duration()) + (t.starts() ? " · starts by itself" : "")
                    + (t.loop() ? " · loops" : ""));
            item.setSelected(t == studio.timeline());
            item.setOnAction(e -> studio.time().choose(t.id()));
            chooser.getItems().add(item);
        }
        var add = new MenuItem("New timeline");
        add.setOnAction(e -> commands.run(CommandIds.NEW_TIMELINE));
        chooser.getItems().addAll(new SeparatorMenuItem(), add);
        for (String id : List.of(CommandIds.RENAME_TIMELINE, CommandIds.DUPLICATE_TIMELINE, CommandIds.DELETE_TIMELINE)) {
            var item = new MenuItem(commands.get(id).name().get());
            item.setDisable(!commands.get(id).enabled().getAsBoolean());
            item.setOnAction(e -> commands.run(id));
            chooser.getItems().add(item);
        }
    }
}
