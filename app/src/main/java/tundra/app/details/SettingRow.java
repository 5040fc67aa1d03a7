package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.color.PaintField;
import tundra.app.command.Commands;
import tundra.app.document.BlockFiles;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.WordsOf;
import tundra.core.edit.BlockSettings;
import tundra.core.edit.SettingWords;
import tundra.core.geometry.Numbers;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.MapData;
import tundra.core.model.Paint;
import tundra.core.model.PieceValue;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.NamedEasing;

/** One setting of one or several blocks: its name and the field for its type. */
final class SettingRow extends VBox {
    /** A word that can be chosen, and what it stands for. */
    private record Choice(Object value, String words) {}

    /** Of names and the like. */
    private static final int LINES = 4;
    private final Studio studio;
    private final List<String> ids;
    private final LabelledSlot setting;
    private final BlockFiles files;
    private final Commands commands;
    private Runnable show = () -> { };
    private boolean showing;
    private Object typing = new Object();

    SettingRow(Studio studio, Commands commands, BlockFiles files, List<String> ids, LabelledSlot setting) {
        super(4);
        this.studio = studio;
        this.commands = commands;
        this.ids = ids;
        this.setting = setting;
        this.files = files;
        Node field = field();
        field.setId("setting-" + setting.slot().key());
        HBox.setHgrow(field, Priority.ALWAYS);
        getChildren().add(switch (field) {
            case TextArea lines -> new VBox(3, new LightLabel(setting.label(), "property-name", "long"), lines);
            case CheckBox tick -> tick;
            default -> new NamedRow(setting.label(), field);
        });
        refresh();
    }

    void refresh() {
        if (block() != null) {
            showing = true;
            show.run();
            showing = false;
        }
    }

    private Content.Block block() {
        return ids.isEmpty() ? null : Blocks.of(studio.board().find(ids.getFirst()));
    }

    private Object now() {
        return block().get(setting.slot());
    }

    private boolean mixed() {
        return ids.stream().anyMatch(id -> Blocks.of(studio.board().find(id)) instanceof Content.Block b && !now().equals(b.get(setting.slot())));
    }

    private void put(Object value, Object merge) {
        if (showing || block() == null || value.equals(now()) && !mixed()) {
            return;
        }
        String of = ids.size() > 1 ? ids.size() + " blocks" : studio.board().find(ids.getFirst()).name();
        studio.edit("Change " + setting.label().toLowerCase(Locale.ROOT) + " of " + of, merge, b -> BlockSettings.with(b, ids, setting.slot(),
                value));
        refresh();
    }

    private Node field() {
        Slot slot = setting.slot();
        return switch (slot.type()) {
            case NUMBER -> number(setting.unit(), 4, 1);
            case DURATION, TIME -> number("s", 3, 1e6);
            case COLOR -> color();
            case CHOICE -> setting.yesNo() ? tick() : choice(slot.choices().stream().map(c -> new Choice(c, c)).toList());
            case FONT -> choice(studio.picture().fonts().families().stream().map(f -> new Choice(f, f)).toList());
            case EASING -> choice(NamedEasing.ALL.stream().map(n -> new Choice(n.easing().text(), n.feel())).toList());
            case VALUE, TIMELINE, ELEMENT -> named();
            case VIDEO, SOUND, PICTURE, FILE -> file();
            case MAP -> map();
            case TEXT -> slot == Blocks.CHOICES ? lines() : text("");
            default -> text(SettingWords.hint(slot));
        };
    }

    private Node number(String unit, int decimals, double per) {
        var f = new NumberField(setting.label(), unit, decimals);
        f.onChange((v, merge) -> {
            if (per == 1) {
                put(Numbers.clamp(v, setting.slot().min(), setting.slot().max()), merge);
            } else {
                put(Math.max(0, Math.round(v * per)), merge);
            }
        });
        show = () -> {
            if (mixed()) {
                f.showMixed();
            } else {
                f.show(Numbers.round(((Number) now()).doubleValue() / per, decimals));
            }
        };
        return f;
    }

    private Node color() {
        var f = new PaintField(studio, setting.label(), false).onChange((Paint c, Object merge) -> put(c.main().hex(), merge));
        show = () -> {
            f.show(Color.parse((String) now()));
            f.setMixed(mixed());
        };
        return f;
    }

