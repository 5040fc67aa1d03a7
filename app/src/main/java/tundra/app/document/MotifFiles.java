package tundra.app.document;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.core.edit.MotifParts;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Still;

/** Motifs in files of their own: written with all that they use, and brought in. */
public final class MotifFiles {
    static final String ENDING = ".tundra-motif";
    private static final double THUMBNAIL = 256;
    private final Studio studio;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Supplier<Path> beside;

    /** @param beside the folder where dialogs open; null for whichever was seen last */
    MotifFiles(Studio studio, Dialogs dialogs, Jobs jobs, Notices notices, Supplier<Path> beside) {
        this.studio = studio;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.beside = beside;
    }

    /** Writes a motif and what it uses to a file of its own. */
    public void save(Motif m) {
        Project from = studio.kept();
        dialogs.save("Save the motif", m.name() + ENDING, beside.get()).ifPresent(to -> {
            Path file = to.getFileName().toString().endsWith(ENDING) ? to : to.resolveSibling(to.getFileName() + ENDING);
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

    public void bringIn() {
        dialogs.open("Bring in a motif", "Motifs", List.of("*" + ENDING), beside.get()).ifPresent(this::bringIn);
    }

    /** Brings the motifs of a file to the shelf; an older version that is in use is offered to be replaced. */
    void bringIn(Path file) {
        jobs.run(() -> ProjectFile.read(file), from -> {
            List<Motif> older = MotifParts.older(studio.kept(), from);
            studio.editProject("Bring in a motif", null, p -> MotifParts.bring(p, from, false));
            String names = from.motifs().stream().map(Motif::name).collect(Collectors.joining(", "));
            if (older.isEmpty()) {
                notices.news("Brought in: " + names + ". The shelf places it.");
            } else {
                notices.news("This piece has " + older.getFirst().name() + " in another version, which stays.", "Replace it everywhere",
                        () -> studio.editProject("Replace a motif", null, p -> MotifParts.bring(p, from, true)));
            }
        });
    }
}
