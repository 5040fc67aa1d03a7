package tundra.app.builtin;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.UnaryOperator;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Desk;
import tundra.app.studio.OpenBook;
import tundra.app.studio.Registering;
import tundra.app.studio.Studio;
import tundra.core.edit.Align;
import tundra.core.edit.Arrange;
import tundra.core.edit.Drawings;
import tundra.core.edit.Exposures;
import tundra.core.edit.GroupBox;
import tundra.core.edit.Names;
import tundra.core.flip.Registration;
import tundra.core.flip.SheetBook;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Commands of flipbooks: drawings in time, onion skin, registration, speed. */
public final class FlipCommands {
    private final Workshop w;
    private final Studio s;
    private final OpenBook open;

    private FlipCommands(Workshop w) {
        this.w = w;
        this.s = w.studio;
        this.open = s.book();
    }

    public static void add(Workshop w) {
        var f = new FlipCommands(w);
        f.making(w.commands);
        f.drawings(w.commands);
        f.times(w.commands);
        f.skin(w.commands);
        f.lines(w.commands);
    }

    private boolean here() {
        return s.desk() == Desk.DRAW && open.is();
    }

    private boolean current() {
        return here() && open.drawing() != null;
    }

    private void making(Commands c) {
        c.add(CommandIds.FLIPBOOK, () -> s.selection().isEmpty() ? "New flipbook" : "Make a flipbook of the selection", "Shortcut+Shift+F",
                () -> true, this::make);
        c.add("replace-picture", () -> s.selected() == null && open.is() ? "Replace the picture of this drawing…" : "Replace the picture…", null,
                () -> picture() != null,
                () -> w.files.importing.replacePicture(picture()));
        c.add("flipbook-fit", "Fit the flipbook's bounds to its drawings", null, this::here, this::fit);
    }

    /** A flipbook with the selection on its first drawing; of the canvas's size with a blank one where nothing is selected. */
    private void make() {
        s.setDesk(Desk.DRAW);
        int rate = s.project().frameRate();
        boolean empty = s.selection().isEmpty();
        if (empty) {
            Point size = s.board().size();
            var book = new Flipbook(List.of(new Drawing(Flipbook.blank("Drawing 1", size), 0, 2)), size, rate, Flipbook.Ending.LOOP);
            var e = new Element(Names.free(s.board(), "Flipbook"), book, Values.NONE.with(Properties.POSITION, size.times(0.5)));
            s.edit("New flipbook", b -> Arrange.add(b, e));
            s.select(List.of(e.id()));
        } else if (pictures().size() > 1 && pictures().size() == s.selection().size()) {
            ofPictures(rate);
        } else {
            var grouped = Arrange.group(s.board(), s.selection(), s.picture().frame());
            if (grouped.ids().size() != 1 || s.board().find(grouped.ids().getFirst()) != null) {
                w.notices.news("Elements inside a group or a drawing can't become a flipbook of their own. Take them out first.");
                return;
            }
            String id = grouped.ids().getFirst();
            s.edit("Make a flipbook", b -> grouped.board().mapElement(id, g -> {
                var group = (Content.Group) g.content();
                Element art = Flipbook.blank("Drawing 1", group.box()).withChildren(group.children());
                return g.withName(Names.free(b, "Flipbook")).withContent(new Flipbook(List.of(new Drawing(art, 0, 2)), group.box(), rate,
                        Flipbook.Ending.LOOP));
            }));
            s.select(List.of(id));
        }
        s.time().seek(0);
        open.goTo(0);
    }

    private List<Element> pictures() {
        return s.selection().stream().map(s.board()::find).filter(e -> e != null && e.content() instanceof Content.Picture).toList();
    }

    /** Several pictures become one drawing each. */
    private void ofPictures(int rate) {
        var all = SheetBook.inOrder(pictures(), s.picture().frame());
        var around = Align.around(s.board(), s.selection(), s.picture().frame());
        String name = Names.free(s.board(), all.getFirst().name().replaceFirst("[\\s_-]*\\d+$", ""));
        Element book = SheetBook.ofElements(name, all, Math.max(1, rate / 12), rate, around == null ? s.board().size().times(0.5) : around.centre());
        s.edit("Make a flipbook of " + all.size() + " pictures", b -> Arrange.add(Arrange.delete(b, s.selection()), book));
        s.select(List.of(book.id()));
    }

    /** The picture that is selected, or the only one on the drawing that is seen; null for none. */
    private Element picture() {
        if (s.selected() != null && s.selected().content() instanceof Content.Picture) {
            return s.selected();
        }
        List<Element> on = open.is() && open.drawing() != null
                ? open.drawing().art().children().stream().filter(e -> e.content() instanceof Content.Picture).toList() : List.of();
        return on.size() == 1 ? on.getFirst() : null;
    }