    private ComboBox<Choice> choice(List<Choice> all) {
        var box = new LightComboBox<Choice>();
        box.getItems().setAll(all);
        box.setConverter(new WordsOf<>(Choice::words));
        box.setAccessibleText(setting.label());
        box.setPromptText("mixed");
        box.setMaxWidth(Double.MAX_VALUE);
        box.setMinWidth(0);
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                put(box.getValue().value(), null);
            }
        });
        show = () -> box.setValue(mixed() ? null : box.getItems().stream().filter(c -> c.value().equals(now())).findFirst().orElse(null));
        return box;
    }

    private Node tick() {
        var f = new CheckBox(setting.label());
        f.setMinWidth(0);
        f.setOnAction(e -> put(f.isSelected() ? "yes" : "no", null));
        show = () -> {
            f.setIndeterminate(mixed());
            f.setSelected(!mixed() && "yes".equals(now()));
        };
        return f;
    }

    /** Something of the piece, or nothing. */
    private Node named() {
        var box = choice(List.of());
        box.setPromptText("none");
        Runnable chosen = show;
        show = () -> {
            var all = new ArrayList<Choice>();
            all.add(new Choice("", "none"));
            switch (setting.slot().type()) {
                case VALUE -> studio.project().values().forEach((PieceValue v) -> all.add(new Choice(v.id(), v.name())));
                case TIMELINE -> studio.board().timelines().forEach((Timeline t) -> all.add(new Choice(t.id(), t.name())));
                default -> Tree.each(studio.board().elements(), (Element e) -> {
                    if (setting.slot().takes(e.content().word())) {
                        all.add(new Choice(e.id(), e.called()));
                    }
                });
            }
            if (!box.getItems().equals(all)) {
                box.getItems().setAll(all);
            }
            chosen.run();
        };
        return box;
    }

    private Node text(String hint) {
        var f = new TextField();
        f.setPromptText(hint);
        f.setAccessibleText(setting.label());
        f.setMinWidth(0);
        var wrong = new LightLabel("", "small", "problem-text");
        wrong.setManaged(false);
        wrong.setVisible(false);
        f.textProperty().addListener((o, was, is) -> {
            String why = SettingWords.problem(setting.slot(), is.strip());
            wrong.setText(why == null ? "" : why);
            wrong.setManaged(why != null && !showing);
            wrong.setVisible(wrong.isManaged());
            if (why == null) {
                put(setting.slot().type() == Slot.Type.TEXT ? is : is.strip(), typing);
            }
        });
        f.focusedProperty().addListener((o, was, is) -> {
            typing = new Object();
            if (!is) {
                refresh();
            }
        });
        show = () -> {
            if (!f.isFocused() && !f.getText().equals(now()) || SettingWords.problem(setting.slot(), f.getText().strip()) == null && !f.getText()
                    .strip().equals(((String) now()).strip())) {
                f.setText((String) now());
            }
        };
        getChildren().add(wrong);
        Platform.runLater(() -> {
            if (getChildren().indexOf(wrong) == 0) {
                wrong.toFront();
            }
        });
        return f;
    }

    private Node lines() {
        var f = new TextArea();
        f.setPrefRowCount(LINES);
        f.setAccessibleText(setting.label());
        f.textProperty().addListener((o, was, is) -> put(is, typing));
        f.focusedProperty().addListener((o, was, is) -> typing = new Object());
        show = () -> {
            if (!f.getText().equals(now())) {
                f.setText((String) now());
            }
        };
        return f;
    }

    /** One of the shelf, or another one from a file. */
    private Node file() {
        var f = new LightButton("");
        f.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        f.getStyleClass().add("small-press");
        f.setMaxWidth(Double.MAX_VALUE);
        Buttons.menu(f, () -> {
            var out = new ArrayList<MenuItem>();
            studio.project().assets().values().stream().filter(a -> BlockSettings.takes(setting, a))
                    .forEach((Asset a) -> out.add(item(a.title(), () -> put(a.hash(), null))));
            out.add(item(setting.slot() == Blocks.FOLDER ? "A folder…" : "From a file…", () -> files.choose(ids.getFirst(), setting)));
            if (!"".equals(now())) {
                out.add(item("None", () -> put("", null)));
            }
            return out;
        });
        show = () -> f.setText(mixed() ? "mixed" : studio.project().assets().get((String) now()) instanceof Asset a ? a.title() : "choose…");
        return f;
    }

    private static MenuItem item(String words, Runnable run) {
        var i = new MenuItem(words);
        i.setMnemonicParsing(false);
        i.setOnAction(e -> run.run());
        return i;
    }

    private Node map() {
        var f = new LightButton("");
        f.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        f.getStyleClass().add("small-press");
        f.setMaxWidth(Double.MAX_VALUE);
        Buttons.menu(f, () -> List.of("map-choose", "map-whole", "map-write").stream().map(commands::get).filter(c -> c.enabled().getAsBoolean())
                .map(c -> item(c.name().get(), () -> commands.run(c.id()))).toList());
        show = () -> {
            var m = (MapData) now();
            f.setText(m.features().isEmpty() ? "choose a file…" : m.features().size() + (m.features().size() == 1 ? " thing, " : " things, ")
                    + m.places().size() + (m.places().size() == 1 ? " place" : " places"));
        };
        return f;
    }
}
