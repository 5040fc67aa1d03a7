package tundra.app.lesson;

import java.util.List;
import java.util.function.Predicate;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;

/** A piece made step by step: each step says what to do, and tells by the piece itself whether it was done. */
public final class Lesson {
    /**
     * @param seen the lesson watches what happens
     * @param done whether it was done
     */
    public record Step(String words, String how, Predicate<Seen> done) {}

    /** What can be seen of the window. @param played whether something was played, tried or made since the lesson began */
    public record Seen(Studio studio, boolean played, boolean tried, boolean made) {
        private Board board() {
            return studio.kept().scenes().getFirst().board();
        }
    }

    /** Your first piece: a sun that rises when it is tapped. */
    public static final List<Step> FIRST = List.of(
            new Step("Draw a sun", "Press {tool-ELLIPSE} for the ellipse and drag on the canvas; hold Shift for a circle.",
            s -> sun(s.board()) != null),
            new Step("Give it a colour", "With the sun selected, choose its fill in the details at the right.", s -> sun(s.board()) != null
            && sun(s.board()).rest().has(Properties.FILL) && sun(s.board()).rest().get(Properties.FILL).main().alpha() > 0
            && colored(sun(s.board()))),
            new Step("Go to the Animate desk", "Press {desk-ANIMATE}, or take it at the left edge.", s -> s.studio.desk() == Desk.ANIMATE
            || keyed(s.board())),
            new Step("Let it rise", "Press {key} for a key where it is. Move the playhead to another time and drag the sun: the second key is set by itself.", s -> keyed(s.board())),
            new Step("Watch it", "Press {play} to play, and once more to stop.", Seen::played),
            new Step("Say when it rises",
            "Go to the Interact desk with {desk-INTERACT}, select the sun, and add a reaction: when it is tapped, play Main from start.",
            s -> !s.board().reactions().isEmpty()),
            new Step("Be a visitor", "Press {try} and tap your sun. Escape comes back.", Seen::tried),
            new Step("Make a page of it", "Go to the Publish desk with {desk-PUBLISH} and press Make on the web page.", Seen::made));

    private Lesson() {}

    private static Element sun(Board b) {
        return b.elements().stream().filter(e -> e.content() instanceof Content.Ellipse).findFirst().orElse(null);
    }

    /** Anything but a grey. */
    private static boolean colored(Element e) {
        var c = e.rest().get(Properties.FILL).main();
        return Math.max(c.red(), Math.max(c.green(), c.blue())) - Math.min(c.red(), Math.min(c.green(), c.blue())) > 30;
    }

    private static boolean keyed(Board b) {
        Element sun = sun(b);
        return sun != null && b.timelines().stream().anyMatch(t -> keys(t, sun.id()) > 1);
    }

    private static int keys(Timeline t, String id) {
        return t.track(id, Properties.POSITION) == null ? 0 : t.track(id, Properties.POSITION).keys().size();
    }
}
