package tundra.app.details;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.util.StringConverter;
import tundra.app.color.PaintField;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.timeline.TimelineCanvas;
import tundra.app.tool.Paints;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.core.edit.EditScope;
import tundra.core.edit.Pivots;
import tundra.core.edit.SharedValues;
import tundra.core.edit.SplitPosition;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.ValueType;

/**
 * One property of one or of several elements: its name, its numbers, and the button that keys it. Where several differ it says so; what is
 * set is set for all of them. Made from the property table.
 */
final class PropertyRow<T> extends NamedRow {
    /** What of the window a row needs besides the studio. */
    record Needs(ToolOptions options, Paints paints, Runnable onGradient) {}

    private static final int ON_A_LINE = 3;
    private final Studio studio;
    private final List<String> elements;
    private final Property<T> property;
    private final Needs needs;
    private final List<NumberField> numbers = new ArrayList<>();
    private final LightButton key = new LightButton("");
    private final Circle dot = new Circle(3);
    private LightButton link;
    private PaintField color;
    private ComboBox<T> choice;
    private boolean showing;
    private final OwnMark own;

    /** What is said of properties whose names don't say it all. */
    private static final Map<Property<?>, String> TIPS = Map.of(
            Properties.HEADING, "As what screen readers read it out, and by what visitors jump from part to part: a heading of the first, second or third level",
            Properties.TOUCH, "What of it a finger or the pointer meets on the page: what is painted, all of its box, or nothing, so that what lies behind is met",
            Properties.FRONT, "Which way the art looks as it is drawn: 0° to the right, 90° down. Facing its path, this side goes ahead",
            Properties.FACE_PATH, "Turns it with its motion path, the front ahead",
            Properties.PARALLAX, "How fast it goes along while the page is scrolled: 100 % as the page, 0 % stands still",
            Properties.REVEAL, "Which part of the stroke is drawn, from one share of its length to another",
            Properties.ISOLATE, "Whether what is in it blends only with each other, and not with what lies behind");

    /** It is empty until it is refreshed, with all the rows that are made along with it. */
    PropertyRow(Studio studio, List<String> elements, Property<T> property, Needs needs) {
        super(property.label());
        if (TIPS.get(property) instanceof String tip) {
            Buttons.tip((Region) getChildren().getFirst(), tip);
        }
        this.studio = studio;
        this.elements = elements;
        this.property = property;
        this.needs = needs;
        own = new OwnMark(studio, this, property.label().toLowerCase(Locale.ROOT));
        if (property.standard() instanceof Paint) {
            color = new PaintField(studio, property.label(), property.type() instanceof ValueType.PaintType)
                    .onChange((c, merge) -> set(old -> property.cast(c), merge)).onGradient(needs.onGradient());
            color.setId("field-" + property.key());
            setHgrow(color, Priority.ALWAYS);
            getChildren().add(color);
        } else if (property.type() instanceof ValueType.ChoiceType || property == Properties.FONT_WEIGHT) {
            choice = new LightComboBox<>();
            choice.getItems().setAll(options());
            choice.setConverter(new Word());
            choice.setId("field-" + property.key());
            choice.setAccessibleText(property.label());
            choice.setPromptText("mixed");
            choice.setMaxWidth(Double.MAX_VALUE);
            setHgrow(choice, Priority.ALWAYS);
            choice.setOnAction(e -> {
                if (!showing && choice.getValue() != null) {
                    set(old -> choice.getValue(), null);
                }
            });
            getChildren().add(choice);
        } else {
            for (int i = 0; i < property.parts().size(); i++) {
                numbers.add(number(i));
            }
            if (numbers.size() > ON_A_LINE) {
                getChildren().add(lines());
            } else {
                getChildren().addAll(numbers);
            }
            if (property == Properties.WRAP) {
                getChildren().add(free());
            }
            if (property == Properties.SCALE || property == Properties.SIZE) {
                getChildren().add(2, link());
            }
        }
        if (studio.desk() == Desk.ANIMATE && Properties.keyed(property)) {
            getChildren().add(keyButton());
        }
    }

