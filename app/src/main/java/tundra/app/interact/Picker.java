package tundra.app.interact;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.stage.Popup;
import tundra.app.widget.Popovers;
import tundra.core.edit.SentenceWords;
import tundra.core.edit.Sentences;

/** A small list beneath a word, with a field to search it; or only a field, for what is typed. */
final class Picker {
    private static final int SEARCHED = 7;
    private static final double ROW = 28, WIDTH = 250, WIDEST = 460;
    private static Popup open;

    /**
     * One of several.
     *
     * @param phrases what it says, its nouns greyed
     * @param note what stands faintly behind it; empty for nothing
     * @param others words that find it too
     */
    record Choice(List<Sentences.Phrase> phrases, String note, String others, Runnable run) {
        Choice(String text, String note, Runnable run) {
            this(List.of(new Sentences.Phrase(text, false)), note, "", run);
        }

        Choice(String text, Runnable run) {
            this(text, "", run);
        }

        String text() {
            return phrases.stream().map(Sentences.Phrase::words).collect(Collectors.joining(" "));
        }

        @Override
        public String toString() {
            return text();
        }
    }

    private Picker() {}

    private static VBox panel(Node at, Popup popup) {
        if (open != null) {
            open.hide();
        }
        open = popup;
        var box = new VBox(6);
        box.getStyleClass().addAll("picker", "popover");
        box.getStylesheets().setAll(at.getScene().getStylesheets());
        box.getStyleClass().addAll(at.getScene().getRoot().getStyleClass());
        Popovers.closing(popup);
        popup.getContent().setAll(box);
        return box;
    }

    /** As wide as what is in it, within bounds, in px. */
    private static double width(List<Choice> all) {
        var words = new Text();
        double most = WIDTH;
        for (Choice c : all) {
            words.setText(c.text() + (c.note.isEmpty() ? "" : "     " + c.note));
            most = Math.max(most, words.getLayoutBounds().getWidth() + 40);
        }
        return Math.min(WIDEST, most);
    }

    private static void show(Node at, Popup popup) {
        Bounds b = at.localToScreen(at.getBoundsInLocal());
        popup.show(at, b.getMinX(), b.getMaxY() + 3);
    }

    /** One of several, found by typing. */
    static void choose(Node at, List<Choice> all) {
        var popup = new Popup();
        VBox box = panel(at, popup);
        var list = new ListView<Choice>();
        list.setId("picker-list");
        list.getItems().setAll(all);
        list.setFixedCellSize(ROW);
        list.setPrefSize(width(all), Math.min(9, Math.max(1, all.size())) * ROW + 2);
        list.setCellFactory(v -> new ChoiceCell());
        var nothing = new Label();
        nothing.setId("picker-nothing");
        nothing.getStyleClass().addAll("quiet", "small");
        list.setPlaceholder(nothing);
        list.getSelectionModel().selectFirst();
        Runnable take = () -> {
            Choice c = list.getSelectionModel().getSelectedItem();
            if (c != null) {
                popup.hide();
                c.run.run();
            }
        };
        list.setOnMouseClicked(e -> take.run());
        var search = new TextField();
        search.setId("picker-search");
        search.setPromptText("Search");
        search.textProperty().addListener((o, was, is) -> {
            list.getItems().setAll(all.stream().filter(c -> is.isBlank() || SentenceWords.finds(is, c.text() + " " + c.note, c.others))
                    .sorted(Comparator.comparing(c -> is.isBlank() || !SentenceWords.begins(is, c.text()))).toList());
            nothing.setText("Nothing here is called “" + is.strip() + "”.");
            list.getSelectionModel().selectFirst();
        });
        box.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            int by = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
            if (by != 0) {
                int to = Math.max(0, Math.min(list.getItems().size() - 1, list.getSelectionModel().getSelectedIndex() + by));
                list.getSelectionModel().select(to);
                list.scrollTo(to);
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER) {
                take.run();
                e.consume();
            }
        });
        // what is typed is meant for the list, not for a tool
        box.addEventHandler(KeyEvent.ANY, KeyEvent::consume);
        if (all.size() > SEARCHED) {
            box.getChildren().add(search);
        } else {
            list.addEventFilter(KeyEvent.KEY_TYPED, e -> all.stream().filter(c -> !e.getCharacter().isBlank() && c.text().toLowerCase(Locale.ROOT)
                    .startsWith(e.getCharacter().toLowerCase(Locale.ROOT)))
                    .findFirst().ifPresent(list.getSelectionModel()::select));
        }
        box.getChildren().add(list);
        show(at, popup);
        (all.size() > SEARCHED ? search : list).requestFocus();
    }

    /**
     * Something typed that is read.
     *
     * @param read throws an IllegalArgumentException with a sentence when a text is none
     */
    static <T> void read(Node at, String now, String hint, Function<String, T> read, Consumer<T> take) {
        type(at, now, hint, v -> {
            try {
                read.apply(v);
                return null;
            } catch (IllegalArgumentException e) {
                return e.getMessage();
            }
        }, v -> take.accept(read.apply(v)));
    }

    /**
     * Something typed.
     *
     * @param check why a text can't be taken, as a sentence; null when it can
     */
    static void type(Node at, String now, String hint, Function<String, String> check, Consumer<String> take) {
        var popup = new Popup();
        VBox box = panel(at, popup);
        var field = new TextField(now);
        field.setId("picker-field");
        field.setPrefWidth(WIDTH);
        var words = new Label(hint);
        words.getStyleClass().addAll("quiet", "small");
        words.setWrapText(true);
        words.setMaxWidth(WIDTH);
        words.setMinHeight(VBox.USE_PREF_SIZE);
        field.setOnAction(e -> {
            String why = check.apply(field.getText());
            if (why == null) {
                popup.hide();
                if (!field.getText().equals(now)) {
                    take.accept(field.getText());
                }
            } else {
                words.setText(why);
                words.getStyleClass().add("problem");
            }
        });
        box.getChildren().addAll(field, words);
        show(at, popup);
        field.requestFocus();
        field.selectAll();
    }
}
