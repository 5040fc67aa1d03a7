package tundra.app.builtin;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.edit.BrokenApart;
import tundra.core.edit.ButtonMotif;
import tundra.core.edit.Galleries;
import tundra.core.edit.Motifs;
import tundra.core.edit.Names;
import tundra.core.edit.Scattering;
import tundra.core.frame.Frame;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;

/** Commands of motifs: making, opening, exchanging, copying, their clocks. */
public final class MotifCommands {
    private final Workshop w;
    private final Studio s;
    private final BiConsumer<Element, Consumer<String>> name;

    private MotifCommands(Workshop w, BiConsumer<Element, Consumer<String>> name) {
        this.w = w;
        this.name = name;
        this.s = w.studio;
    }

    /** @param name asks for a name where an element stands */
    public static void add(Workshop w, BiConsumer<Element, Consumer<String>> name) {
        var m = new MotifCommands(w, name);
        m.places(w.commands);
        m.clocks(w.commands);
        w.commands.addMore(m::ofMotifs);
    }

    /** The selected instances; empty when anything else is selected as well. */
    private List<Element> instances() {
        List<Element> all = s.selection().stream().map(s.board()::find).toList();
        return all.stream().allMatch(e -> e != null && e.content() instanceof Content.Instance) ? all : List.of();
    }

    private boolean any() {
        return !s.selection().isEmpty() && s.board().find(s.selection().iterator().next()) instanceof Element e
                && e.content() instanceof Content.Instance
                && !instances().isEmpty();
    }

    /** The motif of the one selected instance, else the one that is open; null for neither. */
    private Motif meant() {
        Element e = s.selected();
        return e != null && e.content() instanceof Content.Instance i ? s.project().motif(i.motif()) : s.place() instanceof Motif m ? m : null;
    }

    private void places(Commands c) {
        c.add(CommandIds.MOTIF_MAKE, "Make a motif of the selection", "Shortcut+M", () -> !s.selection().isEmpty(), this::make);
        c.add(CommandIds.MOTIF_OPEN, () -> s.selected() == null ? "Open motif in place" : "Open " + s.selected().name() + " in place",
                "Shortcut+ENTER",
                () -> s.selected() != null && s.selected().content() instanceof Content.Instance, () -> s.navigation()
                .openInPlace(s.selected().id()));
        c.add("motif-up", "Go up from the motif", "Shortcut+Shift+ENTER", () -> !s.open().way().isEmpty(), s.navigation()::goUp);
        c.add(CommandIds.MOTIF_APART, "Break apart into a group", "Shortcut+Shift+M", this::any, () -> {
            var ids = List.copyOf(s.selection());
            s.edit("Break apart", b -> BrokenApart.of(s.project(), b, ids, s.picture().builder(), s.picture().moment()));
        });
        c.add(CommandIds.MOTIF_COPY, () -> meant() == null ? "Duplicate as a new motif" : "Duplicate " + meant().name() + " as a new motif", null,
                () -> meant() != null, this::copy);
        c.add("button-make", "Make a button of the selection", "Alt+Shift+B", () -> !s.selection().isEmpty(), this::button);
        c.add("motif-save", () -> meant() == null ? "Save a motif to a file…" : "Save the motif " + meant().name() + " to a file…", null,
                () -> meant() != null, () -> w.files.motifs.save(meant()));
        c.add("motif-bring", "Bring in a motif from a file…", null, () -> true, w.files.motifs::bringIn);
        c.add("scatter", "Scatter", "Alt+Shift+N", this::any, () -> {
            boolean[] inside = new boolean[1];
            String scatter = s.make("Scatter", k -> {
                var made = Scattering.make(k.project(), k.board(), s.selection(), 24, k.board().size().times(0.5), k.board().size(),
                        System.nanoTime() % 10_000);
                inside[0] = made.scatter() == null;
                return inside[0] ? k.nothing() : k.with(made.board(), made.scatter());
            });
            if (inside[0]) {
                w.notices.news("Instances inside a group can't be scattered from there: take them out of the group first.");
            } else if (scatter != null) {
                s.select(List.of(scatter));
            }
        });
        c.add("motif-new", "New empty motif", null, () -> true, () -> {
            s.navigation().showPlace(s.make("New motif", k -> {
                var made = Motifs.empty(k.project(), "Motif", k.board().size().times(0.25), k.board().main().duration());
                return k.with(made.project(), made.motif());
            }));
        });
        c.add("motif-delete", () -> meant() == null ? "Delete motif" : "Delete the motif " + meant().name(), null, () -> meant() != null,
                () -> delete(meant()));
    }

    private void make() {
        made("Make a motif", "Motif", "A motif can be made of elements that stand on the canvas or in a group; drawings of a flipbook stay there.",
                "is a motif now: a double click opens it where it stands, the shelf places more of it.",
                (p, place, ids, wanted, seen) -> Motifs.make(p, place, ids, wanted, seen, t -> s.picture().builder().at(Moment.main(s.board(), t))));
    }

    private void button() {
        made("Make a button", "Button", "A button can be made of elements that stand on the canvas or in a group.",
                "is a button now: it has looks at rest, under the pointer, pressed and off. Open it to change them.", ButtonMotif::make);
    }

    private interface Maker {
        Motifs.Made of(Project p, String place, Collection<String> ids, String wanted, Frame seen);
    }