    private void fit() {
        Rect all = null;
        for (Drawing d : open.book().drawings()) {
            var n = s.picture().builder().drawing(d, s.time().playhead());
            if (n.inked() != null) {
                all = n.toParent().bounds(n.inked()).union(all);
            }
        }
        var box = all;
        if (box != null) {
            String id = open.id();
            s.edit("Fit bounds of " + open.element().name(), b -> GroupBox.set(b, id, box));
        }
    }

    private void edit(String name, UnaryOperator<Flipbook> change) {
        open.edit(name, null, change);
    }

    private void drawings(Commands c) {
        c.add("drawing-before", "Go to the drawing before", "OPEN_BRACKET", this::here, () -> open.goTo(open.neighbour(-1)));
        c.add("drawing-next", "Go to the next drawing", "CLOSE_BRACKET", this::here, () -> open.goTo(open.neighbour(1)));
        c.add(CommandIds.DRAWING_NEW, "New blank drawing after this one", "Alt+N", this::here, () -> blank(open.current() < 0 ? open.book().drawings()
                .size() : open.current() + 1));
        c.add(CommandIds.DRAWING_APPEND, "New blank drawing at the end", null, this::here, () -> blank(open.book().drawings().size()));
        c.add(CommandIds.DRAWING_COPY, "Copy this drawing to the next", "Alt+D", this::current, () -> copy(false));
        c.add(CommandIds.DRAWING_COPY_ON, "Copy to the next and move on by the last step", "Alt+Shift+D", this::current, () -> copy(true));
        c.add(CommandIds.DRAWING_SPLIT, "Split the drawing at the playhead", "Alt+S", this::current, () -> {
            int f = (int) open.frameInBook();
            edit("Split a drawing", b -> Drawings.split(b, f));
            open.go(f);
        });
        c.add(CommandIds.DRAWING_EARLIER, "Put the drawing one place earlier", "Alt+Shift+OPEN_BRACKET", this::current, () -> order(-1));
        c.add(CommandIds.DRAWING_LATER, "Put the drawing one place later", "Alt+Shift+CLOSE_BRACKET", this::current, () -> order(1));
        c.add(CommandIds.DRAWING_DELETE, () -> many() ? "Delete " + open.meant().size() + " drawings" : "Delete this drawing", "Alt+DELETE",
                this::current, this::delete);
        c.add(CommandIds.DRAWING_CLEAR, "Delete and leave the frames empty", null, this::current, () -> {
            Set<String> ids = open.meant();
            edit("Clear " + count(ids), b -> Drawings.clear(b, ids));
        });
        c.add("drawings-all", "Choose all drawings", "Alt+Shift+A", this::here, () -> open.choose(open.book().drawings().stream().map(Drawing::id)
                .toList()));
        c.add(CommandIds.DRAWING_PASTE, "Paste drawings after this one", null, () -> here() && w.copied.drawings() != null, this::paste);
    }

    private boolean many() {
        return open.meant().size() > 1;
    }

    public static String count(Set<String> ids) {
        return ids.size() == 1 ? "a drawing" : ids.size() + " drawings";
    }

    private void blank(int index) {
        int hold = open.book().drawings().isEmpty() ? 2 : open.book().drawings().get(Math.max(0, Math.min(open.book().drawings().size(), index) - 1))
                .frames();
        edit("New drawing", b -> Drawings.insert(b, index, List.of(new Drawing(Flipbook.blank(Drawings.name(b), b.box()), 0, hold))));
        open.goTo(index);
    }

    private void copy(boolean again) {
        int at = open.current();
        edit(again ? "Copy a drawing and move it on" : "Copy a drawing to the next", b -> Drawings.copyToNext(b, at, again));
        open.goTo(at + 1);
    }

    private void order(int by) {
        Set<String> ids = open.meant();
        Flipbook b = open.book();
        int first = b.drawings().stream().filter(d -> ids.contains(d.id())).mapToInt(d -> b.indexOf(d.id())).min().orElse(0);
        String id = b.drawings().get(first).id();
        long rest = b.drawings().subList(0, first).stream().filter(d -> !ids.contains(d.id())).count();
        edit("Put " + count(ids) + " elsewhere", x -> Drawings.reorder(x, ids, (int) Math.max(0, rest + by)));
        open.go(open.book().drawings().get(open.book().indexOf(id)).start());
    }

    public void delete() {
        Set<String> ids = open.meant();
        int at = Math.max(0, open.current());
        edit("Delete " + count(ids), b -> Drawings.delete(b, ids));
        open.goTo(Math.min(at, open.book().drawings().size() - 1));
    }

    public void paste() {
        List<Drawing> copies = Drawings.copies(w.copied.drawings(), w.copied.drawings().drawings().stream().map(Drawing::id).toList());
        Flipbook b = open.book();
        List<Drawing> here = Drawings.atRate(copies, w.copied.drawings().rate(), b.rate());
        int at = open.current() < 0 ? b.drawings().size() : open.current() + 1;
        String id = open.id();
        List<String> pasted = s.make(here.size() == 1 ? "Paste a drawing" : "Paste " + here.size() + " drawings", k ->
                k.of(w.copied.withParts(k.project()),
                k.board().mapElement(id, e -> e.withContent(Drawings.insert((Flipbook) e.content(), at, here))), here.stream().map(Drawing::id)
                .toList()));
        if (pasted != null) {
            open.goTo(at);
            open.choose(pasted);
        }
    }

