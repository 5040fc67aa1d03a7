package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import tundra.app.output.FileStart;
import tundra.core.file.SafeReplace;
import tundra.core.model.Limits;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.render.Still;

@Command(name = "still", mixinStandardHelpOptions = true,
        description = "Writes one frame as PNG: what a visitor sees so many seconds after the scene was opened.")
final class StillCommand implements Callable<Integer> {
    @Mixin
    private FrameOptions of;
    @Mixin
    private OutputFile output;
    @Option(names = "--size", paramLabel = "WxH", description = "pixels; the canvas's own size when it is left out")
    private String size;
    @Option(names = "--to", required = true, paramLabel = "PNG", description = "the picture to write")
    private Path to;

    @Override
    public Integer call() throws Exception {
        output.allow(to, FileStart.PNG, of.file());
        Project p = of.project();
        Frame frame = of.frame(p);
        Point s = size == null ? frame.size() : Sizes.parse(size);
        if (s.x() * s.y() > Limits.PIXELS) {
            throw new IllegalArgumentException("That picture would have " + Math.round(s.x() * s.y() / 1e6) + " million pixels; up to "
                    + Limits.PIXELS / 1_000_000 + " are possible.");
        }
        SafeReplace.put(to, Still.png(p, frame, (int) Math.ceil(s.x()), (int) Math.ceil(s.y())));
        System.out.println(to);
        return 0;
    }
}
