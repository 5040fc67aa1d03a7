package tundra.app.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import tundra.app.output.FileStart;
import tundra.core.file.FileProblem;

/** Where a command writes to: never over what it reads, and over what is not of its own kind only when that is asked for. */
final class OutputFile {
    @Option(names = "--force", description = "writes over a file that is something else")
    private boolean force;

    /** Throws with one sentence where a file must not or can't be written. */
    void allow(Path to, FileStart kind, Path... inputs) throws IOException {
        String name = "“" + to.getFileName() + "”";
        Path folder = to.toAbsolutePath().getParent();
        if (Files.isDirectory(to)) {
            throw new IllegalArgumentException(name + " is a folder; name the file to write.");
        }
        if (!Files.isDirectory(folder)) {
            throw new IllegalArgumentException("There is no folder “" + folder.getFileName() + "” to write " + name + " into; make it first.");
        }
        if (!Files.exists(to)) {
            return;
        }
        for (Path in : inputs) {
            if (Files.exists(in) && Files.isSameFile(in, to)) {
                throw new IllegalArgumentException(name + " is the file that is read; name another one to write. Nothing was changed.");
            }
        }
        try {
            FileStart.allow(to, kind.name(), force);
        } catch (FileProblem e) {
            throw new IllegalArgumentException(e.getMessage().replace("Choose another name.", "Name another file, or write over it with --force."),
                    e);
        }
    }

    boolean force() {
        return force;
    }
}
