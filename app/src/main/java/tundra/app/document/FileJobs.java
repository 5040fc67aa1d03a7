package tundra.app.document;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.application.Platform;
import tundra.app.art.ArtReader;
import tundra.app.art.ImportedArt;
import tundra.app.art.PartReader;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.edit.Galleries;
import tundra.core.edit.Drawings;
import tundra.core.edit.Kept;
import tundra.core.edit.MotifParts;
import tundra.core.edit.NaturalOrder;
import tundra.core.edit.OutputEdits;
import tundra.core.file.FileProblem;
import tundra.core.file.GplPalette;
import tundra.core.file.OpenMark;
import tundra.core.file.ProjectFile;
import tundra.core.file.Recovery;
import tundra.core.file.SafeReplace;
import tundra.core.file.Versions;
import tundra.core.fit.Frames;
import tundra.core.flip.SheetBook;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Swatch;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureReader;
import tundra.render.Still;

/** Opens, saves and brings in files: off the interface thread, and never without asking when something would be lost. */
public final class FileJobs {
    private static final List<String> ART = List.of("*.svg", "*.svgz", "*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif",
            "*.ttf", "*.otf", "*.wav", "*.mp3", "*.ogg", "*.flac", "*.m4a", "*.mp4", "*.webm", "*.geojson", "*.vtt");
    static final List<String> PICTURES = List.of("*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif");
    private static final String MOTIF_ENDING = ".tundra-motif";
    private static final double THUMBNAIL = 256, PICTURE = 192;
    /** Several things dropped together lie this far apart, in px. */
    private static final double BESIDE = 16;
    private final Studio studio;
    private final Settings settings;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Runnable makeFlipbook;
    /** What blocks show. */
    public final BlockFiles blocks;
    public final FileWatch watch = new FileWatch(this::changedOutside);
    /** What was saved before. */
    private final Versions versions;

    /** @param makeFlipbook makes a flipbook of the selected elements */
    public FileJobs(Studio studio, Settings settings, Dialogs dialogs, Jobs jobs, Notices notices, Runnable makeFlipbook) {
        this.studio = studio;
        this.settings = settings;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.makeFlipbook = makeFlipbook;
        versions = new Versions(settings.folder().resolve("versions"));
        studio.listen(what -> {
            if (what.contains(Aspect.FILE) && studio.file() == null) {
                watch.of(null, null);
            }
        });
        blocks = new BlockFiles(studio, dialogs, jobs, notices, this::beside);
    }

    /** Goes on once nothing is lost: at once, after saving, or when the changes are given up. */
    public void whenSafe(Runnable then) {
        if (!studio.unsaved()) {
            then.run();
            return;
        }
        switch (dialogs.unsaved(studio.project().name())) {
            case SAVE -> save(studio.file(), then);
            case DISCARD -> then.run();
            case CANCEL -> { }
        }
    }

    public void newPiece() {
        whenSafe(() -> dialogs.newPiece().ifPresent(n -> studio.open(Project.empty("Untitled", n.size(), n.frameRate()), null)));
    }

    /** Begins a piece that was made already. */
    public void begin(Project p) {
        whenSafe(() -> studio.open(p, null));
    }

    /** Opens a piece that ships, as one that was never saved, and then does something with it. */
    public void openSample(Callable<Project> read, String name, Runnable then) {
        whenSafe(() -> jobs.run(read::call, p -> {
            studio.open(p.withId(Ids.next()), null);
            then.run();
            notices.news("This is the sample “" + name + "”. Take it apart as you like; saving it asks where to.");
        }));
    }

    public void open() {
        whenSafe(() -> dialogs.open("Open a project", "Tundra projects", List.of("*.tundra"), beside()).ifPresent(this::load));
    }

    public void openRecent(Path file) {
        whenSafe(() -> load(file));
    }

    /** Reads a project; whatever is wrong with the file leaves the open one as it is. */
    public void load(Path file) {
        Project before = studio.kept();
        jobs.run(() -> new Read(ProjectFile.open(file), OpenMark.holder(file), FileStamp.of(file)), read -> {
            if (read.holder != null && !dialogs.openAnyway(file.getFileName().toString(), read.holder.words())) {
                return;
            }
            if (studio.kept() != before) {
                // it was worked on while the other was read
                whenSafe(() -> show(read, file));
            } else {
                show(read, file);
            }
        });
    }

