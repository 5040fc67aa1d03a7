package tundra.app.details;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.core.file.Limits;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** The words of a text and how they are set. */
final class TextSection extends VBox {
    private final Studio studio;
    private final List<String> ids;
    private final TextArea words = new TextArea();
    private final ComboBox<String> family = new ComboBox<>();
    private final ComboBox<Integer> weight = new ComboBox<>();
    private final ComboBox<Content.Align> align = new ComboBox<>();
    private final NumberField size = new NumberField("Font size", "px", 1);
    private final NumberField lead = new NumberField("Line height", "×", 2);
    private final NumberField wrap = new NumberField("Wrap width", "wrap", 0);
    private final Button free = new Button("Free");
    private Object typing = new Object();
    private boolean showing;

    TextSection(Studio studio, List<String> ids) {
        this.studio = studio;
        this.ids = ids;
        setSpacing(6);
        var title = Words.section("Text");
        words.setId("field-text");
        words.setAccessibleText("Words");
        words.setPrefRowCount(2);
        words.setWrapText(true);
        words.textProperty().addListener((o, was, is) -> change(t -> t.withText(is), typing));
        words.focusedProperty().addListener((o, was, is) -> typing = new Object());
        family.setAccessibleText("Font family");
        family.setMaxWidth(Double.MAX_VALUE);
        family.setOnAction(x -> change(t -> t.withFace(family.getValue(), t.weight()), null));
        weight.setAccessibleText("Weight");
        weight.setOnAction(x -> {
            if (weight.getValue() != null) {
                change(t -> t.withFace(t.family(), weight.getValue()), null);
            }
        });
        align.getItems().setAll(Content.Align.values());
        align.setAccessibleText("Alignment");
        align.setConverter(new javafx.util.StringConverter<>() {
            @Override
            public String toString(Content.Align a) {
                return a == null ? "" : a.name().toLowerCase(Locale.ROOT);
            }

            @Override
            public Content.Align fromString(String s) {
                return Content.Align.valueOf(s.toUpperCase(Locale.ROOT));
            }
        });
        align.setOnAction(x -> change(t -> t.withAlign(align.getValue()), null));
        size.setId("field-fontSize");
        size.onChange((v, merge) -> change(t -> t.withSize(Math.max(0.1, Math.min(10_000, v))), merge));
        lead.onChange((v, merge) -> change(t -> t.withLineHeight(Math.max(0.1, Math.min(10, v))), merge));
        wrap.setId("field-wrap");
        wrap.onChange((v, merge) -> change(t -> t.withWrap(Math.max(0, Math.min(Limits.LENGTH, v))), merge));
        Buttons.tip(free, "Lines as long as they are written");
        free.setOnAction(x -> change(t -> t.withWrap(0), null));
        HBox.setHgrow(wrap, Priority.ALWAYS);
        HBox.setHgrow(family, Priority.ALWAYS);
        HBox.setHgrow(size, Priority.ALWAYS);
        HBox.setHgrow(lead, Priority.ALWAYS);
        getChildren().addAll(title, words, new HBox(6, family, weight), new HBox(6, size, lead, align), new HBox(6, wrap, free));
        refresh();
    }

    private List<Element> texts() {
        return ids.stream().map(studio.board()::find).filter(e -> e != null && e.content() instanceof Content.Text).toList();
    }

    private void change(java.util.function.UnaryOperator<Content.Text> change, Object merge) {
        List<Element> all = texts();
        if (!showing && all.stream().anyMatch(e -> !change.apply((Content.Text) e.content()).equals(e.content()))) {
            studio.edit("Change text of " + (all.size() == 1 ? all.getFirst().name() : all.size() + " texts"), merge, b -> {
                Board out = b;
                for (Element e : all) {
                    out = out.mapElement(e.id(), x -> x.withContent(change.apply((Content.Text) x.content())));
                }
                return out;
            });
        }
    }

    private void show(NumberField f, java.util.function.ToDoubleFunction<Content.Text> of, List<Element> all) {
        double first = of.applyAsDouble((Content.Text) all.getFirst().content());
        if (all.stream().anyMatch(e -> of.applyAsDouble((Content.Text) e.content()) != first)) {
            f.showMixed();
        } else {
            f.show(first);
        }
    }

    void refresh() {
        List<Element> all = texts();
        if (!all.isEmpty()) {
            var t = (Content.Text) all.getFirst().content();
            showing = true;
            // the words of several stay their own
            words.setVisible(all.size() == 1);
            words.setManaged(all.size() == 1);
            if (!words.getText().equals(t.text())) {
                words.setText(t.text());
            }
            if (!family.getItems().equals(studio.fonts().families())) {
                family.getItems().setAll(studio.fonts().families());
            }
            family.setValue(t.family());
            if (!weight.getItems().equals(studio.fonts().weights(t.family()))) {
                weight.getItems().setAll(studio.fonts().weights(t.family()));
            }
            weight.setValue(t.weight());
            align.setValue(t.align());
            show(size, Content.Text::size, all);
            show(lead, Content.Text::lineHeight, all);
            show(wrap, Content.Text::wrap, all);
            free.setDisable(t.wrap() == 0);
            showing = false;
        }
    }
}