    /** Makes a motif of what is selected, named after a single element, and selects its instance. */
    private void made(String step, String usual, String never, String done, Maker maker) {
        Element one = s.selected();
        String hindrance = Motifs.hindrance(s.kept(), s.place().id(), s.selection());
        if (hindrance != null) {
            w.notices.problem(hindrance);
            return;
        }
        boolean[] could = new boolean[1];
        Motifs.Made made = s.make(step, k -> {
            var m = maker.of(k.project(), k.place(), s.selection(), one == null ? usual : one.name(), s.picture().frame());
            could[0] = m.motif() != null;
            return could[0] ? k.with(m.project(), m) : k.nothing();
        });
        if (!could[0]) {
            w.notices.news(never);
        } else if (made != null) {
            s.select(List.of(made.instance()));
            w.notices.news("“" + made.project().motif(made.motif()).name() + "” " + done);
            if (one == null) {
                // several things have no name that could be meant
                name.accept(s.board().find(made.instance()), wanted -> s.editProject("Name motif " + wanted, null,
                        p -> Motifs.rename(p, made.motif(), wanted).mapBoard(s.place().id(), b -> Names.rename(b, made.instance(), wanted))));
            }
        }
    }

    private void copy() {
        Element e = s.selected();
        boolean shown = e != null && e.content() instanceof Content.Instance;
        String of = meant().id();
        Motifs.Made made = s.make("Duplicate " + meant().name(), k -> {
            var m = Motifs.duplicate(k.project(), of);
            return k.with(shown ? Motifs.swap(m.project(), k.place(), List.of(e.id()), m.motif()) : m.project(), m);
        });
        if (made == null) {
            return;
        }
        w.notices.news("“" + made.project().motif(made.motif()).name() + "” is a motif of its own" + (shown ? ", and the selected instance shows it."
                : "."));
    }

    /** Takes a motif away with all that shows it, and says how many that were. */
    private void delete(Motif m) {
        var uses = Motifs.uses(s.kept(), m.id());
        s.editProject("Delete motif " + m.name(), null, p -> Motifs.delete(p, m.id()));
        w.notices.news("“" + m.name() + "” is gone" + (uses.count() == 0 ? "." : ", and with it what showed it: "
                + (uses.count() == 1 ? "one instance" : uses.count() + " instances")
                + " in " + String.join(", ", uses.where()) + ". Undo brings all of it back."));
    }

    private void clocks(Commands c) {
        c.add("clock-own", "Give it its own clock", "Alt+P", this::any, () -> clock("Give it its own clock", k -> k.withOwn(true)));
        c.add("clock-parent", "Keep it in step with its timeline", "Alt+Shift+P", this::any, () -> clock("Keep it in step", k -> k.withOwn(false)));
        for (Clock.Repeat r : Clock.Repeat.values()) {
            c.add("repeat-" + r, "Repeat: " + r.words, null, this::any, () -> clock("Repeat: " + r.words, k -> k.withRepeat(r)));
        }
        c.add("phase-spread", "Spread phases evenly", null, () -> instances().size() > 1, () -> phases("Spread phases evenly",
                b -> Motifs.spread(b, s.project(), s.selection())));
        c.add("phase-shuffle", "Phases at random", null, () -> !instances().isEmpty(), () -> {
            long seed = System.nanoTime();
            phases("Phases at random", b -> Motifs.shuffle(b, s.project(), s.selection(), seed));
        });
    }

    private void clock(String name, UnaryOperator<Clock> change) {
        s.edit(name, b -> Motifs.clocks(b, s.selection(), change));
    }

    private void phases(String name, UnaryOperator<Board> change) {
        s.edit(name, change);
    }

    /** Found by the names of the motifs. */
    private List<Command> ofMotifs() {
        var out = new ArrayList<Command>();
        for (Motif m : s.project().motifs()) {
            out.add(new Command("motif-go", () -> "Open the motif " + m.name(), null, () -> true, () -> s.navigation().showPlace(m.id())));
            out.add(new Command("motif-place", () -> "Place " + m.name() + " on the canvas", null, () -> Motifs.fits(s.project(), s.place().id(),
                    m.id()), () -> place(s, m.id(), s.board().size().times(0.5))));
            out.add(new Command("motif-swap", () -> "Show " + m.name() + " instead", null, () -> any() && Motifs.fits(s.project(), s.place().id(),
                    m.id()), () -> swap(m)));
        }
        return out;
    }

    private void swap(Motif m) {
        var ids = List.copyOf(s.selection());
        s.make("Show " + m.name() + " instead", k -> k.with(Motifs.swap(k.project(), k.place(), ids, m.id()), ids));
    }

    /** Puts a motif on the canvas; nothing happens where it would hold itself. */
    static void place(Studio s, String motif, Point at) {
        if (!Motifs.fits(s.project(), s.place().id(), motif)) {
            return;
        }
        String gallery = Galleries.under(s.board(), s.picture().frame(), at);
        if (gallery != null) {
            s.edit("Add " + s.project().motif(motif).name() + " to the gallery", b -> Galleries.withMotif(s.project(), b, gallery, s.project()
                    .motif(motif), -1));
            return;
        }
        Element e = Motifs.instance(s.project(), motif, at);
        s.edit("Place " + e.name(), b -> Arrange.add(b, e));
        s.groups().enter(null);
        s.select(List.of(e.id()));
    }
}