    /** A file as it was read. @param holder who else has it open; null for nobody */
    private record Read(ProjectFile.Opened opened, OpenMark.Holder holder, FileStamp stamp) {}

    /** Told while the piece is worked on, not only when it is saved. */
    private void changedOutside(Path file) {
        String name = file.getFileName().toString();
        Object document = studio.document();
        if (!studio.unsaved()) {
            notices.problem("“" + name + "” was changed by someone else. What you see is as it was before.", "Take theirs", () -> openRecent(file));
            return;
        }
        notices.problem("“" + name + "” was changed by someone else while you work on it. Yours is safe, and nothing is written yet.", "Choose…", () -> {
            if (studio.document() != document) {
                notices.news("Another piece is open now; nothing was done to “" + name + "”.");
                return;
            }
            switch (dialogs.changedOutside(name)) {
                case KEEP_BOTH -> write(beside(file), () -> { });
                case TAKE_THEIRS -> load(file);
                case WRITE_MINE -> {
                    watch.accept();
                    write(file, () -> { });
                }
                case CANCEL -> { }
            }
        });
    }

    public Versions versions() {
        return versions;
    }

    private void show(Read read, Path file) {
        ProjectFile.Opened opened = read.opened;
        Project project = opened.project();
        studio.open(project, file);
        watch.of(file, read.stamp);
        settings.addRecent(file);
        if (!opened.leftOut().isEmpty()) {
            dialogs.report("Opened, with some parts left out", "They are damaged or unknown to this version. The file is as it was; saving leaves them out for good,"
                    + " and keeps the version before it beside it as " + file.getFileName() + ".previous.", opened.leftOut());
        }
        var lost = Fonts.unreadable(project.assets());
        if (!lost.isEmpty()) {
            notices.problem("The font “" + lost.getFirst().name() + "” in this piece can't be read; texts in it are shown in another one. Bring the font in again, or take it off the shelf.");
        }
    }

    /** Goes on with a piece that a crash left behind. Its file counts as changed by someone else where it is newer than what was kept. */
    public void goOnWith(Recovery recovery, Recovery.Found f, boolean lookOnly) {
        whenSafe(() -> jobs.run(() -> recovery.open(f), opened -> {
            studio.openUnsaved(opened.project(), f.file());
            watch.of(f.file(), f.file() != null && Files.exists(f.file()) && FileStamp.of(f.file()).time() < f.time() ? FileStamp.of(f.file()) : null);
            if (!opened.leftOut().isEmpty()) {
                dialogs.report("Some parts could not be kept", "All else is as it was.", opened.leftOut());
            }
            if (lookOnly) {
                notices.news("This is “" + f.name() + "” as it was kept last. It stays kept until you go on with it or let it go.", "Go on with it", () -> recovery.drop(f));
            } else {
                recovery.drop(f);
                notices.news("“" + f.name() + "” is here again. Save it to make it last.");
            }
        }));
    }

    /** Saves to a file; asks for one when it is null. */
    public void save(Path file, Runnable then) {
        Path to = file != null ? file : dialogs.save("Save the project", studio.project().name() + ".tundra",
                studio.file() == null ? null : studio.file().toAbsolutePath().getParent()).map(FileJobs::withEnding).orElse(null);
        if (to == null) {
            return;
        }
        boolean own = studio.file() != null && studio.file().toAbsolutePath().equals(to.toAbsolutePath());
        if (own && watch.strayed(to)) {
            switch (dialogs.changedOutside(to.getFileName().toString())) {
                case KEEP_BOTH -> write(beside(to), then);
                case TAKE_THEIRS -> load(to);
                case WRITE_MINE -> write(to, then);
                case CANCEL -> { }
            }
            return;
        }
        write(to, then);
    }

    /** A free name beside a file, for the version of who works here. */
    private static Path beside(Path file) {
        String name = file.getFileName().toString().replaceFirst("\\.tundra$", "");
        for (int i = 1; ; i++) {
            Path p = file.resolveSibling(name + (i == 1 ? " (mine)" : " (mine " + i + ")") + ".tundra");
            if (!Files.exists(p)) {
                return p;
            }
        }
    }

