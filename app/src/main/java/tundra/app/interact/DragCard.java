package tundra.app.interact;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.Words;
import tundra.core.edit.Arithmetic;
import tundra.core.edit.Draggings;
import tundra.core.edit.Sentences;
import tundra.core.edit.SettingText;
import tundra.core.geometry.Numbers;
import tundra.core.model.Action;
import tundra.core.model.Board;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Reaction;
import tundra.core.model.Setting;
import tundra.core.model.Tree;
import tundra.core.motion.NamedEasing;

/** What visitors can drag, as a table: each part, where it fits, what becomes of it when it is missed and when it lands. */
final class DragCard extends VBox {
    private final Studio studio;
    private final Dragging drag;
    private final Consumer<Reaction> show;

    /** @param show leads to the sentence of a reaction */
    DragCard(Studio studio, Dragging drag, int number, Consumer<Reaction> show) {
        super(8);
        this.show = show;
        this.studio = studio;
        this.drag = drag;
        setId("drag-" + number);
        getStyleClass().addAll("sentence", "drag-card");
        getChildren().addAll(head(number), table(), look());
        if (drag.pairs().stream().anyMatch(p -> studio.selection().contains(p.part()) || p.places().stream()
                .anyMatch(studio.selection()::contains))) {
            getStyleClass().add("picked");
        }
        setFocusTraversable(true);
        setAccessibleText("Match pairs " + number);
        setOnKeyPressed(e -> {
            if (e.getTarget() == this && e.getCode() == KeyCode.DELETE) {
                delete();
                e.consume();
            }
        });
    }

    private void change(String name, UnaryOperator<Dragging> by) {
        studio.edit(name, b -> Draggings.map(b, drag.id(), by));
    }

    private void delete() {
        studio.edit("Delete match pairs", b -> Draggings.map(b, drag.id(), d -> null));
    }

