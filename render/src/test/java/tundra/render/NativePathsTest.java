package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Rect;

class NativePathsTest {
    private static List<Outline> many(int n) {
        return IntStream.range(0, n).mapToObj(i -> Outline.rectangle(new Rect(i, 0, 10, 10), 0)).toList();
    }

    @Test
    void aPictureOfManyOutlinesMakesEachOnce() {
        try (var paths = new NativePaths()) {
            List<Outline> all = many(12_000);
            paths.begin();
            var first = new ArrayList<Path>();
            all.forEach(o -> first.add(paths.of(o)));
            for (int i = 0; i < 3; i++) {
                paths.begin();
                for (int j = 0; j < all.size(); j++) {
                    assertThat(paths.of(all.get(j))).isSameAs(first.get(j));
                }
            }
            assertThat(paths.size()).isEqualTo(12_000);
        }
    }

    @Test
    void outlinesThatArentShownAnyMoreAreLetGo() {
        try (var paths = new NativePaths()) {
            List<Outline> stays = many(100);
            // something that moves along has another outline in each picture
            for (int i = 0; i < 200; i++) {
                paths.begin();
                stays.forEach(paths::of);
                many(100).forEach(paths::of);
            }
            assertThat(paths.size()).isBetween(100, 5_200);
            Path kept = paths.of(stays.getFirst());
            assertThat(kept.isEmpty()).as("still there").isFalse();
        }
    }
}
