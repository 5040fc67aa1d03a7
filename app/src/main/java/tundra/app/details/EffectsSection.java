package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Words;
import tundra.core.edit.Effects;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Property;

/** The ordered effects of an element: each a card with its numbers, which are keyed like any others. */
final class EffectsSection extends VBox {
    private final Studio studio;
    private final String id;
    private final PropertyRow.Needs needs;
    private final VBox cards = new VBox(6);
    private final List<PropertyRow<?>> rows = new ArrayList<>();
    private List<Effect> shown = List.of();
    /** Where the card that is dragged would go; -1 while none is. */
    private int target = -1;

    EffectsSection(Studio studio, Commands commands, String id, PropertyRow.Needs needs) {
        super(6);
        this.studio = studio;
        this.id = id;
        this.needs = needs;
        setId("effects");
        var add = new LightButton("+ Effect");
        add.setId("add-effect");
        add.getStyleClass().addAll("flat", "small");
        Buttons.menu(add, () -> {
            var items = new ArrayList<MenuItem>();
            for (EffectKind k : EffectKind.values()) {
                items.add(item(k.label, () -> commands.run(CommandIds.EFFECT + k)));
            }
            items.add(item("Paste effects", () -> commands.run(CommandIds.EFFECTS_PASTE)));
            return items;
        });
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var head = new HBox(Words.section("Effects"), gap, add);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, cards);
        refresh();
    }

    private static MenuItem item(String words, Runnable run) {
        var i = new MenuItem(words);
        i.setMnemonicParsing(false);
        i.setOnAction(e -> run.run());
        return i;
    }

    private Element element() {
        return studio.board().find(id);
    }

    void refresh() {
        Element e = element();
        if (e == null) {
            return;
        }
        if (!what(e.effects()).equals(what(shown))) {
            rows.clear();
            cards.getChildren().setAll(e.effects().stream().map(this::card).toList());
        }
        shown = e.effects();
        PropertyRow.refresh(rows, studio);
    }

    /** What decides which cards there are. */
    private static List<String> what(List<Effect> all) {
        return all.stream().map(x -> x.id() + x.on()).toList();
    }

    private Node card(Effect x) {
        String name = x.kind().label, low = name.toLowerCase(Locale.ROOT);
        var grip = new LightLabel("⠿", "quiet");
        grip.setAccessibleText("Drag to change the order");
        var title = new LightLabel(name, "strong");
        title.setMinWidth(0);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(title, Priority.ALWAYS);
        var on = new LightButton(x.on() ? "on" : "off");
        on.setId("effect-on-" + x.kind().key());
        on.getStyleClass().addAll("flat", "small");
        on.setAccessibleText((x.on() ? "Switch off " : "Switch on ") + low);
        on.setOnAction(() -> studio.edit((x.on() ? "Switch off " : "Switch on ") + low, b -> Effects.setOn(b, x.id(), !x.on())));
        var off = new LightButton("");
        off.setMark(Icon.CLOSE.node(13), LightLabel.Place.BEFORE);
        off.getStyleClass().addAll("flat", "small");
        off.setId("effect-delete-" + x.kind().key());
        off.setAccessibleText("Take away " + low);
        Buttons.tip(off, "Take it away");
        off.setOnAction(() -> studio.edit("Take away " + low, b -> Effects.delete(b, x.id())));
        var head = new HBox(6, grip, title, on, off);
        head.setAlignment(Pos.CENTER_LEFT);
        var card = new VBox(5, head);
        card.setId("effect-" + x.kind().key());
        card.getStyleClass().addAll("effect-card", x.on() ? "on" : "off");
        if (x.on()) {
            for (Property<?> p : x.kind().properties()) {
                var row = new PropertyRow<>(studio, List.of(x.id()), p, needs);
                rows.add(row);
                card.getChildren().add(row);
            }
        }
        head.setOnMouseDragged(e -> {
            target = at(head.localToScene(0, e.getY()).getY(), card);
            marks();
            e.consume();
        });
        head.setOnMouseReleased(e -> {
            int to = target;
            target = -1;
            marks();
            if (to >= 0 && to != cards.getChildren().indexOf(card)) {
                studio.edit("Change the order of effects", b -> Effects.move(b, x.id(), to));
            }
        });
        return card;
    }

    /** The place among the other cards of a height in the scene. */
    private int at(double y, Node dragged) {
        return (int) Stream.of(cards.getChildren().toArray(Node[]::new)).filter(n -> !Objects.equals(n, dragged))
                .filter(n -> n.localToScene(0, n.getBoundsInLocal().getHeight() / 2).getY() < y).count();
    }

    private void marks() {
        for (int i = 0; i < cards.getChildren().size(); i++) {
            cards.getChildren().get(i).pseudoClassStateChanged(PseudoClass.getPseudoClass("target"), i == target);
        }
    }
}
