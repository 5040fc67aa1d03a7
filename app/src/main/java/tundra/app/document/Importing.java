package tundra.app.document;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tundra.app.art.ArtReader;
import tundra.app.art.ImportedArt;
import tundra.app.art.PartReader;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.edit.Drawings;
import tundra.core.edit.Galleries;
import tundra.core.edit.Kept;
import tundra.core.edit.NaturalOrder;
import tundra.core.file.FileProblem;
import tundra.core.flip.SheetBook;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.work.Progress;
import tundra.render.PictureReader;

/** Brings art, sounds, videos and fonts in and places them: off the interface thread, to be given up, and nothing half done. */
public final class Importing {
    private static final List<String> ART = List.of("*.svg", "*.svgz", "*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif",
            "*.ttf", "*.otf", "*.wav", "*.mp3", "*.ogg", "*.flac", "*.m4a", "*.mp4", "*.webm", "*.geojson", "*.vtt");
    static final List<String> PICTURES = List.of("*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif");
    /** Several things dropped together lie this far apart, in px. */
    private static final double BESIDE = 16;
    private final Studio studio;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final FileJobs files;
    private final Runnable makeFlipbook;

    /** @param makeFlipbook makes a flipbook of the selected elements */
    Importing(Studio studio, Dialogs dialogs, Jobs jobs, Notices notices, FileJobs files, Runnable makeFlipbook) {
        this.studio = studio;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.files = files;
        this.makeFlipbook = makeFlipbook;
    }

    /** Shows another file in the place of a picture. */
    public void replacePicture(Element picture) {
        dialogs.open("Replace the picture", "Pictures", PICTURES, files.beside())
                .ifPresent(file -> jobs.run(() -> PictureReader.read(file), asset -> {
            String scene = studio.place().id();
            studio.editProject("Replace the picture of " + picture.name(), null,
                    p -> p.withAsset(asset).mapBoard(scene, b -> b.mapElement(picture.id(), e -> SheetBook.replaced(e, asset))));
        }));
    }

    /** Puts pictures onto new drawings of the flipbook that is worked on, one each, before the drawing of an index. */
    public void bringOntoStrip(List<Path> files, int index) {
        var book = studio.book().element();
        jobs.run(() -> {
            var out = new ArrayList<Asset>();
            for (Path f : opened(files)) {
                if (ArtReader.read(f) instanceof ImportedArt.Picture p) {
                    out.add(p.asset());
                }
            }
            if (out.isEmpty()) {
                throw new FileProblem("There is no picture among these files; the strip takes pictures, one drawing each. Nothing was changed.");
            }
            return out;
        }, pictures -> {
            String scene = studio.place().id();
            studio.editProject(pictures.size() == 1 ? "Bring in a drawing" : "Bring in " + pictures.size() + " drawings", null, p -> {
                Project out = p;
                for (Asset a : pictures) {
                    out = out.withAsset(a);
                }
                return out.mapBoard(scene, b -> b.mapElement(book.id(), e -> {
                    var old = (Flipbook) e.content();
                    int hold = old.drawings().isEmpty() ? 2 : old.drawings().get(Math.max(0, Math.min(index, old.drawings().size()) - 1)).frames();
                    return e.withContent(Drawings.insert(old, Math.min(index, old.drawings().size()), SheetBook.drawings(old, pictures, hold)));
                }));
            });
            studio.book().goTo(index);
        });
    }

    private static List<ImportedArt> read(List<Path> files, Progress progress) throws IOException {
        var out = new ArrayList<ImportedArt>();
        for (Path f : opened(files)) {
            progress.check();
            out.add(PartReader.isPage(f) ? PartReader.folder(f) : ArtReader.read(f));
        }
        return out;
    }

    /** Files, with folders replaced by what they hold that can be brought in, in the order of names. */
    static List<Path> opened(List<Path> files) throws IOException {
        var out = new ArrayList<Path>();
        for (Path f : files) {
            if (!Files.isDirectory(f) || PartReader.isPage(f)) {
                out.add(f);
                continue;
            }
            try (var in = Files.list(f)) {
                List<Path> art = in.filter(p -> Files.isRegularFile(p) && ART.contains("*" + ending(p)))
                        .sorted((a, b) -> NaturalOrder.OF_NAMES.compare(a.getFileName().toString(), b.getFileName().toString())).toList();
                if (art.isEmpty()) {
                    throw new FileProblem("The folder “" + f.getFileName() + "” holds nothing that can be brought in. Nothing was changed.");
                }
                out.addAll(art);
            }
        }
        return out;
    }

    private static String ending(Path p) {
        String name = p.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.contains(".") ? name.substring(name.lastIndexOf('.')) : "";
    }

    public void bringIn() {
        dialogs.open("Bring in art", "Pictures, drawings, videos, sounds, maps, fonts and motifs",
                Stream.concat(ART.stream(), Stream.of("*" + MotifFiles.ENDING)).toList(), files.beside()).ifPresent(p -> bringIn(List.of(p)));
    }

    /** Brings art in and places it in the middle of the canvas; a project alone is opened. */
    public void bringIn(List<Path> files) {
        bringIn(files, null);
    }

    /** The same, around a point of the canvas. */
    public void bringIn(List<Path> files, Point at) {
        if (files.size() == 1 && files.getFirst().toString().endsWith(".tundra")) {
            this.files.openRecent(files.getFirst());
            return;
        }
        if (!files.isEmpty() && files.stream().allMatch(f -> f.toString().endsWith(MotifFiles.ENDING))) {
            files.forEach(this.files.motifs::bringIn);
            return;
        }
        String gallery = at == null ? null : Galleries.under(studio.board(), studio.picture().frame(), at);
        if (gallery != null && files.stream().allMatch(f -> PICTURES.contains("*" + ending(f)) || Files.isDirectory(f))) {
            this.files.blocks.fill(gallery, files);
            return;
        }
        bringIn(files.size() == 1 ? files.getFirst().getFileName().toString() : files.size() + " files", at, p -> read(files, p));
    }