    private void times(Commands c) {
        BooleanSupplier any = this::current;
        c.add(CommandIds.DRAWING_LONGER, "Hold one frame longer", "Shift+CLOSE_BRACKET", any, () -> hold(1));
        c.add(CommandIds.DRAWING_SHORTER, "Hold one frame shorter", "Shift+OPEN_BRACKET", any, () -> hold(-1));
        c.add("drawing-shift-back", "Move drawings a frame earlier", "Alt+Shift+COMMA", () -> open.drawingsMeant(), () -> shift(-1));
        c.add("drawing-shift-on", "Move drawings a frame later", "Alt+Shift+PERIOD", () -> open.drawingsMeant(), () -> shift(1));
        for (double k : new double[] {2, 3, 0.5}) {
            String word = k == 2 ? "twice as long" : k == 3 ? "three times as long" : "half as long";
            c.add(k == 2 ? CommandIds.HOLD_DOUBLE : k == 3 ? "hold-triple" : CommandIds.HOLD_HALF, () -> "Hold " + (many() ? "the chosen drawings "
                    : "all drawings ") + word, null, this::here,
                    () -> scale(k, "Hold drawings " + word));
        }
        for (Flipbook.Ending e : Flipbook.Ending.values()) {
            c.add(CommandIds.ENDING + e.name().toLowerCase(Locale.ROOT), "After the last drawing: " + e.word, null, this::here,
                    () -> edit("Change what follows the last drawing", b -> b.withEnding(e)));
        }
    }

    private void hold(int by) {
        Set<String> ids = open.meant();
        Drawing now = open.drawing();
        edit(by > 0 ? "Hold " + count(ids) + " longer" : "Hold " + count(ids) + " shorter", b -> {
            Flipbook out = b;
            for (String id : ids) {
                int i = out.indexOf(id);
                out = Drawings.hold(out, i, out.drawings().get(i).frames() + by);
            }
            return out;
        });
        // it stays with the drawing, wherever it goes
        int i = now == null ? -1 : open.book().indexOf(now.id());
        if (i >= 0 && open.current() != i) {
            s.time().seek(open.timeOf(open.book().drawings().get(i).start()));
        }
    }

    private void shift(int by) {
        Set<String> ids = open.meant();
        Drawing now = open.drawing();
        edit("Move " + count(ids) + " in time", b -> Drawings.shift(b, ids, by));
        if (now != null) {
            open.go(open.book().drawings().get(open.book().indexOf(now.id())).start());
        }
    }

    private void scale(double factor, String name) {
        Set<String> run = open.run();
        var scaled = Exposures.scaled(open.book(), d -> run.contains(d.id()), factor);
        edit(name, b -> scaled.book());
        if (scaled.error() > 1e-9) {
            w.notices.news("Frames are whole: an edge lies up to " + Numbers.plain(scaled.error(), 2) + " frames off.");
        }
    }

    private void skin(Commands c) {
        c.add(CommandIds.ONION, () -> open.skin().on() ? "Hide the onion skin" : "Show the onion skin", "O", this::here,
                () -> open.setSkin(open.skin().withOn(!open.skin().on())));
        c.add(CommandIds.ONION_OUTLINES, () -> open.skin().outlines() ? "Onion skin with tinted fills" : "Onion skin in outlines", null, this::here,
                () -> open.setSkin(open.skin().withOutlines(!open.skin().outlines())));
        c.add(CommandIds.ONION_PIN, () -> pinned() ? "Take the pin off this drawing" : "Pin this drawing on the onion skin", null, this::current,
                () -> open.setSkin(open.skin().withPinned(pinned() ? null : open.drawing().id())));
        c.add(CommandIds.KEEP_AREA, () -> open.keepArea() ? "Resize freely" : "Keep the area when resizing", "Alt+K", () -> s.desk() == Desk.DRAW,
                () -> open.setKeepArea(!open.keepArea()));
    }

    private boolean pinned() {
        return open.drawing() != null && open.drawing().id().equals(open.skin().pinned());
    }

    private void lines(Commands c) {
        for (Registration.By by : Registration.By.values()) {
            c.add(CommandIds.REGISTER + by.name().toLowerCase(Locale.ROOT), () -> "Bring " + (many() ? "the chosen drawings" : "all drawings")
                    + " into line by " + by.word, null,
                    () -> here() && open.run().size() > (by == Registration.By.LINE ? 0 : 1)
                    && (by != Registration.By.LINE || Registering.line(s) != null),
                    () -> w.registering.apply(s, by, moved -> {
                        if (!moved) {
                            w.notices.news("The drawings are in line already.");
                        }
                    }));
        }
    }

}
