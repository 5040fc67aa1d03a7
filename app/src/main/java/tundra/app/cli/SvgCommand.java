package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import tundra.app.output.FileStart;
import tundra.core.file.SafeReplace;
import tundra.core.model.Project;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;

@Command(name = "svg", mixinStandardHelpOptions = true, description = "Writes one frame as an SVG drawing that holds its pictures and fonts.")
final class SvgCommand implements Callable<Integer> {
    @Mixin
    private FrameOptions of;
    @Mixin
    private OutputFile output;
    @Option(names = "--to", required = true, paramLabel = "SVG", description = "the drawing to write")
    private Path to;

    @Override
    public Integer call() throws Exception {
        output.allow(to, FileStart.SVG, of.file());
        Project p = of.project();
        SafeReplace.put(to, SvgWriter.write(p, of.frame(p), Fonts.of(p.assets())));
        System.out.println(to);
        return 0;
    }
}
