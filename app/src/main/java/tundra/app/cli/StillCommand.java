package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.file.ProjectFile;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Still;

@Command(name = "still", mixinStandardHelpOptions = true,
        description = "Writes one frame as PNG. The time counts from the moment when all timelines of the scene are started together.")
final class StillCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene; the first when it is left out")
    private String scene;
    @Option(names = "--at", required = true, paramLabel = "SECONDS", description = "the time")
    private double at;
    @Option(names = "--size", paramLabel = "WxH", description = "pixels; the canvas's own size when it is left out")
    private String size;
    @Option(names = "--to", required = true, paramLabel = "PNG", description = "the picture to write")
    private Path to;

    @Override
    public Integer call() throws Exception {
        if (!(at >= 0 && at <= 86_400)) {
            throw new IllegalArgumentException("The time must lie between 0 and 86400 seconds.");
        }
        Project p = ProjectFile.read(file);
        Frame frame = new FrameBuilder(Scenes.of(p, scene).board(), Fonts.BUNDLED).at(Math.round(at * 1e6));
        Point s = size == null ? frame.size() : Sizes.parse(size);
        Files.write(to, Still.png(p, frame, (int) Math.ceil(s.x()), (int) Math.ceil(s.y())));
        System.out.println(to);
        return 0;
    }
}
