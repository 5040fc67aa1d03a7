package tundra.app.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;

/** Commands that never end are given up with a sentence; what a command says is what is said. */
class PatienceTest {
    private static String told(Runnable run) {
        PrintStream old = System.err;
        var bytes = new ByteArrayOutputStream();
        try {
            System.setErr(new PrintStream(bytes, true, StandardCharsets.UTF_8));
            run.run();
        } finally {
            System.setErr(old);
        }
        return bytes.toString(StandardCharsets.UTF_8).strip();
    }

    @Test
    void whatNeverEndsIsGivenUp() {
        var never = new CountDownLatch(1);
        int[] code = new int[1];
        String words = told(() -> code[0] = Patience.run(() -> {
            try {
                never.await();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            return 0;
        }, 1));
        never.countDown();
        assertThat(code[0]).isEqualTo(1);
        assertThat(words).startsWith("That took longer than one second, so it was given up; the project is unchanged.").doesNotContain("\n");
    }

    @Test
    void whatEndsEndsAsItSays() {
        assertThat(Patience.run(() -> 3, 20)).isEqualTo(3);
        assertThat(told(() -> Patience.run(() -> 0, 20))).isEmpty();
    }
}
