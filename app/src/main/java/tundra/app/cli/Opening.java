package tundra.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import tundra.core.file.ProjectFile;
import tundra.core.model.Project;

/** Opens the project of a command; what had to be left out of it is told on the error stream. */
final class Opening {
    private Opening() {}

    static Project of(Path file) throws IOException {
        var opened = ProjectFile.open(file);
        opened.leftOut().forEach(words -> System.err.println("left out: " + words));
        return opened.project();
    }
}