    /** The numbers two by two, where one line would be too narrow. */
    private VBox lines() {
        var lines = new VBox(4);
        for (int i = 0; i < numbers.size(); i += 2) {
            lines.getChildren().add(new HBox(6, numbers.subList(i, Math.min(numbers.size(), i + 2)).toArray(new NumberField[0])));
        }
        setHgrow(lines, Priority.ALWAYS);
        return lines;
    }

    /** What can be chosen: the words of the property, or the weights that the font has. */
    private List<T> options() {
        if (property.type() instanceof ValueType.ChoiceType words) {
            return words.options().stream().map(property::cast).toList();
        }
        return studio.board().find(elements.getFirst()) instanceof Element e && e.content() instanceof Content.Text t
                ? studio.picture().fonts().weights(t.family()).stream().map(w -> property.cast((double) w)).toList() : List.of();
    }

    /** Whole numbers without a point. */
    private final class Word extends StringConverter<T> {
        @Override
        public String toString(T v) {
            return v == null ? "" : v instanceof Double d ? Numbers.plain(d, 0) : v.toString();
        }

        @Override
        public T fromString(String s) {
            return property.cast(property.standard() instanceof Double ? Double.valueOf(s) : s);
        }
    }

    /** Lets the lines be as long as they are written. */
    private LightButton free() {
        var free = new LightButton("Free");
        free.setId("free-wrap");
        free.getStyleClass().add("small-press");
        free.setMinWidth(USE_PREF_SIZE);
        Buttons.tip(free, "Lines as long as they are written");
        free.setOnAction(() -> set(old -> property.standard(), null));
        return free;
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
        // a key is wanted here also of the number that is seen already
        f.repeats(() -> studio.desk() == Desk.ANIMATE && studio.target().scope() == EditScope.KEY && Properties.keyed(property));
        f.onChange((v, merge) -> set(old -> property.type().of(typed(property.type().parts(old), part, v / property.shown())), merge));
        return f;
    }

    /** The numbers after one of them was set: the other one goes along where the two are linked, or where the area is kept. */
    private double[] typed(double[] parts, int part, double v) {
        double[] now = parts.clone();
        double old = now[part];
        now[part] = v;
        boolean sizes = property == Properties.SCALE || property == Properties.SIZE;
        if (sizes && studio.book().keepArea() && v != 0) {
            now[1 - part] *= old / v;
        } else if (sizes && needs.options().linked.contains(property)) {
            now[1 - part] = old == 0 ? v : now[1 - part] * v / old;
        }
        return now;
    }

    /** The sign that links the two numbers. */
    private LightButton link() {
        link = new LightButton("");
        link.setId("link-" + property.key());
        link.setMark(Icon.LINK.node(13), LightLabel.Place.BEFORE);
        link.getStyleClass().setAll("link-button");
        // the numbers need the room more than the gaps do
        setMargin(link, new Insets(0, -4, 0, -4));
        link.setAccessibleText("Keep the proportions of the " + property.label().toLowerCase(Locale.ROOT));
        Buttons.tip(link, "Linked, the two numbers keep their proportions");
        link.setSelected(needs.options().linked.contains(property));
        link.setOnAction(() -> {
            if (!needs.options().linked.remove(property)) {
                needs.options().linked.add(property);
            }
            link.setSelected(needs.options().linked.contains(property));
        });
        return link;
    }

