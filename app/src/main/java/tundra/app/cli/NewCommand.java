package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.file.ProjectFile;
import tundra.core.model.Project;

@Command(name = "new", mixinStandardHelpOptions = true, description = "Makes an empty project.")
final class NewCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project to make")
    private Path file;
    @Option(names = "--size", defaultValue = "1280x640", paramLabel = "WxH", description = "the canvas, in px (default ${DEFAULT-VALUE})")
    private String size;
    @Option(names = "--fps", defaultValue = "24", paramLabel = "N", description = "frames a second (default ${DEFAULT-VALUE})")
    private int fps;

    @Option(names = "--force", description = "writes over a file that is there")
    private boolean force;

    @Override
    public Integer call() throws Exception {
        if (file.getFileName() == null || Files.isDirectory(file)) {
            throw new IllegalArgumentException("“" + file + "” is a folder; name the project's file. Nothing was written.");
        }
        if (Files.exists(file) && !(force && Files.isRegularFile(file))) {
            throw new IllegalArgumentException("“" + file.getFileName()
                    + "” is there already and was left as it is. Name another file, or write over it with --force.");
        }
        if (fps < 1 || fps > 240) {
            throw new IllegalArgumentException("The frame rate must lie between 1 and 240.");
        }
        ProjectFile.write(Project.empty(file.getFileName().toString().replaceFirst("\\.tundra$", ""), Sizes.parse(size), fps), file);
        System.out.println(file);
        return 0;
    }
}