    private void write(Path to, Runnable then) {
        String name = to.getFileName().toString().replaceFirst("\\.tundra$", "");
        Project open = studio.kept();
        boolean copy = studio.file() != null && !studio.file().toAbsolutePath().equals(to.toAbsolutePath());
        // a piece that was never saved takes the name of its file; a copy is a piece of its own, with outputs of its own
        Project project = studio.file() == null && open.name().equals("Untitled") ? open.withName(name) : copy ? OutputEdits.named(open.withId(Ids.next())) : open;
        Object document = studio.document();
        jobs.run(() -> {
            byte[] face = PieceFace.orNone(project, 2 * PICTURE);
            ProjectFile.write(project, face, to);
            Work.start("versions", () -> keepVersion(project, face));
            return to;
        }, saved -> {
            settings.addRecent(saved);
            FileStamp now = FileStamp.of(saved);
            if (studio.document() != document) {
                // another piece was opened meanwhile, which this file is not of
                notices.news("Saved " + saved.getFileName() + ".");
                return;
            }
            if (!project.name().equals(open.name()) && studio.kept() == open) {
                studio.editProject("Name the piece", null, p -> project);
            }
            studio.savedAs(saved, open, project);
            // the bar above says so, where nothing is covered
            watch.of(saved, now);
            then.run();
        });
    }

    /** What was saved can be gone back to; where that can't be kept the saving itself is as good. */
    private void keepVersion(Project saved, byte[] face) {
        try {
            versions.keep(saved, face, System.currentTimeMillis());
        } catch (IOException e) {
            Platform.runLater(() -> notices.problem("The piece is saved, but it can't be kept among its earlier versions (" + e.getMessage() + ")."));
        }
    }

    private static Path withEnding(Path p) {
        return p.getFileName().toString().endsWith(".tundra") ? p : p.resolveSibling(p.getFileName() + ".tundra");
    }

