package tundra.app.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;
import tundra.core.compare.Differences;

@Command(name = "diff", mixinStandardHelpOptions = true,
        description = "Says in words what changed between two versions of a project. Exit code 0 when nothing did, 2 when something did, 1 when one can't be read.")
final class DiffCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "BEFORE", description = "a project")
    private Path before;
    @Parameters(index = "1", paramLabel = "AFTER", description = "another version of it")
    private Path after;

    @Override
    public Integer call() throws Exception {
        List<String> told = Differences.of(Opening.of(before), Opening.of(after));
        told.forEach(System.out::println);
        return told.isEmpty() ? 0 : 2;
    }
}
