package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.WordsOf;
import tundra.core.model.Element;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** What moves the chosen timeline: the clock, the page's scrolling, or an element's way through the window. */
final class ScrollSection extends VBox {
    private static final String CLOCK = "clock", SCENE = "scene";
    private final Studio studio;
    private final ComboBox<String> by = new LightComboBox<>();
    private final NumberField length = new NumberField("How far the page scrolls meanwhile", "px", 0);
    private final NumberField from = new NumberField("Begins at this share of the way", "%", 0);
    private final NumberField to = new NumberField("Ends at this share of the way", "%", 0);
    private final CheckBox smooth = new CheckBox("Comes after softly");
    private final CheckBox rests = new CheckBox("Scrolling comes to rest at its markers");
    private final NamedRow lengths = new NamedRow("Length", length), shares = new NamedRow("From, to", from, to);
    private boolean showing;

    ScrollSection(Studio studio) {
        super(6);
        this.studio = studio;
        setId("scroll");
        by.setId("field-driven");
        by.setAccessibleText("Moved by");
        by.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(by, Priority.ALWAYS);
        by.showingProperty().addListener((o, was, is) -> refresh());
        by.setConverter(new WordsOf<>(s -> s.equals(CLOCK) ? "the clock" : s.equals(SCENE) ? "the page's scrolling" : studio.board()
                .find(s) instanceof Element e ? "the way of " + e.name() : "?"));
        by.setOnAction(e -> {
            String v = by.getValue();
            if (!showing && v != null) {
                Scroll now = scroll() == null ? Scroll.over(2 * studio.board().size().y()) : scroll();
                put("Change what moves the timeline", null, v.equals(CLOCK) ? null : now.withThrough(v.equals(SCENE) ? null : v));
            }
        });
        length.setId("field-scroll-length");
        from.setId("field-scroll-from");
        to.setId("field-scroll-to");
        smooth.setId("field-scroll-smooth");
        rests.setId("field-scroll-rests");
        length.onChange((v, merge) -> change(merge, s -> new Scroll(Math.max(1, Math.min(1_000_000, v)), s.from(), s.to(), s.smooth(), s.rests(),
                s.through())));
        from.onChange((v, merge) -> change(merge, s -> new Scroll(s.length(), Math.max(0, Math.min(s.to() - 0.01, v / 100)), s.to(), s.smooth(),
                s.rests(), s.through())));
        to.onChange((v, merge) -> change(merge, s -> new Scroll(s.length(), s.from(), Math.min(1, Math.max(s.from() + 0.01, v / 100)), s.smooth(),
                s.rests(), s.through())));
        smooth.setOnAction(e -> change(null, s -> new Scroll(s.length(), s.from(), s.to(), smooth.isSelected(), s.rests(), s.through())));
        rests.setOnAction(e -> change(null, s -> new Scroll(s.length(), s.from(), s.to(), s.smooth(), rests.isSelected(), s.through())));
        getChildren().addAll(new NamedRow("Moved by", by), lengths, shares, smooth, rests);
        refresh();
    }

    private Scroll scroll() {
        return studio.timeline().scroll();
    }

    private void change(Object merge, UnaryOperator<Scroll> by) {
        if (!showing && scroll() != null) {
            put("Change scrolling", merge, by.apply(scroll()));
        }
    }

    private void put(String name, Object merge, Scroll s) {
        String id = studio.timeline().id();
        studio.edit(name, merge, b -> b.mapTimeline(id, t -> t.withScroll(s)));
        refresh();
    }

    /** All elements are listed only for who opens the list: a scene may have thousands. */
    private List<String> listed(Scroll now) {
        var out = new ArrayList<String>(List.of(CLOCK, SCENE));
        if (by.isShowing()) {
            Tree.each(studio.board().elements(), e -> out.add(e.id()));
        } else if (now != null && now.through() != null) {
            out.add(now.through());
        }
        return out;
    }

    void refresh() {
        showing = true;
        Timeline t = studio.timeline();
        Scroll s = t.scroll();
        List<String> listed = listed(s);
        if (!by.getItems().equals(listed)) {
            by.getItems().setAll(listed);
        }
        by.setValue(s == null ? CLOCK : s.through() == null ? SCENE : s.through());
        seen(lengths, s != null && s.through() == null);
        seen(shares, s != null);
        seen(smooth, s != null);
        seen(rests, s != null && s.through() == null);
        if (s != null) {
            length.show(s.length());
            from.show(s.from() * 100);
            to.show(s.to() * 100);
            smooth.setSelected(s.smooth());
            rests.setSelected(s.rests());
        }
        showing = false;
    }

    private static void seen(Node n, boolean on) {
        n.setVisible(on);
        n.setManaged(on);
    }
}