    /** A drawing that was copied as text. */
    public void bringInText(String svg) {
        bringIn("the drawing", null, p -> List.of(ArtReader.drawing("Pasted drawing", svg.getBytes(StandardCharsets.UTF_8))));
    }

    /** A picture that was copied. */
    public void bringInPicture(byte[] png) {
        bringIn("the picture", null, p -> List.of(new ImportedArt.Picture(PictureReader.read("Pasted picture", png))));
    }

    /** Keeps files on the shelf without placing them; drawings are placed, since they are elements. */
    public void keep(List<Path> files) {
        jobs.run(() -> read(files, Progress.NONE), all -> {
            // a map lies in its block
            var drawings = all.stream().filter(b -> b instanceof ImportedArt.Drawing || b instanceof ImportedArt.Part x && x.asset() == null)
                    .toList();
            studio.editProject("Keep on the shelf", null, p -> {
                Project out = p;
                for (ImportedArt b : all) {
                    out = switch (b) {
                        case ImportedArt.Picture x -> out.withAsset(x.asset());
                        case ImportedArt.Kept x -> out.withAsset(x.asset());
                        case ImportedArt.Part x -> x.asset() == null ? out : out.withAsset(x.asset());
                        case ImportedArt.Drawing x -> out;
                    };
                }
                return out;
            });
            if (!drawings.isEmpty()) {
                place(drawings, k -> placed(k.project(), k.place(), drawings, null));
            }
        });
    }

    /** What was read, and the project with it placed: worked out off the interface thread for the project that was open then. */
    private record Placed(List<ImportedArt> all, Project into, Placing placing) {}

    /** A project with art placed in it, and the elements that the art became. */
    private record Placing(Project project, List<String> ids) {}

    private void bringIn(String what, Point at, Jobs.Long<List<ImportedArt>> reading) {
        Project into = studio.kept();
        String scene = studio.place().id();
        boolean plain = !onDrawing();
        Runnable giveUp = jobs.start(progress -> {
            List<ImportedArt> all = reading.call(progress);
            progress.check();
            return new Placed(all, into, plain ? placed(into, scene, all, at) : null);
        }, x -> { }, done -> {
            notices.hide();
            place(done.all, k -> done.placing != null && k.project() == into && k.place().equals(scene) ? done.placing
                    : placed(k.project(), k.place(), done.all, at));
        }, () -> notices.news("Given up; nothing was brought in."));
        notices.working("Bringing in " + what + "…", giveUp);
    }

    private void tellKept(List<ImportedArt> all) {
        String names = all.stream().filter(b -> b instanceof ImportedArt.Kept).map(ImportedArt::name).collect(Collectors.joining(", "));
        if (!names.isEmpty()) {
            notices.news("Kept on the shelf: " + names + ".");
        }
    }

    /** Puts each thing around a point, or in the middle of the canvas. */
    private static Placing placed(Project project, String place, List<ImportedArt> all, Point at) {
        Project out = project;
        var ids = new ArrayList<String>();
        for (ImportedArt b : all) {
            var added = b.addTo(out, place);
            out = added.project();
            if (added.id() != null) {
                Board board = out.place(place).board();
                Point by = (at == null ? Point.ZERO : at.minus(board.size().times(0.5)))
                        .plus(new Point(BESIDE, BESIDE).times(at == null ? 0 : ids.size()));
                out = out.mapBoard(place, x -> x.mapElement(added.id(), e -> e.with(Properties.POSITION, e.rest().get(Properties.POSITION)
                        .plus(by))));
                ids.add(added.id());
            }
        }
        return new Placing(out, ids);
    }

    /** Moves what was placed onto the drawing that is open. */
    private Board ontoDrawing(Board board, List<String> ids) {
        Board out = board;
        for (String id : ids) {
            Board there = out;
            out = studio.add(Arrange.delete(there, Set.of(id)), there.find(id));
        }
        return out;
    }

    private boolean onDrawing() {
        return studio.desk() == Desk.DRAW && studio.book().is();
    }

    private void place(List<ImportedArt> all, Function<Kept, Placing> placing) {
        List<String> ids = studio.make(all.size() == 1 ? "Bring in " + all.getFirst().name() : "Bring in art", k -> {
            Placing p = placing.apply(k);
            Board board = p.project.place(k.place()).board();
            return k.of(p.project, onDrawing() ? ontoDrawing(board, p.ids) : board, p.ids);
        });
        if (ids == null) {
            return;
        }
        tellKept(all);
        if (ids.isEmpty()) {
            return;
        }
        studio.groups().enter(onDrawing() ? studio.book().id() : null);
        studio.select(ids);
        if (ids.size() > 1 && all.stream().allMatch(b -> b instanceof ImportedArt.Picture) && !onDrawing()) {
            notices.news("Brought in " + ids.size() + " pictures.", "Make one flipbook of them", () -> {
                studio.select(ids);
                makeFlipbook.run();
            });
        }
        var lines = new ArrayList<String>();
        all.forEach(b -> b.report().forEach(line -> lines.add(all.size() == 1 ? line : b.name() + ": " + line)));
        if (!lines.isEmpty()) {
            dialogs.report("Brought in, with some things left out", "Everything else came in as it is. Undo takes it all out again.", lines);
        }
    }
}
