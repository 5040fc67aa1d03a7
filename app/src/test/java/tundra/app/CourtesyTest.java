package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

/** In a process of its own: the tests' compiler keeps its place. */
@EnabledOnOs(OS.LINUX)
class CourtesyTest {
    /** Tells how nice the compilers are once the optimising one has become nicer, or after ten seconds. */
    public static final class Probe {
        private Probe() {}

        public static void main(String[] args) throws Exception {
            Courtesy.begin();
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
            while (niceness("C2") == 0 && System.nanoTime() < end) {
                Thread.sleep(20);
            }
            System.out.println(niceness("C1") + " " + niceness("C2"));
        }

        /** As proc(5) has it: the 19th field of a thread's stat, which is the 17th after the name. */
        private static int niceness(String compiler) throws Exception {
            for (File t : new File("/proc/self/task").listFiles()) {
                String stat = Files.readString(Path.of(t.getPath(), "stat"));
                if (stat.contains("(" + compiler + " CompilerThre")) {
                    return Integer.parseInt(stat.substring(stat.lastIndexOf(')') + 2).split(" ")[16]);
                }
            }
            throw new IllegalStateException("no thread of " + compiler);
        }
    }

    @Test
    void theOptimisingCompilerGivesWayAndTheQuickOneDoesNot() throws Exception {
        Process p = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin/java").toString(), "-cp", System.getProperty("java.class.path"),
                Probe.class.getName()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        String said = new String(p.getInputStream().readAllBytes()).strip();
        assertThat(p.waitFor()).isZero();
        assertThat(said).isEqualTo("0 10");
    }
}
