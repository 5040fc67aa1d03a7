package tundra.app.builtin;

import java.util.List;
import java.util.function.Function;
import javafx.scene.Node;
import tundra.app.art.SheetPanel;
import tundra.app.command.CommandIds;
import tundra.app.output.SheetSaver;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.Names;
import tundra.core.file.SheetFile;
import tundra.core.fit.Frames;
import tundra.core.flip.SheetBook;
import tundra.core.flip.SheetGrid;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.render.PictureReader;
import tundra.render.Sheet;

/** Commands that cut sheets of drawings into flipbooks, and write flipbooks and scenes as sheets. */
public final class SheetCommands {
    private final Workshop w;
    private final Studio s;
    private final Function<Node, Runnable> over;

    private SheetCommands(Workshop w, Function<Node, Runnable> over) {
        this.w = w;
        this.s = w.studio;
        this.over = over;
    }

    /** @param over lays a panel over the window and gives what takes it off */
    public static void add(Workshop w, Function<Node, Runnable> over) {
        var c = new SheetCommands(w, over);
        w.commands.add("sheet", () -> c.picture() != null ? "Cut the picture into a flipbook…" : "Bring in a sheet of drawings…", "Shortcut+Shift+B",
                () -> true, c::bringIn);
        w.commands.add(CommandIds.SAVE_SHEET, () -> "Save " + c.what() + " as a sheet…", null, () -> true, c::saveSheet);
        w.commands.add(CommandIds.SAVE_SERIES, () -> "Save " + c.what() + " as a series of pictures…", null, () -> true, c::saveSeries);
    }

    /** The selected picture; null for none. */
    private Element picture() {
        Element e = s.selected();
        return e != null && e.content() instanceof Content.Picture ? e : null;
    }

    private void bringIn() {
        Element e = picture();
        if (e != null) {
            cut(s.project().assets().get(((Content.Picture) e.content()).asset()), e);
            return;
        }
        w.dialogs.open("Bring in a sheet of drawings", "Pictures", List.of("*.png", "*.webp", "*.gif", "*.jpg", "*.jpeg"), w.files.beside())
                .ifPresent(file -> w.jobs.run(() -> PictureReader.read(file), a -> cut(a, null)));
    }

    private record Guessed(Sheet sheet, SheetGrid grid) {}

    /** @param in the element that it takes the place of; null puts it in the middle of the canvas */
    private void cut(Asset a, Element in) {
        w.jobs.run(() -> {
            var sheet = new Sheet(a);
            return new Guessed(sheet, sheet.guess());
        }, g -> {
            var off = new Runnable[1];
            var panel = new SheetPanel(g.sheet, g.grid, s.project().frameRate(), s.dark(), cut -> make(g.sheet, cut, in), () -> off[0].run());
            off[0] = over.apply(panel);
        });
    }

    private void make(Sheet sheet, SheetPanel.Cut cut, Element in) {
        w.jobs.run(() -> sheet.cut(cut.cells()), pictures -> {
            String book = s.make("Make a flipbook of " + sheet.asset().title(), k -> {
                Board board = k.board();
                Element made = SheetBook.of(Names.free(board, in == null ? sheet.asset().title() : in.name()), pictures, cut.hold(), k.project()
                        .frameRate(), board.size().times(0.5));
                Element placed = in == null || board.find(in.id()) == null ? made : SheetBook.like(made, in, sheet.asset());
                return k.with(SheetBook.place(k.project(), k.place(), placed, pictures, in == null ? null : in.id()), placed.id());
            });
            if (book != null) {
                s.setDesk(Desk.DRAW);
                s.groups().enter(null);
                s.select(List.of(book));
            }
        });
    }

    private String what() {
        return s.book().is() ? "the drawings of " + s.book().element().name() : "the frames of " + s.place().name();
    }

    /** The drawings of the flipbook that is worked on; else the frames of the scene, those of the marked part if there is one. */
    private SheetFile.Series series() {
        if (s.book().is()) {
            return SheetFile.of(s.board(), s.book().element(), Frames.of(s.project(), s.board(), s.picture().fonts()));
        }
        var range = s.board().main().range();
        long from = range == null ? 0 : range.from(), to = range == null ? s.board().main().duration() : range.to();
        return SheetFile.of(s.project(), s.place().name(), s.board(), Frames.of(s.project(), s.board(), s.picture().fonts()), s.project()
                .frameAt(from),
                s.project().frameAt(to));
    }

    private void saveSheet() {
        Project p = s.project();
        String name = s.book().is() ? s.book().element().name() : s.place().name();
        w.dialogs.save("Save as a sheet", name + ".png", s.file() == null ? null : s.file().toAbsolutePath().getParent()).ifPresent(to -> {
            var pictures = series();
            w.jobs.run(() -> SheetSaver.sheet(p, pictures, pictures.grid(0, 1, 2), 1, to),
                    written -> w.notices.news("Wrote " + written.getFirst().getFileName() + " with " + pictures.pictures().size() + " pictures, and "
                    + written.getLast().getFileName() + "."));
        });
    }

    private void saveSeries() {
        Project p = s.project();
        w.dialogs.folder("Save as a series of pictures", s.file() == null ? null : s.file().toAbsolutePath().getParent()).ifPresent(to -> {
            var pictures = series();
            w.jobs.run(() -> SheetSaver.series(p, pictures, 1, to), n -> w.notices.news("Wrote " + n + " pictures to " + to.getFileName() + "."));
        });
    }
}
