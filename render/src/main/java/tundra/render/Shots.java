package tundra.render;

import io.github.humbleui.skija.Canvas;
import java.util.ArrayList;
import java.util.List;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.frame.SceneLayer;
import tundra.core.model.Project;
import tundra.core.model.Transition;

/** Paints scenes one after the other. The one before goes on playing while the next one takes its place. One thread at a time. */
final class Shots {
    private final List<Shot> shots;
    private final List<FrameBuilder> builders = new ArrayList<>();

    Shots(Project project, List<Shot> shots) {
        this.shots = shots;
        shots.forEach(s -> builders.add(Frames.of(project, s.board(), Fonts.of(project.assets()))));
    }

    /** @param time in µs from the begin of the film */
    void paint(Painter painter, Canvas canvas, long time, Painter.Room room) {
        int at = 0;
        long since = time;
        while (at + 1 < shots.size() && since >= shots.get(at).length()) {
            since -= shots.get(at++).length();
        }
        var seen = new ArrayList<Painter.Seen>();
        Transition into = shots.get(at).into();
        if (at > 0 && into.kind() != Transition.Kind.CUT && since < into.time()) {
            double share = since / (double) into.time();
            seen.add(new Painter.Seen(builders.get(at - 1).at(moment(at - 1, shots.get(at - 1).length() + since)),
                    SceneLayer.goes(into, share, false)));
            seen.add(new Painter.Seen(builders.get(at).at(moment(at, since)), SceneLayer.comes(into, share, false)));
        } else {
            seen.add(new Painter.Seen(builders.get(at).at(moment(at, since)), SceneLayer.THERE));
        }
        painter.scenes(canvas, seen, room);
    }

    private Moment moment(int shot, long since) {
        return Moment.opened(shots.get(shot).board(), shots.get(shot).from() + since);
    }
}
