package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.file.ProjectFile;
import tundra.core.frame.FrameBuilder;
import tundra.core.model.Project;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;

@Command(name = "svg", mixinStandardHelpOptions = true, description = "Writes one frame as an SVG drawing that holds its pictures and fonts.")
final class SvgCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene; the first when it is left out")
    private String scene;
    @Option(names = "--at", defaultValue = "0", paramLabel = "SECONDS", description = "the time (default ${DEFAULT-VALUE})")
    private double at;
    @Option(names = "--to", required = true, paramLabel = "SVG", description = "the drawing to write")
    private Path to;

    @Override
    public Integer call() throws Exception {
        if (!(at >= 0 && at <= 86_400)) {
            throw new IllegalArgumentException("The time must lie between 0 and 86400 seconds.");
        }
        Project p = ProjectFile.read(file);
        Files.writeString(to, SvgWriter.write(p, new FrameBuilder(Scenes.of(p, scene).board(), Fonts.BUNDLED).at(Math.round(at * 1e6)), Fonts.BUNDLED));
        System.out.println(to);
        return 0;
    }
}
