package tundra.app.interact;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.language.Language;
import tundra.app.studio.Studio;
import tundra.app.view.DropFormats;
import tundra.app.widget.Buttons;
import tundra.app.widget.Menus;
import tundra.core.edit.CopiedSentence;
import tundra.core.edit.Reach;
import tundra.core.edit.Reactions;
import tundra.core.edit.SlotDefaults;
import tundra.core.edit.SentenceWords;
import tundra.core.model.Action;
import tundra.core.model.Condition;
import tundra.core.model.Conditions;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.Slots;

/** One reaction, written as a sentence whose words are chips; a chip opens the words that may stand in its place. */
final class Sentence extends HBox {
    /** What a sentence may begin with whatever it is about. */
    private final Pattern lead = Pattern.compile("(" + Language.of("When") + "|" + Language.of("While") + ")( |$)");
    private final ReactionSite site;
    private final Studio studio;
    private final Reaction reaction;
    private final int number;

    Sentence(ReactionSite site, Reaction reaction, int number) {
        this.site = site;
        studio = site.studio();
        this.reaction = reaction;
        this.number = number;
        setId(site.prefix() + "sentence-" + number);
        setSpacing(10);
        getStyleClass().add("sentence");
        var n = new Label(String.valueOf(number));
        n.getStyleClass().addAll("mono", "quiet", "sentence-number");
        n.setMinWidth(USE_PREF_SIZE);
        var words = new VBox(6, when());
        if (!reaction.conditions().isEmpty()) {
            for (int i = 0; i < reaction.conditions().size(); i++) {
                words.getChildren().add(condition(i));
            }
        }
        actions(words, "", reaction.actions(), (r, a) -> r.withActions(a));
        if (!reaction.otherwise().isEmpty()) {
            actions(words, "otherwise", reaction.otherwise(), (r, a) -> r.withOtherwise(a));
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        var more = new Button("⋯");
        more.setId(site.prefix() + "sentence-menu-" + number);
        more.getStyleClass().addAll("flat", "row-toggle");
        more.setAccessibleText("More for reaction " + number);
        Buttons.tip(more, "Add a condition, switch off, duplicate, group, move, delete");
        more.setOnAction(e -> menu().show(more, Side.BOTTOM, 0, 2));
        getChildren().addAll(n, words, more);
        Menus.on(this, this::menu);
        if (reaction.slots().stream().anyMatch(s -> studio.selection().stream().anyMatch(s::names))) {
            getStyleClass().add("picked");
        }
        if (reaction.off()) {
            getStyleClass().add("off");
        }
        setFocusTraversable(true);
        setAccessibleText("Reaction " + number);
        setOnKeyPressed(e -> {
            if (e.getTarget() != this) {
                return;
            }
            if (e.getCode() == KeyCode.DELETE) {
                delete();
            } else if (e.isAltDown() && (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN)) {
                move(number - 1 + (e.getCode() == KeyCode.UP ? -1 : 1));
            } else {
                return;
            }
            e.consume();
        });
        dragged(n);
    }

    /** By its number it is dragged to another place. */
    private void dragged(Label handle) {
        handle.setOnDragDetected(e -> {
            var content = new ClipboardContent();
            content.put(DropFormats.REACTION, reaction.id());
            handle.startDragAndDrop(TransferMode.MOVE).setContent(content);
            e.consume();
        });
        setOnDragOver(e -> {
            if (e.getDragboard().hasContent(DropFormats.REACTION)) {
                e.acceptTransferModes(TransferMode.MOVE);
                e.consume();
            }
        });
        setOnDragDropped(e -> {
            String id = (String) e.getDragboard().getContent(DropFormats.REACTION);
            site.edit("Move reaction", all -> Reactions.move(all, id, number - 1));
            e.setDropCompleted(true);
            e.consume();
        });
    }

    private void change(String name, UnaryOperator<Reaction> by) {
        site.edit(name, all -> Reactions.changed(all, reaction.id(), by));
    }

    private void move(int to) {
        site.edit("Move reaction", all -> Reactions.move(all, reaction.id(), to));
    }

    private void delete() {
        site.edit("Delete reaction", all -> Reactions.delete(all, reaction.id()));
    }

    static MenuItem item(String text, String id, Runnable run) {
        var m = new MenuItem(text);
        m.setId(id);
        m.setMnemonicParsing(false);
        m.setOnAction(e -> run.run());
        return m;
    }

    private ContextMenu menu() {
        var m = new ContextMenu();
        m.setId("sentence-more");
        m.getItems().addAll(item("Add a condition", "add-condition", this::addCondition),
                item("Add what happens otherwise", "add-otherwise", () -> Picker.choose(this, kinds(Reactions.next(site.board()), false,
                        x -> change("Add otherwise", r -> r.withOtherwise(Reactions.plus(r.otherwise(), x)))))));
        m.getItems().getLast().setDisable(reaction.conditions().isEmpty());
        if (reaction.conditions().size() > 1) {
            m.getItems().add(item(reaction.any() ? "All conditions must hold" : "One condition is enough", "any",
                    () -> change("Change conditions", r -> r.withAny(!r.any()))));
        }
        m.getItems().addAll(new SeparatorMenuItem(), item(reaction.off() ? "Switch on" : "Switch off", "switch",
                () -> change(reaction.off() ? "Switch reaction on" : "Switch reaction off", r -> r.withOff(!r.off()))),
                item("Duplicate", "duplicate-reaction", () -> site.edit("Duplicate reaction", all -> Reactions.duplicate(all, reaction.id()))));
        List<String> others = studio.selection().stream().filter(id -> !id.equals(reaction.when().slots().first(Slot.Type.ELEMENT))).toList();
        if (!others.isEmpty() && reaction.when().slots().first(Slot.Type.ELEMENT) != null) {
            m.getItems().add(item(others.size() == 1 ? "The same for what is selected" : "The same for each of these " + others.size(), "copy-to",
                    () -> site.edit("Copy reaction", all -> Reactions.copyTo(all, reaction.id(), others))));
        }
        if (site.reach() != Reach.PIECE && studio.project().scenes().size() > 1) {
            m.getItems().add(scenes());
        }
        m.getItems().add(groups());
        if (site.moves(reaction)) {
            m.getItems().add(item(site.reach() == Reach.PIECE ? "React here only" : "React in the whole piece", "other-reach",
                    () -> site.moveToOther(reaction)));
        }
        m.getItems().addAll(item("Move up", "move-up", () -> move(number - 2)), item("Move down", "move-down", () -> move(number)),
                new SeparatorMenuItem(), item("Delete", "delete-reaction", this::delete));
        return m;
    }

    /** The other scenes that have what the sentence is about. */
    private Menu scenes() {
        var m = new Menu("Copy to");
        m.setId("copy-to-scene");
        for (Scene s : studio.project().scenes()) {
            if (s.id().equals(studio.place().id())) {
                continue;
            }
            CopiedSentence copy = CopiedSentence.of(reaction, studio.board(), s.board());
            MenuItem one = item(copy.reaction() != null ? s.name() : s.name() + ", which has no " + String.join(", ", copy.missing()), "copy-to-"
                    + s.name(),
                    () -> studio.editProject("Copy reaction to " + s.name(), null, p -> p.mapBoard(s.id(), b -> Reactions.with(b, copy.reaction()))));
            one.setDisable(copy.reaction() == null);
            m.getItems().add(one);
        }
        return m;
    }

    private Menu groups() {
        var m = new Menu("Group");
        m.setId("group");
        for (String g : Reactions.groups(site.all())) {
            if (!g.equals(reaction.group())) {
                m.getItems().add(item("Into “" + g + "”", "into-group", () -> site.edit("Put into group", all -> Reactions.group(all, reaction.id(),
                        g))));
            }
        }
        m.getItems().add(item("New group…", "new-group", () -> Picker.type(this, "", "What the group is called, such as Menu or Sounds.",
                t -> t.isBlank() ? "It needs a name." : null,
                t -> site.edit("New group " + t.strip(), all -> Reactions.group(all, reaction.id(), t.strip())))));
        if (!reaction.group().isEmpty()) {
            m.getItems().add(item("Out of its group", "out-of-group", () -> site.edit("Take out of group", all -> Reactions.group(all, reaction.id(),
                    ""))));
        }
        return m;
    }

    private SlotDefaults near() {
        return site.near(reaction);
    }

    /** What a kind of sentence would say here. */
    private Picker.Choice choice(SentenceKind k, Slots slots, Runnable run) {
        return new Picker.Choice(site.sentences().phrases(k, slots, Language::of), SentenceWords.wants(k), SentenceWords.of(k), run);
    }

    /** The words of a sentence and its slots as chips; the first words behind a leading When choose what kind it is. */
    private List<Node> sentence(SentenceKind kind, Slots slots, String id, String look, Consumer<Node> kinds, Consumer<Slots> change) {
        var out = new ArrayList<Node>();
        boolean named = false;
        for (SentenceKind.Part p : kind.parts(Language.of(site.reach().words(kind.sentence())))) {
            if (p.slot() != null) {
                out.add(SlotChip.of(site, p.slot(), slots, change));
                continue;
            }
            String words = p.words();
            Matcher first = lead.matcher(words);
            if (first.lookingAt()) {
                out.add(Chips.word(first.group(1)));
                words = words.substring(first.end());
            }
            if (!words.isEmpty()) {
                out.add(named ? Chips.word(words) : Chips.chip(words, id, look, kinds));
                named = true;
            }
        }
        return out;
    }

    private FlowPane when() {
        Event e = reaction.when();
        Consumer<Node> kinds = at -> {
            var out = new ArrayList<Picker.Choice>();
            for (var k : Events.ALL) {
                Event as = Reactions.as(e, k, near());
                if (as != null && site.reach().takes(k)) {
                    out.add(choice(k, as.slots(), () -> change("Change when it happens", r -> r.withWhen(as))));
                }
            }
            Picker.choose(at, out);
        };
        return Chips.line(sentence(e.kind(), e.slots(), "chip-event", "chip-interaction", kinds, slots -> change("Change when it happens",
                r -> r.withWhen(new Event(e.kind(), slots)))));
    }

    private FlowPane condition(int i) {
        Condition c = reaction.conditions().get(i);
        Consumer<Node> kinds = at ->
                Picker.choose(at, conditions(c, x -> change("Change condition", r -> r.withConditions(Reactions.mapped(r.conditions(), i, y -> x))),
                true,
                () -> change("Delete condition", r -> r.withConditions(Reactions.mapped(r.conditions(), i, y -> null)))));
        List<Node> words = new ArrayList<>();
        words.add(Chips.word(i == 0 ? "and if" : reaction.any() ? "or" : "and"));
        words.addAll(sentence(c.kind(), c.slots(), "chip-condition", "chip-interaction", kinds,
                slots -> change("Change condition",
                r -> r.withConditions(Reactions.mapped(r.conditions(), i, y -> new Condition(c.kind(), slots))))));
        return Chips.line(words);
    }

    private List<Picker.Choice> conditions(Condition now, Consumer<Condition> take, boolean deletes, Runnable delete) {
        var out = new ArrayList<Picker.Choice>();
        for (var k : Conditions.ALL) {
            Condition as = Reactions.as(now, k, near());
            if (as != null) {
                out.add(choice(k, as.slots(), () -> take.accept(as)));
            }
        }
        if (deletes) {
            out.add(new Picker.Choice("take this condition away", delete));
        }
        return out;
    }

    private void addCondition() {
        Picker.choose(this, conditions(null, c -> change("Add condition", r -> r.withConditions(Reactions.plus(r.conditions(), c))), false, null));
    }

    private void actions(VBox words, String before, List<Action> all, BiFunction<Reaction, List<Action>, Reaction> put) {
        for (int i = 0; i < all.size(); i++) {
            int at = i;
            Action a = all.get(i);
            List<Node> line = new ArrayList<>();
            if (i == 0 && !before.isEmpty()) {
                line.add(Chips.word(before));
            }
            Consumer<Node> kinds = node -> Picker.choose(node, kinds(a, all.size() > 1 || reaction.actions().size() + reaction.otherwise()
                    .size() > 1, x -> change("Change reaction", r -> put.apply(r, Reactions.mapped(all, at, y -> x)))));
            line.addAll(sentence(a.kind(), a.slots(), "chip-verb", "chip-verb", kinds, slots ->
                    change("Change reaction", r -> put.apply(r, Reactions.mapped(all, at, y -> new Action(a.kind(), slots))))));
            if (i + 1 < all.size()) {
                line.add(Chips.word("then"));
            } else {
                var more = Chips.chip("+", before.isEmpty() ? "chip-then" : "chip-then-otherwise", "chip-more",
                        n -> Picker.choose(n, kinds(Reactions.next(site.board()), false,
                        x -> change("Add action", r -> put.apply(r, Reactions.plus(all, x))))));
                more.setAccessibleText("Then do more");
                Buttons.tip(more, "Then do more");
                line.add(more);
            }
            words.getChildren().add(Chips.line(line));
        }
    }

    private List<Picker.Choice> kinds(Action a, boolean deletes, Consumer<Action> take) {
        var out = new ArrayList<Picker.Choice>();
        for (var k : Reactions.ordered(studio.project())) {
            Action as = Reactions.as(a, k, near());
            if (as != null) {
                out.add(choice(k, as.slots(), () -> take.accept(as)));
            }
        }
        if (deletes) {
            out.add(new Picker.Choice("take this action away", () -> take.accept(null)));
        }
        return out;
    }
}