    private HBox head(int number) {
        var title = new Label(drag.matches() ? "Match pairs" : "Can be dragged");
        title.getStyleClass().add("strong");
        title.setMinWidth(USE_PREF_SIZE);
        var what = Chips.word(drag.matches() ? "drag a part to its place" : "give parts a place, or leave them free");
        what.setWrapText(true);
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var byName = Chips.chip("Pair by name", "drag-by-name-" + number, "chip-more",
                n -> change("Pair by name", d -> Draggings.pairByName(studio.board(), d)));
        Buttons.tip(byName, "Finds places that are called like their parts with a word more, such as “Vane” and “Vane slot”");
        var delete = new Button();
        delete.setGraphic(Icon.CLOSE.node(14));
        delete.setId("drag-delete-" + number);
        delete.getStyleClass().addAll("flat", "row-toggle");
        delete.setAccessibleText("Delete match pairs " + number);
        Buttons.tip(delete, "Parts can't be dragged any more");
        delete.setOnAction(e -> delete());
        var head = new HBox(8, title, what, gap, byName, delete);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private String name(String id) {
        Element e = studio.board().find(id);
        return e == null ? "?" : e.name();
    }

    private GridPane table() {
        var grid = new GridPane(12, 6);
        int column = 0;
        for (String title : List.of("Part", "fits", "if missed", "when it lands")) {
            var l = Chips.word(title);
            l.getStyleClass().add("small");
            grid.add(l, column++, 0);
        }
        for (int i = 0; i < drag.pairs().size(); i++) {
            Dragging.Pair p = drag.pairs().get(i);
            int row = i + 1;
            grid.add(Chips.chip(name(p.part()), "pair-part-" + row, "chip-space", n -> Picker.choose(n, part(p))), 0, row);
            String fits = p.places().isEmpty() ? "anywhere" : p.places().size() > 2 ? p.places().size() + " places"
                    : String.join(", ", p.places().stream().map(this::name).toList());
            grid.add(Chips.chip(fits, "pair-fits-" + row, p.places().isEmpty() ? "chip-more" : "chip-space", n -> Picker.choose(n, places(p))), 1,
                    row);
            String missed = p.places().isEmpty() ? "stays" : drag.fit().missed().words;
            grid.add(Chips.chip(missed, "pair-missed-" + row, "chip-more", n -> change("Change what becomes of a missed part",
                    d -> d.withFit(x -> x.withMissed(x.missed() == Dragging.Missed.HOME ? Dragging.Missed.STAYS : Dragging.Missed.HOME)))), 2, row);
            Reaction landing = Draggings.landing(studio.board(), p.part());
            String lands = landing == null || landing.actions().isEmpty() ? "+" : words(landing.actions().getFirst());
            grid.add(Chips.chip(lands, "pair-lands-" + row, landing == null ? "chip-more" : "chip-time", n -> landed(p.part())), 3, row);
        }
        grid.add(Chips.chip("+ part", "pair-add", "chip-more", n -> Picker.choose(n, more())), 0, drag.pairs().size() + 1);
        grid.getChildren().forEach(n -> ((Region) n).setMinWidth(n.getId() != null && n.getId().startsWith("pair-lands") ? 30 : USE_PREF_SIZE));
        return grid;
    }

    /** Leads to what happens when a part lands, which is made first where nothing does. */
    private void landed(String part) {
        if (Draggings.landing(studio.board(), part) == null) {
            studio.edit("Add what happens when it lands", b -> Draggings.addLanding(b, part));
        }
        show.accept(Draggings.landing(studio.board(), part));
    }

    private String words(Action a) {
        return new Sentences(studio.project(), studio.board()).of(a.kind(), a.slots());
    }

    private List<Picker.Choice> part(Dragging.Pair p) {
        return List.of(new Picker.Choice("Select it", () -> studio.select(List.of(p.part()))),
                new Picker.Choice("Take it off the table", () -> change("Take a part off the table",
                d -> d.withPairs(d.pairs().stream().filter(x -> !x.equals(p)).toList()))));
    }

    private List<Picker.Choice> places(Dragging.Pair p) {
        var out = new ArrayList<Picker.Choice>();
        out.add(new Picker.Choice("Point at them on the canvas…",
                () -> Pointing.several(studio, ids -> change("Give it a place", d -> Draggings.pair(d, p.part(), List.copyOf(ids))))));
        if (!p.places().isEmpty()) {
            out.add(new Picker.Choice("anywhere", () -> change("Let it go anywhere", d -> with(d, p, List.of()))));
        }
        Tree.each(studio.board().elements(), e -> {
            if (!e.id().equals(p.part())) {
                boolean in = p.places().contains(e.id());
                out.add(new Picker.Choice((in ? "✓ " : "") + e.name(), in ? "take away" : e.content().word(),
                        () -> change(in ? "Take a place away" : "Give it a place", d -> {
                    var next = new ArrayList<>(p.places());
                    if (!next.remove(e.id())) {
                        next.add(e.id());
                    }
                    return with(d, p, next);
                })));
            }
        });
        return out;
    }

    private static Dragging with(Dragging d, Dragging.Pair p, List<String> places) {
        return d.withPairs(d.pairs().stream().map(x -> x.part().equals(p.part()) ? new Dragging.Pair(x.part(), places) : x).toList());
    }

    private List<Picker.Choice> more() {
        var out = new ArrayList<Picker.Choice>();
        out.add(new Picker.Choice("Point at parts and places in turn…", () -> Pointing.pairs(studio, (part, place) ->
                change("Pair " + name(part) + " with " + name(place), d -> Draggings.pair(d, part, List.of(place))))));
        Board b = studio.board();
        Tree.each(b.elements(), e -> {
            if (Draggings.of(b, e.id()) == null) {
                out.add(new Picker.Choice(e.name(), e.content().word(), () -> change("Add a part", d -> Draggings.pair(d, e.id(), List.of()))));
            }
        });
        return out;
    }

    private Button number(String words, String id, String now, String hint, double min, double max, BiFunction<Dragging, Double, Dragging> put) {
        return Chips.chip(words, id, "chip-more", n -> Picker.read(n, now, hint, t -> Arithmetic.within(t, min, max),
                v -> change("Change how it is dragged", d -> put.apply(d, v))));
    }

    /** Opens all of some words to choose from. */
    private <E> Button choice(String words, String id, List<E> all, Function<E, String> text, BiFunction<Dragging, E, Dragging> put) {
        return Chips.chip(words, id, "chip-more",
                n -> Picker.choose(n, all.stream()
                .map(x -> new Picker.Choice(text.apply(x), () -> change("Change how it is dragged", d -> put.apply(d, x)))).toList()));
    }

    /** Turns one of two words into the other. */
    private Button either(String words, String id, UnaryOperator<Dragging> other) {
        return Chips.chip(words, id, "chip-more", n -> change("Change how it is dragged", other));
    }

    private VBox look() {
        Dragging.Carried c = drag.carried();
        Dragging.Motion m = drag.motion();
        Dragging.Fit fit = drag.fit();
        FlowPane moves = Chips.line(List.of(Chips.word("moves"), choice(m.way().words, "drag-way", ways(), w -> w.words, (d, w) ->
                d.withMotion(x -> x.withWay(w))),
                Chips.chip(m.area() == null ? "everywhere" : "within " + name(m.area()), "drag-area", "chip-more", n -> Picker.choose(n, areas())),
                either(m.glides() ? "glides on when let go" : "stops when let go", "drag-glides",
                d -> d.withMotion(x -> x.withGlides(!x.glides())))));
        FlowPane carried = Chips.line(List.of(Chips.word("while carried"), number("opacity " + Numbers.plain(c.opacity() * 100, 0) + " %",
                "drag-opacity", Numbers.plain(c.opacity() * 100, 0), "In %.", 0, 100, (d, v) -> d.withCarried(x -> x.withOpacity(v / 100))),
                number("tilt " + Numbers.plain(c.tilt(), 1) + "°", "drag-tilt", Numbers.plain(c.tilt(), 1), "In degrees.", -180, 180, (d, v) ->
                d.withCarried(x -> x.withTilt(v))),
                choice(c.cursor().words, "drag-cursor", List.of(Dragging.Cursor.values()), x -> x.words, (d, x) ->
                d.withCarried(y -> y.withCursor(x)))));
        for (Setting s : c.look()) {
            carried.getChildren().add(Chips.chip(Sentences.setting(s), "drag-look-" + s.property().key(), "chip-more", n -> Picker.choose(n, List.of(
                    new Picker.Choice("another value…", SettingText.of(s), () -> SettingPicker.value(n, s.property(), SettingText.of(s),
                    this::wears)),
                    new Picker.Choice("as at rest", () -> change("Change how it looks while carried",
                    d -> d.withCarried(x -> x.without(s.property()))))))));
        }
        var more = Chips.chip("+", "drag-look", "chip-more",
                n -> Picker.choose(n, SettingPicker.of(n, studio.board().find(drag.pairs().getFirst().part()), this::wears)));
        more.setAccessibleText("Another property while carried");
        Buttons.tip(more, "Another property while carried");
        carried.getChildren().add(more);
        var out = new VBox(6, moves, carried);
        if (drag.matches()) {
            FlowPane fits = Chips.line(List.of(Chips.word("it fits by"), Chips.chip(fit.overlap() == Dragging.Overlap.AREA
                    ? Numbers.plain(fit.share() * 100, 0) + " % of its area" : fit.overlap().words, "drag-overlap", "chip-more",
                    n -> Picker.choose(n, overlaps())),
                    either(fit.snaps() ? "to the middle" : "where it is let go", "drag-snaps", d -> d.withFit(x -> x.withSnaps(!x.snaps()))),
                    either(fit.many() ? "many to a place" : "one to a place", "drag-many", d -> d.withFit(x -> x.withMany(!x.many())))));
            if (fit.missed() == Dragging.Missed.HOME) {
                fits.getChildren().addAll(Chips.word("and goes home in"), number(Numbers.plain(fit.back() / 1e6, 2) + " s", "drag-back",
                        Numbers.plain(fit.back() / 1e6, 2), "In seconds.", 0, 60,
                        (d, v) -> d.withFit(x -> x.withBack(Math.round(v * 1e6)))),
                        choice(NamedEasing.ALL.stream().filter(n -> n.easing().equals(fit.easing())).map(NamedEasing::feel).findFirst()
                        .orElse("slower at its end"), "drag-easing", NamedEasing.ALL, NamedEasing::feel, (d, n) ->
                        d.withFit(x -> x.withEasing(n.easing()))));
            }
            out.getChildren().add(fits);
        }
        out.getChildren().add(Words.of("Works with mouse, pen, touch and keyboard.", "quiet", "small"));
        return out;
    }

    private void wears(Setting s) {
        change("Change how it looks while carried", d -> d.withCarried(x -> x.with(s)));
    }

    /** Along a motion path only where a part has one. */
    private List<Dragging.Way> ways() {
        boolean path = drag.pairs().stream().anyMatch(p -> Draggings.pathOf(studio.board(), p.part()) != null);
        return Arrays.stream(Dragging.Way.values()).filter(w -> path || w != Dragging.Way.PATH).toList();
    }

    private List<Picker.Choice> overlaps() {
        var out = new ArrayList<Picker.Choice>();
        out.add(new Picker.Choice(Dragging.Overlap.CENTRE.words, () -> counts(Dragging.Overlap.CENTRE, 0.5)));
        out.add(new Picker.Choice(Dragging.Overlap.POINTER.words, () -> counts(Dragging.Overlap.POINTER, 0.5)));
        for (int share : new int[] {25, 50, 75, 90}) {
            out.add(new Picker.Choice(share + " % of its area", () -> counts(Dragging.Overlap.AREA, share / 100.0)));
        }
        return out;
    }

    private void counts(Dragging.Overlap by, double share) {
        change("Change what counts", d -> d.withFit(x -> x.withOverlap(by, share)));
    }

    private List<Picker.Choice> areas() {
        var out = new ArrayList<Picker.Choice>();
        out.add(new Picker.Choice("everywhere", () -> within(null)));
        Tree.each(studio.board().elements(), e -> out.add(new Picker.Choice("within " + e.name(), e.content().word(), () -> within(e.id()))));
        return out;
    }

    private void within(String area) {
        change("Change where it may go", d -> d.withMotion(x -> x.withArea(area)));
    }
}
