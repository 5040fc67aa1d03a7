package tundra.app.cli;

import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import tundra.core.fit.Layouts;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.render.Fonts;

/** The words that name a layout of a scene, or another size of its canvas. */
final class LayoutOptions {
    @Option(names = "--layout", paramLabel = "NAME",
            description = "the scene's layout; when it is left out the scene as it is drawn, or with --canvas the layout for that width")
    private String layout;
    @Option(names = "--canvas", paramLabel = "WxH", description = "another size of the canvas: everything is where its ties take it")
    private String canvas;

    /** A board in the layout and at the size that are named. */
    Board of(String place, Board b, Fonts fonts) {
        Point size = canvas == null ? null : Sizes.parse(canvas);
        Layout l = layout == null ? size == null ? null : Layouts.at(b, size.x()) : named(place, b, layout);
        return Layouts.seen(b, l, size, fonts);
    }

    /** The layout of a scene that is called so. */
    static Layout named(String place, Board b, String layout) {
        return b.layouts().stream().filter(x -> x.name().equalsIgnoreCase(layout)).findFirst().orElseThrow(() ->
                new IllegalArgumentException("There is no layout “" + layout + "” in " + place + "; " + (b.layouts().isEmpty() ? "it has none"
                        : "there is " + names(b)) + "."));
    }

    private static String names(Board b) {
        return b.layouts().stream().map(Layout::name).collect(Collectors.joining(", "));
    }

    /** A piece with its scenes in that layout, where they have one of its name, and at that size. */
    Project of(Project p) {
        if (layout != null && p.scenes().stream().noneMatch(s -> s.board().layouts().stream().anyMatch(l -> l.name().equalsIgnoreCase(layout)))) {
            throw new IllegalArgumentException("No scene has a layout “" + layout + "”.");
        }
        return layout == null && canvas == null ? p
                : p.withScenes(p.scenes().stream().map(s -> layout != null && s.board().layouts().stream()
                .noneMatch(l -> l.name().equalsIgnoreCase(layout)) ? s : s.withBoard(of(s.name(), s.board(), Fonts.of(p.assets())))).toList());
    }
}
