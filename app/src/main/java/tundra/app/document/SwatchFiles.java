package tundra.app.document;

import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.core.file.FileProblem;
import tundra.core.file.GplPalette;
import tundra.core.file.SafeReplace;
import tundra.core.model.Project;
import tundra.core.model.Swatch;

/** Reads and writes the swatches of a piece as a palette. */
public final class SwatchFiles {
    private final Studio studio;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Supplier<Path> beside;

    /** @param beside the folder where dialogs open; null for whichever was seen last */
    SwatchFiles(Studio studio, Dialogs dialogs, Jobs jobs, Notices notices, Supplier<Path> beside) {
        this.studio = studio;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.beside = beside;
    }

    public void read() {
        dialogs.open("Read swatches", "Palettes", List.of("*.gpl"), beside.get()).ifPresent(file -> jobs.run(
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
        } catch (FileProblem | MalformedInputException e) {
            throw new FileProblem("“" + file.getFileName() + "” can't be read: " + (e instanceof FileProblem ? e.getMessage() : "it isn't text")
                    + ". Nothing was changed.", e);
        }
    }

    public void write() {
        Project p = studio.project();
        dialogs.save("Write the swatches", p.name() + ".gpl", beside.get()).ifPresent(to -> jobs.run(
                () -> {
                    SafeReplace.put(to, GplPalette.write(p.name(), p.swatches()));
                    return to;
                }, done -> notices.news("Wrote " + done.getFileName() + ".")));
    }
}
