package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.art.ArtReader;
import tundra.app.art.ImportedArt;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

@Command(name = "import", mixinStandardHelpOptions = true,
        description = "Makes a project of drawings and pictures, one above the other. What could not be kept is told on standard error.")
final class ImportCommand implements Callable<Integer> {
    @Parameters(paramLabel = "ART", arity = "1..*", description = "SVG, PNG, JPEG, WebP and GIF files")
    private List<Path> art;
    @Option(names = "--size", paramLabel = "WxH", description = "the canvas, in px; the first file's own size when it is left out")
    private String size;
    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the project to make")
    private Path to;

    @Option(names = "--force", description = "writes over a file that is there")
    private boolean force;

    @Override
    public Integer call() throws Exception {
        if (Files.exists(to) && !(force && Files.isRegularFile(to))) {
            throw new IllegalArgumentException("“" + to.getFileName()
                    + "” is there already and was left as it is. Name another file, or write over it with --force.");
        }
        var all = new LinkedHashMap<Path, ImportedArt>();
        for (Path file : art) {
            all.put(file, ArtReader.read(file));
        }
        Point canvas = size != null ? Sizes.parse(size)
                : all.values().stream().map(ImportedArt::size).filter(Objects::nonNull).findFirst().orElse(new Point(1280, 720));
        Project p = Project.empty(to.getFileName().toString().replaceFirst("\\.tundra$", ""),
                new Point(Math.max(1, Math.min(8192, canvas.x())), Math.max(1, Math.min(8192, canvas.y()))), 24);
        for (Path file : art) {
            ImportedArt b = all.get(file);
            p = b.addTo(p, p.scenes().getFirst().id()).project();
            b.report().forEach(line -> System.err.println(file.getFileName() + ": " + line + "."));
        }
        ProjectFile.write(p, to);
        System.out.println(to);
        return 0;
    }
}
