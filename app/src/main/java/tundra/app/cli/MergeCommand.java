package tundra.app.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.output.FileStart;
import tundra.core.compare.Merge;
import tundra.core.file.ProjectFile;

@Command(name = "merge", mixinStandardHelpOptions = true,
        description = "Joins two versions of a project that were made of a third one. Exit code 0 when all of both is in it, 2 when both changed the same, which is told; nothing is written then unless --prefer says whose counts.")
final class MergeCommand implements Callable<Integer> {
    @Option(names = "--base", required = true, paramLabel = "FILE", description = "the version that both were made of")
    private Path base;
    @Parameters(index = "0", paramLabel = "MINE", description = "a version")
    private Path mine;
    @Parameters(index = "1", paramLabel = "THEIRS", description = "another version")
    private Path theirs;
    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the project to write")
    private Path to;
    @Option(names = "--prefer", paramLabel = "SIDE", description = "mine or theirs: whose version counts where both changed the same")
    private String prefer;
    @Mixin
    private OutputFile writes;

    @Override
    public Integer call() throws Exception {
        if (prefer != null && !prefer.equals("mine") && !prefer.equals("theirs")) {
            throw new IllegalArgumentException("--prefer is mine or theirs.");
        }
        writes.allow(to, FileStart.TUNDRA, base, mine, theirs);
        var merged = Merge.of(Opening.of(base), Opening.of(mine), Opening.of(theirs), "theirs".equals(prefer) ? Merge.Side.THEIRS : Merge.Side.MINE);
        merged.conflicts().forEach(System.err::println);
        if (!merged.conflicts().isEmpty() && prefer == null) {
            System.err.println("Nothing was written. Say by --prefer mine or --prefer theirs whose version counts there.");
            return 2;
        }
        ProjectFile.write(merged.project(), to);
        System.out.println(to);
        return merged.conflicts().isEmpty() ? 0 : 2;
    }
}
