package tundra.app.window;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import tundra.core.edit.Arrange;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.render.PictureReader;

/** Opens, saves and brings in files: off the interface thread, and never without asking when something would be lost. */
public final class FileJobs {
    private static final List<String> PICTURES = List.of("*.png", "*.jpg", "*.jpeg", "*.webp", "*.gif");
    private final Workshop w;

    FileJobs(Workshop w) {
        this.w = w;
    }

    /** Goes on once nothing is lost: at once, after saving, or when the changes are given up. */
    public void whenSafe(Runnable then) {
        if (!w.studio.unsaved()) {
            then.run();
            return;
        }
        switch (w.asker.unsaved(w.studio.project().name())) {
            case SAVE -> save(w.studio.file(), then);
            case DISCARD -> then.run();
            case CANCEL -> { }
        }
    }

    public void newPiece() {
        whenSafe(() -> w.asker.newPiece().ifPresent(n -> w.studio.open(Project.empty("Untitled", n.size(), n.frameRate()), null)));
    }

    public void open() {
        whenSafe(() -> w.asker.open("Open a project", "Tundra projects", List.of("*.tundra")).ifPresent(this::load));
    }

    public void openRecent(Path file) {
        whenSafe(() -> load(file));
    }

    /** Reads a project; whatever is wrong with the file leaves the open one as it is. */
    public void load(Path file) {
        w.jobs.run(() -> ProjectFile.read(file), project -> {
            w.studio.open(project, file);
            w.settings.addRecent(file);
        });
    }

    /** Saves to a file; asks for one when it is null. */
    public void save(Path file, Runnable then) {
        Path to = file != null ? file : w.asker.save("Save the project", w.studio.project().name() + ".tundra",
                w.studio.file() == null ? null : w.studio.file().toAbsolutePath().getParent()).map(FileJobs::withEnding).orElse(null);
        if (to == null) {
            return;
        }
        String name = to.getFileName().toString().replaceFirst("\\.tundra$", "");
        Project open = w.studio.project();
        // a piece that was never saved takes the name of its file
        Project project = w.studio.file() == null && open.name().equals("Untitled") ? open.withName(name) : open;
        w.jobs.run(() -> {
            ProjectFile.write(project, to);
            return to;
        }, saved -> {
            if (project != open && w.studio.project() == open) {
                w.studio.editProject("Name the piece", null, p -> project);
            }
            w.studio.savedAs(saved, project);
            w.settings.addRecent(saved);
            w.notices.news("Saved " + saved.getFileName() + ".");
            then.run();
        });
    }

    private static Path withEnding(Path p) {
        return p.getFileName().toString().endsWith(".tundra") ? p : p.resolveSibling(p.getFileName() + ".tundra");
    }

    public void bringIn() {
        w.asker.open("Bring in a picture", "Pictures", PICTURES).ifPresent(p -> bringIn(List.of(p)));
    }

    /** Brings pictures in and places them in the middle of the canvas; a project among the files is opened. */
    public void bringIn(List<Path> files) {
        if (files.size() == 1 && files.getFirst().toString().endsWith(".tundra")) {
            openRecent(files.getFirst());
            return;
        }
        var cancelled = new AtomicBoolean();
        w.notices.working(files.size() == 1 ? "Bringing in " + files.getFirst().getFileName() + "…" : "Bringing in " + files.size() + " pictures…",
                () -> cancelled.set(true));
        w.jobs.run(() -> {
            var out = new java.util.ArrayList<Asset>();
            for (Path f : files) {
                if (cancelled.get()) {
                    throw new FileProblem("Given up; nothing was brought in.");
                }
                out.add(PictureReader.read(f));
            }
            return out;
        }, assets -> {
            w.notices.hide();
            place(assets);
        });
    }

    private void place(List<Asset> assets) {
        Point canvas = w.studio.board().size();
        var elements = assets.stream().map(a -> {
            double k = Math.min(1, Math.min(canvas.x() / a.width(), canvas.y() / a.height()));
            return new Element(a.name().replaceFirst("\\.[A-Za-z0-9]+$", ""), new Content.Picture(a.hash()), Values.NONE
                    .with(Properties.POSITION, canvas.times(0.5)).with(Properties.SIZE, new Point(a.width() * k, a.height() * k)));
        }).toList();
        String scene = w.studio.scene().id();
        w.studio.editProject(elements.size() == 1 ? "Bring in " + elements.getFirst().name() : "Bring in pictures", null, p -> {
            Project out = p;
            for (Asset a : assets) {
                out = out.withAsset(a);
            }
            for (Element e : elements) {
                out = out.mapBoard(scene, b -> Arrange.add(b, e));
            }
            return out;
        });
        w.studio.select(elements.stream().map(Element::id).toList());
    }
}
