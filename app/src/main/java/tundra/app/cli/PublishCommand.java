package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.web.Page;
import tundra.web.PageCompiler;
import tundra.web.Publisher;

@Command(name = "publish", mixinStandardHelpOptions = true, description = "Writes the web page of a project to a folder.")
final class PublishCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--to", required = true, paramLabel = "DIR", description = "the folder; made when it is not there")
    private Path to;
    @Option(names = "--force", description = "writes over a page that Tundra did not make")
    private boolean force;
    @Mixin
    private LayoutOptions layout;

    @Override
    public Integer call() throws Exception {
        if (to.toString().isEmpty()) {
            throw new IllegalArgumentException("Name the folder to write the page into: --to DIR. Nothing was written.");
        }
        Project project = layout.of(Opening.of(file));
        Page page = new PageCompiler(Fonts.of(project.assets()), Fonts.of(project.assets()), new PictureSheets(), new SkiaSeries())
                .compile(project, null);
        Publisher.publish(page, to, force, Progress.NONE);
        System.out.println(to.resolve("index.html"));
        return 0;
    }
}
