package tundra.app.canvas;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class CoarsenessTest {
    private static final int PIXELS = 1_000_000;
    private final Coarseness coarse = new Coarseness();

    @Test
    void quickPicturesArePaintedWhole() {
        assertThat(coarse.of(PIXELS)).isEqualTo(1);
        coarse.took(0.03, PIXELS);
        coarse.took(0.08, PIXELS);
        assertThat(coarse.of(PIXELS)).isEqualTo(1);
    }

    @Test
    void oneSlowPictureChangesNothingAndTwoDo() {
        coarse.took(0.02, PIXELS);
        coarse.took(0.30, PIXELS);
        assertThat(coarse.of(PIXELS)).isEqualTo(1);
        coarse.took(0.31, PIXELS);
        // 0.3 s a million pixels: a quarter of them takes 0.075 s
        assertThat(coarse.of(PIXELS)).isEqualTo(2);
        assertThat(coarse.of(PIXELS * 2)).as("0.6 s: a sixteenth takes 0.0375 s").isEqualTo(4);
        assertThat(coarse.of(PIXELS * 100)).as("no coarser than that").isEqualTo(4);
    }

    @Test
    void whatIsPaintedCoarselyTellsWhenItHasBecomeQuick() {
        coarse.took(0.3, PIXELS);
        coarse.took(0.3, PIXELS);
        coarse.took(0.01, PIXELS / 4);
        assertThat(coarse.of(PIXELS)).isEqualTo(1);
    }
}
