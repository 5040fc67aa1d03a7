package tundra.app.document;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import javafx.application.Platform;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.job.Work;
import tundra.app.studio.Aspect;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.core.edit.OutputEdits;
import tundra.core.file.OpenMark;
import tundra.core.file.ProjectFile;
import tundra.core.file.Recovery;
import tundra.core.file.Versions;
import tundra.core.model.Ids;
import tundra.core.model.Project;
import tundra.render.Fonts;

/** Opens and saves pieces: off the interface thread, and never without asking when something would be lost. */
public final class FileJobs {
    private static final double PICTURE = 192;
    private final Studio studio;
    private final Settings settings;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    /** What blocks show. */
    public final BlockFiles blocks;
    public final MotifFiles motifs;
    public final SwatchFiles swatches;
    public final Importing importing;
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
        versions = new Versions(settings.folder().resolve("versions"));
        studio.listen(what -> {
            if (what.contains(Aspect.FILE) && studio.file() == null) {
                watch.of(null, null);
            }
        });
        blocks = new BlockFiles(studio, dialogs, jobs, notices, this::beside);
        motifs = new MotifFiles(studio, dialogs, jobs, notices, this::beside);
        swatches = new SwatchFiles(studio, dialogs, jobs, notices, this::beside);
        importing = new Importing(studio, dialogs, jobs, notices, this, makeFlipbook);
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
        notices.problem("“" + name + "” was changed by someone else while you work on it. Yours is safe, and nothing is written yet.", "Choose…",
                () -> {
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
            dialogs.report("Opened, with some parts left out",
                    "They are damaged or unknown to this version. The file is as it was; saving leaves them out for good,"
                    + " and keeps the version before it beside it as " + file.getFileName() + ".previous.", opened.leftOut());
        }
        var lost = Fonts.unreadable(project.assets());
        if (!lost.isEmpty()) {
            notices.problem("The font “" + lost.getFirst().name()
                    + "” in this piece can't be read; texts in it are shown in another one. Bring the font in again, or take it off the shelf.");
        }
    }

    /** Goes on with a piece that a crash left behind. Its file counts as changed by someone else where it is newer than what was kept. */
    public void goOnWith(Recovery recovery, Recovery.Found f, boolean lookOnly) {
        whenSafe(() -> jobs.run(() -> recovery.open(f), opened -> {
            studio.openUnsaved(opened.project(), f.file());
            watch.of(f.file(), f.file() != null && Files.exists(f.file()) && FileStamp.of(f.file()).time() < f.time() ? FileStamp.of(f.file())
                    : null);
            if (!opened.leftOut().isEmpty()) {
                dialogs.report("Some parts could not be kept", "All else is as it was.", opened.leftOut());
            }
            if (lookOnly) {
                notices.news("This is “" + f.name() + "” as it was kept last. It stays kept until you go on with it or let it go.", "Go on with it",
                        () -> recovery.drop(f));
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
        Project project = studio.file() == null && open.name().equals("Untitled") ? open.withName(name) : copy
                ? OutputEdits.named(open.withId(Ids.next())) : open;
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

    /** The piece's folder, where dialogs open; null for a piece that was never saved. */
    public Path beside() {
        return studio.file() == null ? null : studio.file().toAbsolutePath().getParent();
    }
}
