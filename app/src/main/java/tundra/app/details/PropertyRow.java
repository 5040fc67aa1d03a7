package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import tundra.app.color.PaintField;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.timeline.TimelineCanvas;
import tundra.app.widget.Buttons;
import tundra.app.widget.Caption;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Press;
import tundra.core.edit.Placing;
import tundra.core.edit.SplitPosition;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.ValueType;

/** One property of an element: its name, its numbers, and the button that keys it. Made from the property table. */
final class PropertyRow<T> extends NamedRow {
    private final Studio studio;
    private final String element;
    private final Property<T> property;
    private final List<NumberField> numbers = new ArrayList<>();
    private final Press key = new Press("");
    private final Circle dot = new Circle(3);
    private PaintField color;
    private ComboBox<String> choice;

    /** @param onGradient runs when a gradient was chosen, to be placed on the canvas */
    PropertyRow(Studio studio, String element, Property<T> property, Runnable onGradient) {
        super(property.label());
        this.studio = studio;
        this.element = element;
        this.property = property;
        if (property.standard() instanceof Paint) {
            color = new PaintField(studio, property.label(), property.type() instanceof ValueType.PaintType)
                    .onChange((c, merge) -> set(property.cast(c), merge)).onGradient(onGradient);
            color.setId("field-" + property.key());
            setHgrow(color, Priority.ALWAYS);
            getChildren().add(color);
        } else if (property.type() instanceof ValueType.ChoiceType words) {
            choice = new ComboBox<>();
            choice.getItems().setAll(words.options());
            choice.setId("field-" + property.key());
            choice.setAccessibleText(property.label());
            choice.setMaxWidth(Double.MAX_VALUE);
            setHgrow(choice, Priority.ALWAYS);
            choice.setOnAction(e -> {
                if (choice.getValue() != null && !choice.getValue().equals(studio.valueAt(element, property))) {
                    set(property.cast(choice.getValue()), null);
                }
            });
            getChildren().add(choice);
        } else {
            for (int i = 0; i < property.parts().size(); i++) {
                numbers.add(number(i));
            }
            getChildren().addAll(numbers);
        }
        if (studio.desk() == Desk.ANIMATE) {
            getChildren().add(keyButton());
        }
        refresh();
    }

    Property<T> property() {
        return property;
    }

    private NumberField number(int part) {
        String label = property.parts().get(part);
        var f = new NumberField(property.label() + (property.parts().size() > 1 ? " " + label : ""), label, property.unit().equals("%") ? 1 : 2);
        f.setId("field-" + property.key() + (property.parts().size() > 1 ? "-" + label : ""));
        setHgrow(f, Priority.ALWAYS);
        f.setMaxWidth(Double.MAX_VALUE);
        f.onChange((v, merge) -> {
            double[] now = property.type().parts(studio.valueAt(element, property));
            double old = now[part];
            now[part] = v / property.shown();
            boolean sizes = property == Properties.SCALE || property == Properties.SIZE;
            if (sizes && studio.book().keepArea() && now[part] != 0) {
                now[1 - part] *= old / now[part];
            } else if (property == Properties.SCALE && !numbers.isEmpty() && now[0] != now[1] && old == now[1 - part]) {
                now[1 - part] = now[part];
            }
            set(property.type().of(now), merge);
        });
        return f;
    }

    /** A ring that is filled when there is a key at the playhead, and coloured when there are keys at all. */
    private Region keyButton() {
        key.getStyleClass().add("key-button");
        key.setId("key-" + property.key());
        key.setMark(dot, Caption.Place.BEFORE);
        key.setAccessibleText("Key " + property.label() + " here");
        Buttons.tip(key, "Set or take away a key of " + property.label().toLowerCase(Locale.ROOT) + " at the playhead");
        key.setOnAction(() -> TimelineCanvas.toggleKey(studio, element, property));
        return key;
    }

    private void set(T value, Object merge) {
        String name = "Change " + property.label().toLowerCase(Locale.ROOT) + " of " + name();
        if (property == Properties.PIVOT && studio.timelineOf(element, property).track(element, property) == null) {
            Frame.Placed placed = studio.frame().find(element);
            if (placed != null) {
                Point pivot = (Point) value;
                studio.edit(name, merge, b -> Placing.pivot(b, element, pivot, placed.node().toParent(), placed.node().box()));
                return;
            }
        }
        studio.set(name, merge, element, property, value);
        refresh();
    }

    private String name() {
        Element e = studio.board().find(element);
        return e == null ? "the canvas" : e.name();
    }

    /** Shows the value at the playhead. */
    void refresh() {
        if (!element.equals(Board.CANVAS) && studio.board().find(element) == null) {
            return;
        }
        T v = studio.valueAt(element, property);
        if (color != null) {
            color.show((Paint) v);
        } else if (choice != null) {
            choice.setValue((String) v);
        } else {
            double[] parts = property.type().parts(v);
            for (int i = 0; i < parts.length; i++) {
                numbers.get(i).show(tundra.core.geometry.Numbers.round(parts[i] * property.shown(), 4));
            }
        }
        Timeline t = studio.timelineOf(element, property);
        var track = t.track(element, property);
        boolean apart = property == Properties.POSITION && SplitPosition.is(t, element);
        boolean here = apart ? SplitPosition.keyed(t, element, studio.playhead()) : track != null && track.keyAt(studio.playhead()) != null;
        key.getStyleClass().removeAll("keyed", "here");
        if (track != null || apart) {
            key.getStyleClass().add("keyed");
        }
        if (here) {
            key.getStyleClass().add("here");
        }
    }
}
