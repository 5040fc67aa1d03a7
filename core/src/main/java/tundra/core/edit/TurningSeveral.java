package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;

/**
 * Several elements turned and scaled together.
 *
 * @param centre the point of the canvas that stays; null turns each around its own pivot
 */
public record TurningSeveral(Point centre, List<ResizingSeveral.Part> parts) {

    /** The board with all parts turned, in degrees clockwise. */
    public Board turn(Board board, double degrees, ResizingSeveral.Setter setter) {
        Board out = moved(board, Affine.rotate(degrees), setter);
        for (ResizingSeveral.Part p : parts) {
            // within a mirrored group things turn the other way
            double way = p.parent().determinant() < 0 ? -degrees : degrees;
            out = setter.set(out, p.id(), Properties.ROTATION, p.start().get(Properties.ROTATION) + way);
        }
        return out;
    }

    /** The board with all parts scaled by a factor. */
    public Board scale(Board board, double factor, ResizingSeveral.Setter setter) {
        Board out = moved(board, Affine.scale(factor, factor), setter);
        for (ResizingSeveral.Part p : parts) {
            out = setter.set(out, p.id(), Properties.SCALE, p.start().get(Properties.SCALE).times(factor));
        }
        return out;
    }

    private Board moved(Board board, Affine change, ResizingSeveral.Setter setter) {
        if (centre == null) {
            return board;
        }
        Affine around = Affine.translate(centre.x(), centre.y()).times(change).times(Affine.translate(-centre.x(), -centre.y()));
        Board out = board;
        for (ResizingSeveral.Part p : parts) {
            Point at = p.start().get(Properties.POSITION);
            out = setter.set(out, p.id(), Properties.POSITION, p.parent().inverse().apply(around.apply(p.parent().apply(at))));
        }
        return out;
    }
}
