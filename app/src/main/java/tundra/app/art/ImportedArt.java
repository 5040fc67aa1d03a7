package tundra.app.art;

import java.util.List;
import java.util.function.BiFunction;
import tundra.core.edit.Arrange;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.svg.ArtPlacing;
import tundra.core.svg.SvgArt;

/** Art that was read and waits to be placed. */
public sealed interface ImportedArt {
    /** The project with it in the middle of the canvas of a scene or motif, and the element that it became; null for what is only kept. */
    record Added(Project project, String id) {}

    /** In px; null for what can't be seen. */
    Point size();

    String name();

    /** What could not be kept. */
    default List<String> report() {
        return List.of();
    }

    Added addTo(Project p, String place);

    record Picture(Asset asset) implements ImportedArt {
        @Override
        public Point size() {
            return new Point(asset.width(), asset.height());
        }

        @Override
        public String name() {
            return asset.title();
        }

        @Override
        public Added addTo(Project p, String place) {
            Element e = ArtPlacing.picture(asset, p.place(place).board().size());
            return new Added(p.withAsset(asset).mapBoard(place, b -> Arrange.add(b, e)), e.id());
        }
    }

    /** A font or a sound, which is kept on the shelf. */
    record Kept(Asset asset) implements ImportedArt {
        @Override
        public Point size() {
            return null;
        }

        @Override
        public String name() {
            return asset.title();
        }

        @Override
        public Added addTo(Project p, String place) {
            return new Added(p.withAsset(asset), null);
        }
    }

    /** A video, a map or a page's files, placed as a block. */
    record Part(String name, Asset asset, Point size, BiFunction<Board, Point, Element> made) implements ImportedArt {
        @Override
        public Added addTo(Project p, String place) {
            Board b = p.place(place).board();
            Element e = made.apply(b, b.size().times(0.5));
            return new Added((asset == null ? p : p.withAsset(asset)).mapBoard(place, x -> Arrange.add(x, e)), e.id());
        }
    }

    record Drawing(SvgArt art) implements ImportedArt {
        @Override
        public Point size() {
            return art.size();
        }

        @Override
        public String name() {
            return art.name().replaceFirst("\\.(svg|svgz)$", "");
        }

        @Override
        public List<String> report() {
            return art.report();
        }

        @Override
        public Added addTo(Project p, String place) {
            var placed = ArtPlacing.add(p.place(place).board(), art, name());
            Project out = p;
            for (Asset a : art.assets().values()) {
                out = out.withAsset(a);
            }
            return new Added(out.mapBoard(place, b -> placed.board()), placed.id());
        }
    }
}
