package tundra.app.studio;

import java.util.function.Function;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.frame.Parallax;
import tundra.core.model.Board;
import tundra.core.model.Values;
import tundra.render.Fonts;

/** What is open as it is seen at the playhead: its picture, and the values that all in it has there. */
public final class BoardPicture {
    private final Studio studio;
    private final BoardEvaluation seen = new BoardEvaluation();
    private final ValuesNow now = new ValuesNow();
    private boolean resting;

    BoardPicture(Studio studio) {
        this.studio = studio;
    }

    /** The fonts that this project's text can be set in. */
    public Fonts fonts() {
        return Fonts.of(studio.project().assets());
    }

    /** Whether things are seen as they rest, without what their keys do: a way to draw what is faded in later. */
    public boolean atRest() {
        return resting && studio.desk() == Desk.DRAW && !studio.time().playing();
    }

    public void setAtRest(boolean on) {
        if (resting != on) {
            resting = on;
            again();
        }
    }

    /** The board that is seen: the real one, or one without keys. */
    Board board() {
        return atRest() ? seen.rested(studio.board()) : studio.board();
    }

    /** The evaluator of the board as it is now. */
    public FrameBuilder builder() {
        return seen.builder(studio.project(), board());
    }

    /** Where the timelines stand: the opened scene at the playhead, with the chosen timeline on top. */
    public Moment moment() {
        return now.moment(studio.board(), studio.timeline().id(), studio.time().playhead());
    }

    /** The same at another time of the playhead. */
    Moment momentAt(long time) {
        return Moment.editing(studio.board(), studio.timeline().id(), time);
    }

    /** All values of an element at the playhead; null when there is no such element. */
    public Values valuesOf(String element) {
        return now.of(builder(), moment(), element);
    }

    /** All values of elements at the playhead, for asking after many at once; until something changes. */
    Function<String, Values> valuesNow() {
        FrameBuilder b = builder();
        Moment m = moment();
        return id -> now.of(b, m, id);
    }

    /** Where Main, by which flipbooks go, stands at the playhead, in µs. */
    public long mainTime() {
        return moment().timeOf(studio.board().main().id());
    }

    /** The board at the playhead. */
    public Frame frame() {
        FrameBuilder b = builder();
        return seen.frame() != null ? seen.frame() : seen.frame(studio.open().within(studio.project(), studio.book().over(
                soloed(Parallax.scrolled(b.at(momentAt(studio.book().seen())), board(), studio.scroll().at())))));
    }

    /** Where an element stands at the playhead; null when it isn't shown. For asking after many elements at once. */
    public Frame.Placed placed(String id) {
        return frame().find(id);
    }

    /** Shows one text with the names of its values, as while it is typed; null for none. */
    public void showAsWritten(String element) {
        // the picture is made anew, so only where there are values
        if (seen.showAsWritten(studio.project().values().isEmpty() ? null : element)) {
            again();
        }
    }

    private void again() {
        reframe();
        studio.changed(Aspect.PLAYHEAD);
    }

    /** Has the picture made anew: something changed, in the document or in how it is seen. */
    void reframe() {
        seen.reframe();
    }

    /** Forgets all that another project brought. */
    void clear() {
        seen.clear();
    }

    private Frame soloed(Frame f) {
        return studio.groups().solo().isEmpty() ? f : new Frame(f.size(), f.background(), f.nodes().stream().filter(this::shownAlone).toList());
    }

    private boolean shownAlone(FrameNode n) {
        // parts that blocks paint of themselves have no id
        return n.id() != null && studio.groups().solo().contains(n.id()) || n.children().stream().anyMatch(this::shownAlone);
    }
}
