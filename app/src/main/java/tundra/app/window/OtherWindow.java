package tundra.app.window;

import java.io.File;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tundra.app.Launcher;

/** Starts the program once more: a window of its own, that goes on when this one ends. */
final class OtherWindow {
    private OtherWindow() {}

    static void open() throws IOException {
        new ProcessBuilder(command()).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
    }

    /** As this process was started, without its file. */
    static List<String> command() {
        String installed = System.getProperty("jpackage.app-path");
        if (installed != null) {
            return List.of(installed);
        }
        var out = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        out.addAll(ManagementFactory.getRuntimeMXBean().getInputArguments());
        String modules = System.getProperty("jdk.module.path");
        if (modules != null && out.stream().noneMatch(a -> a.startsWith("--module-path"))) {
            out.add("--module-path=" + modules);
        }
        out.addAll(List.of("-cp", System.getProperty("java.class.path", "." + File.pathSeparator), Launcher.class.getName()));
        return out;
    }
}
