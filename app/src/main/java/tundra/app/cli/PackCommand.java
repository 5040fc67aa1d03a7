package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.output.FileStart;
import tundra.core.file.ProjectFile;
import tundra.core.file.ProjectFolder;

@Command(name = "pack", mixinStandardHelpOptions = true, description = "Makes a project of a folder that one was unpacked into.")
final class PackCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FOLDER", description = "the folder")
    private Path folder;
    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the project to write")
    private Path to;
    @Mixin
    private OutputFile writes;

    @Override
    public Integer call() throws Exception {
        writes.allow(to, FileStart.TUNDRA);
        ProjectFile.write(ProjectFolder.pack(folder), to);
        System.out.println(to);
        return 0;
    }
}
