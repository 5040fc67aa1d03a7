package tundra.app;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** A test that has a real window of its own for each of its methods. */
abstract class InWindow {
    protected RealWindow t;

    @BeforeEach
    void openWindow() throws Exception {
        t = new RealWindow();
    }

    @AfterEach
    void closeWindow() throws Exception {
        t.close();
    }
}
