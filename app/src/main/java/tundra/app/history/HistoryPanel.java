package tundra.app.history;

import java.io.ByteArrayInputStream;
import java.util.Map;
import java.util.Set;
import java.util.WeakHashMap;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.Image;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.document.PieceFace;
import tundra.app.job.Settles;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.PanelHead;
import tundra.app.widget.PictureFrame;
import tundra.core.geometry.Point;
import tundra.core.model.Place;
import tundra.core.model.Project;

/** All that was done in this run, by name and picture: a click, or Enter, goes to how the piece was after it. */
public final class HistoryPanel extends VBox implements Settles {
    private static final double WIDE = 290, HIGH = 460, FACE_WIDTH = 64, FACE_HEIGHT = 40;
    private final Consumer<Set<Aspect>> follow = what -> {
        if (what.contains(Aspect.DOCUMENT)) {
            refresh();
        }
    };
    private final Studio studio;
    private final Runnable leave;
    private final ListView<Integer> list = new ListView<>();
    private final Label count = new Label();
    private final Map<Project, Image> faces = new WeakHashMap<>();
    private final Executor line = Work.line("history pictures");
    private boolean refreshing;
    private int coming;
    private volatile boolean open = true;

    public HistoryPanel(Studio studio, Runnable leave) {
        super(10);
        this.studio = studio;
        this.leave = leave;
        setId("history");
        getStyleClass().add("checks-panel");
        count.setId("history-count");
        count.getStyleClass().addAll("quiet", "small");
        var head = new PanelHead("history", "History", "Close the history", this::leaveIt, count);
        list.setId("history-list");
        list.setFixedCellSize(FACE_HEIGHT + 12);
        list.setCellFactory(v -> new Cell());
        list.setAccessibleText("What was done, the first first");
        list.setOnMouseClicked(e -> go());
        list.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                go();
                e.consume();
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren().addAll(head, list);
        setPrefSize(WIDE, HIGH);
        setMaxSize(WIDE, HIGH);
        studio.listen(follow);
        refresh();
        Platform.runLater(list::requestFocus);
    }

    @Override
    public boolean settled() {
        return coming == 0;
    }

    public void leaveIt() {
        open = false;
        studio.unlisten(follow);
        leave.run();
    }

    private void go() {
        Integer to = list.getSelectionModel().getSelectedItem();
        if (to != null && !refreshing) {
            studio.history().goToVersion(to);
        }
    }

    private void refresh() {
        refreshing = true;
        int all = studio.history().versions(), now = studio.history().version();
        count.setText(all == 1 ? "nothing done yet" : now + " of " + (all - 1));
        // most often one came, or the last is another one: the rows that are there stay
        if (list.getItems().size() > all) {
            list.getItems().remove(all, list.getItems().size());
        }
        for (int i = list.getItems().size(); i < all; i++) {
            list.getItems().add(i);
        }
        list.refresh();
        list.getSelectionModel().select(now);
        list.scrollTo(Math.max(0, now - 4));
        refreshing = false;
    }

    /** The place that a change changed, else the first. */
    private static Place place(Project before, Project after) {
        return after.places().stream().filter(p -> before == null || before.place(p.id()) == null || before.place(p.id()).board() != p.board())
                .findFirst().orElse(after.scenes().getFirst());
    }

    private static Image face(Project before, Project after) {
        return new Image(new ByteArrayInputStream(PieceFace.png(after, place(before, after).board(), new Point(2 * FACE_WIDTH, 2 * FACE_HEIGHT))));
    }

    private final class Cell extends ListCell<Integer> {
        private final PictureFrame face = new PictureFrame(FACE_WIDTH, FACE_HEIGHT);
        private final Label name = new Label();
        private final HBox row;

        Cell() {
            row = new HBox(10, face, name);
            row.setAlignment(Pos.CENTER_LEFT);
            name.setMinWidth(0);
        }

        @Override
        protected void updateItem(Integer i, boolean empty) {
            super.updateItem(i, empty);
            setText(null);
            if (empty || i == null || i >= studio.history().versions()) {
                setGraphic(null);
                return;
            }
            String words = i == 0 ? "As it was opened" : studio.history().version(i).name();
            name.setText(words);
            name.getStyleClass().remove("quiet");
            if (i > studio.history().version()) {
                // undone, and still to be gone forward to
                name.getStyleClass().add("quiet");
            }
            setAccessibleText(words + (i > studio.history().version() ? ", undone" : ""));
            setGraphic(row);
            show(i);
        }

        private void show(int i) {
            Project of = studio.history().version(i).project(), before = i == 0 ? null : studio.history().version(i - 1).project();
            Image known = faces.get(of);
            face.setImage(known);
            if (known == null) {
                coming++;
                line.execute(() -> {
                    if (open) {
                        Image made = face(before, of);
                        Platform.runLater(() -> {
                            coming--;
                            faces.put(of, made);
                            if (getItem() != null && getItem() < studio.history().versions() && studio.history().version(getItem()).project() == of) {
                                face.setImage(made);
                            }
                        });
                    }
                });
            }
        }
    }
}
