package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import tundra.app.builtin.Workshop;
import tundra.app.job.Work;
import tundra.app.studio.Settings;
import tundra.app.window.MainWindow;

/** The window is made beside the interface thread, as the application does it at its start. */
class MadeBesideTest extends InWindow {
    @Test
    void theWindowIsMadeBesideTheInterfaceThread() throws Exception {
        var made = new CompletableFuture<MainWindow>();
        Work.start("as the application starts", () -> {
            try {
                made.complete(new MainWindow(new Workshop(TundraApp.blank(), Settings.load(), t, url -> { })));
            } catch (Throwable e) {
                made.completeExceptionally(e);
            }
        });
        assertThat(made.get(30, TimeUnit.SECONDS)).isNotNull();
    }
}
