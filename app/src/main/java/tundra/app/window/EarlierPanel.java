package tundra.app.window;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.job.Jobs;
import tundra.app.studio.Studio;
import tundra.app.widget.PictureFrame;
import tundra.app.widget.Times;
import tundra.app.widget.Words;
import tundra.core.compare.Differences;
import tundra.core.edit.BringBack;
import tundra.core.file.ProjectFile;
import tundra.core.file.Versions;
import tundra.core.model.Element;
import tundra.core.model.Project;

/** The earlier versions of the open piece: each with its picture and what changed since; brought back whole or by element. */
final class EarlierPanel extends Veil {
    private static final double WIDE = 780, FACE_WIDTH = 96, FACE_HEIGHT = 60, LIST = 250, PICTURE = 420, PICTURE_HIGH = 200;
    private static final int TOLD = 60;
    private final Studio studio;
    private final Versions versions;
    private final Jobs jobs;
    private final Runnable leave;
    private final ListView<Versions.Version> list = new ListView<>();
    private final PictureFrame picture = new PictureFrame(PICTURE, PICTURE_HIGH);
    private final VBox changes = new VBox(3), elements = new VBox(4);
    private final Label head = new Label();
    private final Button whole = new Button("Bring all of it back"), some = new Button("Bring back what is ticked");
    private final Set<String> ticked = new HashSet<>();
    private Project shown;
    private Runnable left = () -> { };

    /** What is told of a version. @param changed outermost elements of what is open that were otherwise then */
    private record Told(Project then, List<String> leftOut, List<String> differences, List<Element> changed) {}

    EarlierPanel(Studio studio, Versions versions, Jobs jobs, Runnable leave) {
        super("earlier");
        this.studio = studio;
        this.versions = versions;
        this.jobs = jobs;
        this.leave = leave;
        var title = new Label("Earlier versions");
        title.getStyleClass().add("heading");
        var words = Words.wrapped("Each time that you save is kept, the last " + Versions.SAVES
                + " times and the last of each day. Bringing something back is a step that can be undone.");
        list.setId("earlier-list");
        list.setPrefSize(LIST, 400);
        list.setMinWidth(LIST);
        list.setCellFactory(v -> new Cell());
        list.setAccessibleText("Earlier versions, the newest first");
        list.getItems().setAll(versions.of(studio.kept()));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> look(is));
        picture.setMaxWidth(Double.MAX_VALUE);
        head.getStyleClass().add("card-title");
        head.setId("earlier-head");
        changes.setId("earlier-changes");
        elements.setId("earlier-elements");
        whole.setId("earlier-whole");
        whole.getStyleClass().add("primary");
        whole.setOnAction(e -> {
            Project then = shown;
            leave.run();
            studio.editProject("Bring back an earlier version", null, p -> then);
        });
        some.setId("earlier-some");
        some.setOnAction(e -> {
            Project then = shown;
            String place = studio.place().id();
            Set<String> ids = Set.copyOf(ticked);
            leave.run();
            studio.editProject(ids.size() == 1 ? "Bring back an element" : "Bring back " + ids.size() + " elements", null,
                    p -> BringBack.elements(p, then, place, ids));
        });
        var more = new VBox(10, head, picture, changes, Words.section("Elements of what is open"), elements);
        more.setMinWidth(0);
        var scroll = new ScrollPane(more);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(400);
        HBox.setHgrow(scroll, Priority.ALWAYS);
        var both = new HBox(14, list, scroll);
        var close = new Button("Close");
        close.setId("earlier-close");
        close.setCancelButton(true);
        close.setOnAction(e -> leave.run());
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var foot = new HBox(8, whole, some, gap, close);
        foot.setAlignment(Pos.CENTER_LEFT);
        list.setPlaceholder(wrapped("Nothing yet: a version is kept each time that you save."));
        // where there is none there is nothing to show beside the list
        boolean any = !list.getItems().isEmpty();
        scroll.setVisible(any);
        scroll.setManaged(any);
        HBox.setHgrow(list, any ? Priority.NEVER : Priority.ALWAYS);
        show(WIDE, title, words, both, foot);
        look(null);
        list.getSelectionModel().selectFirst();
        Platform.runLater(list::requestFocus);
    }

    private void look(Versions.Version v) {
        left.run();
        shown = null;
        ticked.clear();
        whole.setDisable(true);
        some.setDisable(true);
        changes.getChildren().clear();
        elements.getChildren().clear();
        picture.setFile(v == null ? null : v.picture());
        head.setText(v == null ? "" : "Saved " + Times.day(v.time()));
        if (v == null) {
            return;
        }
        Project now = studio.kept();
        String place = studio.place().id();
        left = jobs.start(p -> {
            try {
                ProjectFile.Opened opened = versions.open(v);
                Project then = opened.project();
                return new Told(then, opened.leftOut(), Differences.of(then, now), BringBack.changed(now, then, place));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }, share -> { }, this::tell, () -> { });
    }

    private void tell(Told t) {
        shown = t.then;
        var lines = new ArrayList<>(t.leftOut.stream().map(x -> "Damaged and left out: " + x).toList());
        lines.addAll(t.differences.isEmpty() ? List.of("It is as the piece is now.") : t.differences);
        changes.getChildren().add(Words.section("What changed since"));
        lines.stream().limit(TOLD).forEach(x -> changes.getChildren().add(wrapped(x)));
        if (lines.size() > TOLD) {
            changes.getChildren().add(wrapped("… and " + (lines.size() - TOLD) + " more."));
        }
        for (Element e : t.changed) {
            var box = new CheckBox(e.name());
            box.setOnAction(x -> {
                if (box.isSelected()) {
                    ticked.add(e.id());
                } else {
                    ticked.remove(e.id());
                }
                some.setDisable(ticked.isEmpty());
            });
            elements.getChildren().add(box);
        }
        if (t.changed.isEmpty()) {
            elements.getChildren().add(wrapped("All of them are as they were then."));
        }
        whole.setDisable(t.differences.isEmpty());
    }

    private static Label wrapped(String words) {
        var l = new Label(words);
        l.getStyleClass().add("small");
        l.setWrapText(true);
        l.setMinHeight(Region.USE_PREF_SIZE);
        return l;
    }

    private static final class Cell extends ListCell<Versions.Version> {
        @Override
        protected void updateItem(Versions.Version v, boolean empty) {
            super.updateItem(v, empty);
            setText(null);
            setGraphic(empty || v == null ? null : row(v));
            setAccessibleText(empty || v == null ? null : "Saved " + Times.day(v.time()));
        }

        private static Node row(Versions.Version v) {
            var face = new PictureFrame(FACE_WIDTH, FACE_HEIGHT);
            face.setFile(v.picture());
            var when = new Label(Times.day(v.time()));
            when.setWrapText(true);
            var row = new HBox(10, face, when);
            row.setAlignment(Pos.CENTER_LEFT);
            return row;
        }
    }
}
