package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.output.SheetSaver;
import tundra.app.output.FileStart;
import tundra.core.file.SheetFile;
import tundra.core.fit.Frames;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Tree;
import tundra.render.Fonts;

@Command(name = "sheet", mixinStandardHelpOptions = true,
        description = "Writes the drawings of a flipbook, or the frames of a scene, as a sheet (PNG and JSON) or as a series of PNG pictures.")
final class SheetCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Mixin
    private OutputFile output;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene or motif; the first scene when it is left out")
    private String scene;
    @Option(names = "--flipbook", paramLabel = "NAME", description = "the flipbook; the scene's frames when it is left out")
    private String flipbook;
    @Option(names = "--from", defaultValue = "0", paramLabel = "SECONDS", description = "the first frame of a scene (default ${DEFAULT-VALUE})")
    private double from;
    @Option(names = "--until", paramLabel = "SECONDS", description = "where the scene's frames end; the end of its Main timeline when it is left out")
    private Double until;
    @Option(names = "--columns", defaultValue = "0", paramLabel = "N", description = "drawings beside each other; about square when it is left out")
    private int columns;
    @Option(names = "--margin", defaultValue = "0", paramLabel = "PX", description = "around all drawings (default ${DEFAULT-VALUE})")
    private int margin;
    @Option(names = "--spacing", defaultValue = "0", paramLabel = "PX", description = "between drawings (default ${DEFAULT-VALUE})")
    private int spacing;
    @Option(names = "--scale", defaultValue = "1", paramLabel = "N", description = "times the size they are drawn in (default ${DEFAULT-VALUE})")
    private double scale;
    @Option(names = "--to", paramLabel = "PNG", description = "the sheet to write; its JSON goes beside it")
    private Path to;
    @Option(names = "--series", paramLabel = "FOLDER", description = "writes one picture for each drawing instead")
    private Path series;

    @Override
    public Integer call() throws Exception {
        if ((to == null) == (series == null)) {
            throw new IllegalArgumentException("Say either --to with a PNG file or --series with a folder.");
        }
        if (series != null && Files.exists(series) && !Files.isDirectory(series)) {
            throw new IllegalArgumentException("“" + series.getFileName() + "” is a file; --series names a folder. Nothing was written.");
        }
        if (!(from >= 0 && from <= 86_400) || until != null && !(until > from && until <= 86_400)) {
            throw new IllegalArgumentException("The frames lie between 0 and 86400 seconds, --until after --from.");
        }
        if (!(scale > 0 && scale <= 16) || margin < 0 || spacing < 0 || margin > 1000 || spacing > 1000 || columns < 0) {
            throw new IllegalArgumentException("The scale goes up to 16, margin and spacing from 0 to 1000.");
        }
        if (to != null) {
            output.allow(to, FileStart.PNG, file);
        }
        Project p = Opening.of(file);
        SheetFile.Series s = pictures(p);
        if (series != null) {
            System.out.println(SheetSaver.series(p, s, scale, series) + " pictures in " + series);
        } else {
            SheetSaver.sheet(p, s, s.grid(columns, margin, spacing), scale, to).forEach(System.out::println);
        }
        return 0;
    }

    private SheetFile.Series pictures(Project p) {
        var of = PlaceFinder.of(p, scene);
        Board board = of.board();
        var builder = Frames.of(p, board, Fonts.of(p.assets()));
        if (flipbook == null) {
            long end = until == null ? board.main().duration() : Math.round(until * 1e6);
            long a = p.frameAt(Math.round(from * 1e6)), z = p.frameAt(Math.min(end, board.main().duration()));
            if (z <= a) {
                throw new IllegalArgumentException("There are no frames from " + from + " s until " + end / 1e6 + " s.");
            }
            if (z - a > 10_000) {
                throw new IllegalArgumentException("These are " + (z - a) + " frames; up to 10000 are possible. Say --from and --until.");
            }
            return SheetFile.of(p, of.name(), board, builder, a, z);
        }
        var books = new ArrayList<Element>();
        Tree.each(board.elements(), e -> {
            if (e.content() instanceof Flipbook) {
                books.add(e);
            }
        });
        Element e = books.stream().filter(x -> x.name().equalsIgnoreCase(flipbook)).findFirst().orElseThrow(() -> new IllegalArgumentException(
                "There is no flipbook “" + flipbook + "” in " + of.name() + (books.isEmpty() ? "." : "; there is "
                + String.join(", ", books.stream().map(Element::name).toList()) + ".")));
        return SheetFile.of(board, e, builder);
    }
}
