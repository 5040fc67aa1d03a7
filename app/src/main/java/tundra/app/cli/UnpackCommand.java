package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.file.ProjectFolder;

@Command(name = "unpack", mixinStandardHelpOptions = true,
        description = "Writes a project as a folder of text and brought-in files, for version control.")
final class UnpackCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--to", required = true, paramLabel = "FOLDER", description = "a new folder, or one that a project was unpacked into")
    private Path to;

    @Override
    public Integer call() throws Exception {
        ProjectFolder.unpack(Opening.of(file), to);
        System.out.println(to);
        return 0;
    }
}
