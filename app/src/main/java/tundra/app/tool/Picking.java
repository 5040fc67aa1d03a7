package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.frame.Pickable;
import tundra.core.geometry.Point;

/** What a press on the canvas can mean. */
public final class Picking {
    private Picking() {}

    /**
     * The ids from the outermost group to the element that is hit, for everything under a point, in the order in which it is meant. Where
     * reactions are written touch areas come first, then what is seen, then what is hidden or faded at the playhead.
     */
    public static List<List<String>> under(Studio studio, Point at, double tolerance) {
        Frame seen = studio.picture().frame();
        List<List<String>> under = HitTest.under(seen, at, tolerance);
        if (studio.desk() != Desk.INTERACT || studio.time().playing()) {
            return under;
        }
        Frame all = Frames.of(studio.project(), Pickable.board(studio.board()), studio.picture().fonts()).at(studio.picture().moment());
        var areas = new ArrayList<List<String>>();
        var unseen = new ArrayList<List<String>>();
        for (List<String> path : HitTest.under(all, at, tolerance)) {
            if (!under.contains(path)) {
                (seen.find(path.getLast()) != null && Pickable.isArea(studio.board().find(path.getLast())) ? areas : unseen).add(path);
            }
        }
        areas.addAll(under);
        areas.addAll(unseen);
        return areas;
    }
}