    /** Shows another file in the place of a picture. */
    public void replacePicture(Element picture) {
        dialogs.open("Replace the picture", "Pictures", PICTURES, beside()).ifPresent(file -> jobs.run(() -> PictureReader.read(file), asset -> {
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


    /** The piece's folder, where dialogs open; null for a piece that was never saved. */
    public Path beside() {
        return studio.file() == null ? null : studio.file().toAbsolutePath().getParent();
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
        String name = p.getFileName().toString().toLowerCase(java.util.Locale.ROOT);
        return name.contains(".") ? name.substring(name.lastIndexOf('.')) : "";
    }

    public void bringIn() {
        dialogs.open("Bring in art", "Pictures, drawings, videos, sounds, maps, fonts and motifs", Stream.concat(ART.stream(), Stream.of("*" + MOTIF_ENDING)).toList(), beside()).ifPresent(p -> bringIn(List.of(p)));
    }

    /** Brings art in and places it in the middle of the canvas; a project alone is opened. */
    public void bringIn(List<Path> files) {
        bringIn(files, null);
    }

    /** The same, around a point of the canvas. */
    public void bringIn(List<Path> files, Point at) {
        if (files.size() == 1 && files.getFirst().toString().endsWith(".tundra")) {
            openRecent(files.getFirst());
            return;
        }
        if (!files.isEmpty() && files.stream().allMatch(f -> f.toString().endsWith(MOTIF_ENDING))) {
            files.forEach(this::bringInMotif);
            return;
        }
        String gallery = at == null ? null : Galleries.under(studio.board(), studio.frame(), at);
        if (gallery != null && files.stream().allMatch(f -> PICTURES.contains("*" + ending(f)) || Files.isDirectory(f))) {
            blocks.fill(gallery, files);
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
            var drawings = all.stream().filter(b -> b instanceof ImportedArt.Drawing || b instanceof ImportedArt.Part x && x.asset() == null).toList();
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

    public void readSwatches() {
        dialogs.open("Read swatches", "Palettes", List.of("*.gpl"), beside()).ifPresent(file -> jobs.run(
                () -> palette(file), read -> studio.editProject("Read " + read.size() + " swatches", null, p -> {
                    var all = new ArrayList<>(p.swatches());
                    read.stream().filter(s -> !all.contains(s)).forEach(all::add);
                    return p.withSwatches(all);
                })));
    }

    private static List<Swatch> palette(Path file) throws IOException {
        try {
            if (Files.size(file) > 1 << 20) {
                throw new FileProblem("it is larger than 1 MB");
            }
            return GplPalette.read(Files.readString(file, StandardCharsets.UTF_8));
        } catch (FileProblem | java.nio.charset.MalformedInputException e) {
            throw new FileProblem("“" + file.getFileName() + "” can't be read: " + (e instanceof FileProblem ? e.getMessage() : "it isn't text")
                    + ". Nothing was changed.", e);
        }
    }

    public void writeSwatches() {
        Project p = studio.project();
        dialogs.save("Write the swatches", p.name() + ".gpl", beside()).ifPresent(to -> jobs.run(
                () -> {
                    SafeReplace.put(to, GplPalette.write(p.name(), p.swatches()));
                    return to;
                }, done -> notices.news("Wrote " + done.getFileName() + ".")));
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
            place(done.all, k -> done.placing != null && k.project() == into && k.place().equals(scene) ? done.placing : placed(k.project(), k.place(), done.all, at));
        }, () -> notices.news("Given up; nothing was brought in."));
        notices.working("Bringing in " + what + "…", giveUp);
    }

    private void tellKept(List<ImportedArt> all) {
        String names = all.stream().filter(b -> b instanceof ImportedArt.Kept).map(ImportedArt::name).collect(java.util.stream.Collectors.joining(", "));
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
                Point by = (at == null ? Point.ZERO : at.minus(board.size().times(0.5))).plus(new Point(BESIDE, BESIDE).times(at == null ? 0 : ids.size()));
                out = out.mapBoard(place, x -> x.mapElement(added.id(), e -> e.with(Properties.POSITION, e.rest().get(Properties.POSITION).plus(by))));
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
        studio.enter(onDrawing() ? studio.book().id() : null);
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

    /** Writes a motif and what it uses to a file of its own. */
    public void saveMotif(Motif m) {
        Project from = studio.kept();
        dialogs.save("Save the motif", m.name() + MOTIF_ENDING, beside()).ifPresent(to -> {
            Path file = to.getFileName().toString().endsWith(MOTIF_ENDING) ? to : to.resolveSibling(to.getFileName() + MOTIF_ENDING);
            jobs.run(() -> {
                Project alone = MotifParts.alone(from, m.id(), Fonts::familyOf);
                ProjectFile.write(alone, thumbnail(alone, m), file);
                return file;
            }, written -> notices.news("Saved “" + m.name() + "” to " + written.getFileName() + "."));
        });
    }

    /** What a motif looks like in a list, at most {@value #THUMBNAIL} pixels a side. */
    private static byte[] thumbnail(Project alone, Motif m) {
        Board board = m.board();
        double scale = Math.min(1, THUMBNAIL / Math.max(1, Math.max(board.size().x(), board.size().y())));
        return Still.png(alone, Frames.of(alone, board, Fonts.of(alone.assets())).at(Moment.opened(board, m.poster())),
                (int) Math.max(1, Math.round(board.size().x() * scale)), (int) Math.max(1, Math.round(board.size().y() * scale)));
    }

    public void bringInMotif() {
        dialogs.open("Bring in a motif", "Motifs", List.of("*" + MOTIF_ENDING), beside()).ifPresent(this::bringInMotif);
    }

    /** Brings the motifs of a file to the shelf; an older version that is in use is offered to be replaced. */
    private void bringInMotif(Path file) {
        jobs.run(() -> ProjectFile.read(file), from -> {
            List<Motif> older = MotifParts.older(studio.kept(), from);
            studio.editProject("Bring in a motif", null, p -> MotifParts.bring(p, from, false));
            String names = from.motifs().stream().map(Motif::name).collect(java.util.stream.Collectors.joining(", "));
            if (older.isEmpty()) {
                notices.news("Brought in: " + names + ". The shelf places it.");
            } else {
                notices.news("This piece has " + older.getFirst().name() + " in another version, which stays.", "Replace it everywhere",
                        () -> studio.editProject("Replace a motif", null, p -> MotifParts.bring(p, from, true)));
            }
        });
    }
}
