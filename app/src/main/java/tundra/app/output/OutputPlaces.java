package tundra.app.output;

import java.nio.file.Path;
import tundra.app.studio.Settings;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;

/**
 * Where the outputs of a piece go: into the folder of all of them, under the name that the piece gives each; elsewhere where that was chosen on this
 * machine.
 */
public final class OutputPlaces {
    private static final String PLACE = "place";
    private final Settings settings;

    public OutputPlaces(Settings settings) {
        this.settings = settings;
    }

    /** The folder of all outputs: the chosen one, else that of the piece's file; null for a piece that was never saved. */
    public Path folder(Project p, Path file) {
        Path chosen = settings.outputsFolder(p.id());
        return chosen != null ? chosen : file == null ? null : file.toAbsolutePath().getParent();
    }

    public void setFolder(Project p, Path folder) {
        settings.setOutputsFolder(p.id(), folder);
    }

    /** Null where no folder is known. */
    public Path of(Project p, Output o, Path file) {
        String elsewhere = settings.ofOutput(PLACE, p.id(), o.id());
        if (elsewhere != null) {
            return Path.of(elsewhere);
        }
        Path folder = folder(p, file);
        return folder == null ? null : folder.resolve(name(p, o, file));
    }

    /** The name of an output's file or folder within the folder of all outputs. @param file the piece's; null where it was never saved */
    public static String name(Project p, Output o, Path file) {
        return Outputs.file(file == null ? p.name() : file.getFileName().toString().replaceFirst("\\.tundra$", ""), o);
    }

    /** The name by which the piece keeps a place; null where it lies outside of the folder of all outputs. */
    public String name(Project p, Path place, Path file) {
        Path folder = folder(p, file);
        Path to = place.toAbsolutePath().normalize();
        if (folder == null || !to.startsWith(folder.toAbsolutePath().normalize()) || to.equals(folder.toAbsolutePath().normalize())) {
            return null;
        }
        String name = folder.toAbsolutePath().normalize().relativize(to).toString().replace('\\', '/');
        return Output.isFile(name) ? name : null;
    }

    /** Keeps on this machine that an output goes elsewhere; null goes back to the folder of all. */
    public void setElsewhere(Project p, Output o, Path place) {
        settings.setOfOutput(PLACE, p.id(), o.id(), place == null ? null : place.toAbsolutePath().toString());
    }
}
