package tundra.app.publish;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/** The system's browser, by the program that opens addresses there. */
public final class SystemBrowser implements Browser {
    private static final List<String> OPENERS = List.of("xdg-open", "sensible-browser", "x-www-browser");
    private static final int WAIT = 4;
    private final Consumer<String> elsewhere;

    /** @param elsewhere opens an address where there is no such program, as on Windows and macOS */
    public SystemBrowser(Consumer<String> elsewhere) {
        this.elsewhere = elsewhere;
    }

    @Override
    public void open(String address) throws IOException {
        if (!System.getProperty("os.name").equals("Linux")) {
            elsewhere.accept(address);
            return;
        }
        for (String opener : OPENERS) {
            if (onPath(opener) && starts(opener, address)) {
                return;
            }
        }
        throw new IOException("no browser was found on this machine");
    }

    private static boolean onPath(String program) {
        for (String folder : System.getenv().getOrDefault("PATH", "").split(File.pathSeparator)) {
            if (!folder.isEmpty() && Files.isExecutable(Path.of(folder, program))) {
                return true;
            }
        }
        return false;
    }

    /** An opener that ends at once with an error found nothing to open the address with. */
    private static boolean starts(String opener, String address) throws IOException {
        Process p = new ProcessBuilder(opener, address).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        try {
            return !p.waitFor(WAIT, TimeUnit.SECONDS) || p.exitValue() == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return true;
        }
    }
}
