package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.core.edit.Reactions;
import tundra.core.edit.TimeText;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** One reaction, written as a sentence whose words are chips; a chip opens the words that may stand in its place. */
final class Sentence extends HBox {
    private final Studio studio;
    private final Reaction reaction;

    Sentence(Studio studio, Reaction reaction, int number) {
        this.studio = studio;
        this.reaction = reaction;
        setId("sentence-" + number);
        setSpacing(10);
        getStyleClass().add("sentence");
        var n = new Label(String.valueOf(number));
        n.getStyleClass().addAll("mono", "quiet");
        var words = new VBox(6, when());
        for (int i = 0; i < reaction.actions().size(); i++) {
            words.getChildren().add(action(i));
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        var delete = new Button();
        delete.setGraphic(Icon.CLOSE.node(14));
        delete.getStyleClass().addAll("flat", "row-toggle");
        delete.setAccessibleText("Delete reaction " + number);
        Buttons.tip(delete, "Delete this reaction");
        delete.setOnAction(e -> studio.edit("Delete reaction", b -> Reactions.delete(b, reaction.id())));
        getChildren().addAll(n, words, delete);
        if (reaction.when().slots().first(Slot.Type.ELEMENT) instanceof String id && studio.selection().contains(id)) {
            getStyleClass().add("picked");
        }
    }

    private static Label word(String text) {
        var l = new Label(text);
        l.getStyleClass().add("quiet");
        return l;
    }

    /** A word that can be changed; one without a choice is a plain word. */
    private static Labeled chip(String text, String kind, List<MenuItem> choices) {
        if (choices.size() < 2) {
            var plain = new Label(text);
            plain.getStyleClass().add("only-word");
            return plain;
        }
        var b = new Button(text);
        b.getStyleClass().addAll("chip", "chip-" + kind);
        b.setOnAction(e -> {
            var menu = new ContextMenu();
            menu.getItems().setAll(choices);
            menu.show(b, Side.BOTTOM, 0, 2);
        });
        return b;
    }

    private static MenuItem choice(String text, Runnable run) {
        var m = new MenuItem(text);
        m.setMnemonicParsing(false);
        m.setOnAction(e -> run.run());
        return m;
    }

    private FlowPane line(javafx.scene.Node... nodes) {
        var f = new FlowPane(5, 5, nodes);
        f.setRowValignment(javafx.geometry.VPos.CENTER);
        f.setPrefWrapLength(360);
        return f;
    }

    private FlowPane when() {
        Event e = reaction.when();
        return line(sentence(e.kind(), e.slots(), "interaction", List.of(), slots -> studio.edit("Change when it happens",
                b -> b.mapReaction(reaction.id(), r -> r.withWhen(new Event(e.kind(), slots))))));
    }

    private FlowPane action(int i) {
        Action a = reaction.actions().get(i);
        FlowPane line = line(sentence(a.kind(), a.slots(), "verb", kinds(i, a), slots -> put(i, new Action(a.kind(), slots))));
        if (i + 1 < reaction.actions().size()) {
            line.getChildren().add(word("then"));
        } else {
            var more = new Button("+");
            more.getStyleClass().addAll("chip", "chip-more");
            more.setAccessibleText("Then do more");
            Buttons.tip(more, "Then do more");
            more.setOnAction(e -> studio.edit("Add action", b -> b.mapReaction(reaction.id(), r -> Reactions.more(b, r))));
            line.getChildren().add(more);
        }
        return line;
    }

    /** The words of a sentence and its slots as chips; the first words choose what kind it is, where there are several. */
    private Node[] sentence(SentenceKind kind, Slots slots, String look, List<MenuItem> kinds, Consumer<Slots> change) {
        var out = new ArrayList<Node>();
        for (SentenceKind.Part p : kind.parts()) {
            if (p.slot() != null) {
                var chip = slot(p.slot(), slots, change);
                chip.setId("chip-" + p.slot().key());
                out.add(chip);
            } else if (out.isEmpty() && !kinds.isEmpty()) {
                var verb = chip(p.words(), look, kinds);
                verb.setId("chip-" + look);
                out.add(verb);
            } else {
                out.add(word(p.words()));
            }
        }
        return out.toArray(Node[]::new);
    }

    private Labeled slot(Slot s, Slots slots, Consumer<Slots> change) {
        Object now = slots.get(s);
        return switch (s.type()) {
            case ELEMENT -> {
                Element e = studio.board().find((String) now);
                var choices = new ArrayList<MenuItem>();
                Tree.each(studio.board().elements(), x -> choices.add(choice(x.name(), () -> change.accept(slots.with(s, x.id())))));
                yield chip(e == null ? "?" : e.name(), "space", choices);
            }
            case TIMELINE -> {
                Timeline t = studio.board().timeline((String) now);
                yield chip(t == null ? "?" : t.name(), "time",
                        studio.board().timelines().stream().map(x -> choice(x.name(), () -> change.accept(slots.with(s, x.id())))).toList());
            }
            case TIME -> chip(TimeText.seconds((Long) now), "time", times(studio.board().timeline((String) slots.first(Slot.Type.TIMELINE)), at -> change.accept(slots.with(s, at))));
        };
    }

    private List<MenuItem> kinds(int i, Action a) {
        var out = new ArrayList<MenuItem>();
        for (ActionKind k : Actions.ALL) {
            out.add(choice(k.outline(), () -> put(i, Reactions.as(a, k, studio.timeline().id(), studio.playhead()))));
        }
        if (reaction.actions().size() > 1) {
            out.add(choice("take this action away", () -> studio.edit("Delete action",
                    b -> b.mapReaction(reaction.id(), r -> Reactions.without(r, i)))));
        }
        return out;
    }

    private List<MenuItem> times(Timeline t, Consumer<Long> change) {
        var out = new ArrayList<MenuItem>();
        long playhead = studio.playhead();
        out.add(choice("the playhead, " + TimeText.seconds(playhead), () -> change.accept(playhead)));
        for (long s = 0; t != null && s <= t.duration() && s <= 20_000_000; s += 1_000_000) {
            long at = s;
            out.add(choice(TimeText.seconds(at), () -> change.accept(at)));
        }
        return out;
    }

    private void put(int i, Action a) {
        studio.edit("Change reaction", b -> b.mapReaction(reaction.id(), r -> Reactions.with(r, i, a)));
    }
}