    /** A ring that is filled when there is a key at the playhead, and coloured when there are keys at all. */
    private Region keyButton() {
        key.getStyleClass().add("key-button");
        key.setId("key-" + property.key());
        key.setMark(dot, LightLabel.Place.BEFORE);
        key.setAccessibleText("Key " + property.label() + " here");
        key.setMinWidth(USE_PREF_SIZE);
        Buttons.tip(key, "Set or take away a key of " + property.label().toLowerCase(Locale.ROOT) + " at the playhead");
        key.setOnAction(() -> elements.forEach(e -> TimelineCanvas.toggleKey(studio, e, property)));
        return key;
    }

    private void set(UnaryOperator<T> change, Object merge) {
        String name = "Change " + property.label().toLowerCase(Locale.ROOT) + " of " + name();
        studio.edit(name, merge, b -> {
            Board out = b;
            for (String id : elements) {
                out = set(out, id, property.clamped(change.apply(studio.target().shownValue(id, property))));
            }
            return out;
        });
        needs.paints().remember(property, studio.target().shownValue(elements.getFirst(), property));
        refresh(List.of(this), studio);
    }

    private Board set(Board b, String element, T value) {
        if (property == Properties.PIVOT) {
            return Pivots.set(b, element, (Point) value, studio.target().propertyEdit(element, property), studio.target()
                    .propertyEdit(element, Properties.POSITION), studio.picture().builder());
        }
        return studio.target().set(b, element, property, value);
    }

    private String name() {
        Element e = studio.board().holder(elements.getFirst());
        return elements.size() > 1 ? elements.size() + " elements" : e == null ? "the canvas" : e.name();
    }

    /** Rows show the values at the playhead; those of elements that are gone stay as they are until they are gone too. */
    static void refresh(List<PropertyRow<?>> rows, Studio studio) {
        Board now = studio.board();
        // many rows are of the same many elements
        var together = new IdentityHashMap<List<String>, List<PropertyRow<?>>>();
        rows.forEach(r -> together.computeIfAbsent(r.elements, k -> new ArrayList<>()).add(r));
        together.forEach((ids, of) -> {
            if (ids.stream().noneMatch(id -> now.owner(id) == null)) {
                var shared = SharedValues.of(of.stream().<Property<?>>map(PropertyRow::property).toList(), ids, studio.target().shownValues());
                of.forEach(r -> r.show(shared));
            }
        });
    }

    private void show(SharedValues values) {
        T v = values.first(property);
        boolean mixed = values.mixed(property);
        showing = true;
        if (color != null) {
            color.show((Paint) v);
            color.setMixed(mixed);
        } else if (choice != null) {
            if (!choice.getItems().equals(options())) {
                choice.getItems().setAll(options());
            }
            choice.setValue(mixed ? null : v);
        } else {
            showNumbers(v, values);
        }
        showing = false;
        showKey();
        own.show(elements, property);
    }

    private void showNumbers(T first, SharedValues values) {
        double[] parts = property.type().parts(first);
        for (int i = 0; i < parts.length; i++) {
            if (values.mixed(property, i)) {
                numbers.get(i).showMixed();
            } else {
                numbers.get(i).show(Numbers.round(parts[i] * property.shown(), 4));
            }
        }
    }

    private void showKey() {
        // what is keyed nowhere needs not be looked for at each of them
        boolean any = false, all = studio.board().timelines().stream().anyMatch(t -> t.tracks().values().stream()
                .anyMatch(of -> of.containsKey(property) || property == Properties.POSITION && !of.isEmpty()));
        for (String element : all ? elements : List.<String>of()) {
            Timeline t = studio.time().moving(element, property);
            var track = t.track(element, property);
            boolean apart = property == Properties.POSITION && SplitPosition.is(t, element);
            any |= track != null || apart;
            all &= apart ? SplitPosition.keyed(t, element, studio.time().playhead()) : track != null && track.keyAt(studio.time().playhead()) != null;
            if (any && !all) {
                break;
            }
        }
        key.getStyleClass().removeAll("keyed", "here");
        if (any) {
            key.getStyleClass().add("keyed");
        }
        if (all) {
            key.getStyleClass().add("here");
        }
    }
}
