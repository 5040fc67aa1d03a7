package tundra.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.file.ProjectFile;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.model.Project;
import tundra.render.Fonts;

/** The words that name one frame of a project. */
final class FrameOptions {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene; the first when it is left out")
    private String scene;
    @Option(names = "--at", defaultValue = "0", paramLabel = "SECONDS", description = "the time (default ${DEFAULT-VALUE})")
    private double at;

    Path file() {
        return file;
    }

    Project project() throws IOException {
        if (!(at >= 0 && at <= 86_400)) {
            throw new IllegalArgumentException("The time must lie between 0 and 86400 seconds.");
        }
        return ProjectFile.read(file);
    }

    Frame frame(Project p) {
        return new FrameBuilder(Scenes.of(p, scene).board(), Fonts.of(p.assets())).at(Math.round(at * 1e6));
    }
}
