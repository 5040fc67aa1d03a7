package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.NamedEasing;

/** The pieces of CSS functions, put together again, are the easing. */
class EasingPiecesTest {
    private static double together(List<EasingPieces.Piece> pieces, double p) {
        var piece = pieces.stream().filter(x -> p <= x.to()).findFirst().orElseThrow();
        String css = piece.css().replace("jump-end", "end");
        Easing inner = EasingText.parse(css);
        return piece.low() + (piece.high() - piece.low()) * inner.at((p - piece.from()) / (piece.to() - piece.from()));
    }

    @Test
    void piecesFollowTheEasingToAMillionth() {
        for (NamedEasing n : NamedEasing.ALL) {
            var pieces = EasingPieces.of(n.easing());
            assertThat(pieces.getFirst().from()).isZero();
            assertThat(pieces.getLast().to()).isEqualTo(1);
            for (double p = 0.00013; p < 1; p += 0.00171) {
                assertThat(together(pieces, p)).as(n.trade() + " at " + p).isCloseTo(n.easing().at(p), within(3e-6));
            }
        }
    }

    @Test
    void partsOfAnEasingAreFollowedToo() {
        for (String text : List.of("part(bounce-out, 0.2, 0.83)", "part(elastic-out, 0.1, 0.6)", "part(spring(180, 8, 1), 0, 0.4)",
                "part(expo-in, 0.5, 1)", "part(sine-both, 0.25, 0.75)")) {
            var pieces = EasingPieces.of(EasingText.parse(text));
            for (double p = 0.00013; p < 1; p += 0.00171) {
                assertThat(together(pieces, p)).as(text + " at " + p).isCloseTo(EasingText.parse(text).at(p), within(6e-6));
            }
        }
    }

    @Test
    void whatCssCanSayIsOnePiece() {
        for (String text : List.of("linear", "hold", "ease", "cubic-bezier(0.1, 2, 0.3, -1)", "steps(7, jump-both)")) {
            assertThat(EasingPieces.of(EasingText.parse(text))).hasSize(1);
        }
        // polynomials of the third degree are Béziers
        assertThat(EasingPieces.of(EasingText.parse("cubic-in"))).hasSize(1);
        assertThat(EasingPieces.of(EasingText.parse("back-out"))).hasSize(1);
        assertThat(EasingPieces.of(EasingText.parse("bounce-out")).size()).isLessThanOrEqualTo(8);
        int most = NamedEasing.ALL.stream().mapToInt(n -> EasingPieces.of(n.easing()).size()).max().orElseThrow();
        assertThat(most).as("keyframes of the most lively easing").isLessThanOrEqualTo(160);
    }
}
