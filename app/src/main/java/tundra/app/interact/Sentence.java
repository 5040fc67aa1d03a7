package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Side;
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
import tundra.core.model.Element;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Trigger;

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
        if (reaction.when() instanceof Trigger.Tapped t && studio.selection().contains(t.element())) {
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
        return switch (reaction.when()) {
            case Trigger.Tapped t -> {
                Element e = studio.board().find(t.element());
                var choices = new ArrayList<MenuItem>();
                Tree.each(studio.board().elements(), x -> choices.add(choice(x.name(), () -> studio.edit("Change who is tapped",
                        b -> b.mapReaction(reaction.id(), r -> r.withWhen(new Trigger.Tapped(x.id())))))));
                var who = chip(e == null ? "?" : e.name(), "space", choices);
                who.setId("chip-who");
                yield line(word("When"), who, word("is"), chip("tapped", "interaction", List.of(choice("tapped", () -> { }))));
            }
        };
    }

    private FlowPane action(int i) {
        return switch (reaction.actions().get(i)) {
            case Action.Move m -> {
                Timeline t = studio.board().timeline(m.timeline());
                var verb = chip(verbWords(m.verb()), "verb", verbs(i, m));
                verb.setId("chip-verb");
                var which = chip(t == null ? "?" : t.name(), "time", timelines(i, m));
                which.setId("chip-timeline");
                var line = line(verb, which);
                if (m.verb() == Action.Verb.PLAY_FROM_START) {
                    line.getChildren().addAll(word("from start"));
                } else if (m.verb() == Action.Verb.GO_TO) {
                    line.getChildren().addAll(word("at"), chip(TimeText.seconds(m.time()), "time", times(i, m)));
                }
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
                yield line;
            }
        };
    }

    private static String verbWords(Action.Verb v) {
        return switch (v) {
            case PLAY_FROM_START -> "play";
            case PLAY -> "go on with";
            default -> v.words;
        };
    }

    private List<MenuItem> verbs(int i, Action.Move m) {
        var out = new ArrayList<MenuItem>();
        for (Action.Verb v : Action.Verb.values()) {
            String words = v == Action.Verb.PLAY_FROM_START ? "play … from start" : v == Action.Verb.GO_TO ? "go to … at a time" : verbWords(v);
            out.add(choice(words, () -> put(i, new Action.Move(v, m.timeline(), v == Action.Verb.GO_TO ? studio.playhead() : 0))));
        }
        if (reaction.actions().size() > 1) {
            out.add(choice("take this action away", () -> studio.edit("Delete action",
                    b -> b.mapReaction(reaction.id(), r -> Reactions.without(r, i)))));
        }
        return out;
    }

    private List<MenuItem> timelines(int i, Action.Move m) {
        return studio.board().timelines().stream()
                .map(t -> choice(t.name(), () -> put(i, new Action.Move(m.verb(), t.id(), m.time())))).toList();
    }

    private List<MenuItem> times(int i, Action.Move m) {
        var out = new ArrayList<MenuItem>();
        out.add(choice("the playhead, " + TimeText.seconds(studio.playhead()),
                () -> put(i, new Action.Move(m.verb(), m.timeline(), studio.playhead()))));
        Timeline t = studio.board().timeline(m.timeline());
        for (long s = 0; t != null && s <= t.duration() && s <= 20_000_000; s += 1_000_000) {
            long at = s;
            out.add(choice(TimeText.seconds(at), () -> put(i, new Action.Move(m.verb(), m.timeline(), at))));
        }
        return out;
    }

    private void put(int i, Action a) {
        studio.edit("Change reaction", b -> b.mapReaction(reaction.id(), r -> Reactions.with(r, i, a)));
    }
}
