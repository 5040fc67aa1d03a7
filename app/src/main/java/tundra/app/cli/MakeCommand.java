package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.job.Troubles;
import tundra.app.output.Made;
import tundra.app.output.Makers;
import tundra.app.output.OutputPlaces;
import tundra.core.model.Output;
import tundra.core.model.Project;

/** Makes outputs that are saved with a piece. One that can't be made is told, and the others are made all the same. */
@Command(name = "make", mixinStandardHelpOptions = true,
        description = "Makes the outputs that are saved with a project: all of them, or those that are named.")
final class MakeCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE", description = "the project")
    private Path file;
    @Parameters(index = "1..*", arity = "0..*", paramLabel = "OUTPUT", description = "the name of an output; all of them when none is named")
    private List<String> names = new ArrayList<>();
    @Option(names = "--to", paramLabel = "DIR", description = "the folder to write into; that of the project when it is left out")
    private Path to;
    @Option(names = "--list", description = "says what would be made, and makes nothing")
    private boolean list;
    @Option(names = "--force", description = "writes over files that are something else")
    private boolean force;

    @Override
    public Integer call() throws Exception {
        Project p = Opening.of(file);
        List<Output> all = chosen(p);
        if (to != null && Files.exists(to) && !Files.isDirectory(to)) {
            throw new IllegalArgumentException("“" + to.getFileName() + "” is a file; --to names a folder. Nothing was written.");
        }
        Path folder = to == null ? file.toAbsolutePath().getParent() : to;
        int failed = 0;
        for (Output o : all) {
            Path at = folder.resolve(OutputPlaces.name(p, o, file));
            if (list) {
                System.out.println(o.name() + ": " + OutputPlaces.name(p, o, file));
                continue;
            }
            try {
                if (Files.exists(at) && Files.isSameFile(at, file)) {
                    throw new IllegalArgumentException("It would be written over the project itself. Nothing was changed.");
                }
                Made made = Makers.make(p, o, at, force, Percent.shown());
                System.out.println(o.name() + ": " + at + ", " + made.size() + ", " + made.words());
                if (!made.leftOut().isEmpty()) {
                    System.err.println(o.name() + ": " + made.leftOut());
                }
            } catch (Exception e) {
                failed++;
                System.err.println(o.name() + ": " + Troubles.sentence(e).lines().findFirst().orElse(""));
            }
        }
        return failed == 0 ? 0 : 1;
    }

    private List<Output> chosen(Project p) {
        if (names.isEmpty()) {
            return p.outputs();
        }
        var out = new ArrayList<Output>();
        for (String name : names) {
            out.add(p.outputs().stream().filter(o -> o.name().equalsIgnoreCase(name)).findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("There is no output “" + name + "”; "
                    + (p.outputs().isEmpty() ? "the piece has none." : "there is " + p.outputs().stream().map(Output::name)
                    .collect(Collectors.joining(", ")) + "."))));
        }
        return out;
    }
}
