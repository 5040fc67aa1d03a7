package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Renewed;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Condition;
import tundra.core.model.Conditions;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** When to come, and how to write; it knows how often the mast was raised. */
final class Visit {
    private static final Point MIDDLE = new Point(0.5, 0.5);

    private Visit() {}

    static Scene scene() {
        return new Scene(OpenNight.VISIT, "Visit", Ids.seeded(5, () -> Renewed.of(board())));
    }

    private static Element button(String id, String words, double x, double width) {
        return Art.group(words, new Rect(x, 470, width, 48), MIDDLE, List.of(Art.rectangle(words + " face", x, 470, width, 48, 24, "#FFFFFF"), Art.text(words + " words", words, x + 28, 482.5, 600, 18, "#1D2926")))
                .withId(id).with(Properties.CURSOR, "pointer");
    }

    private static Board board() {
        var elements = new ArrayList<>(List.of(Scenery.sky(), Scenery.stars(), Scenery.ridges(), Scenery.snow().get(0), Scenery.snow().get(1),
                Art.text("Visit title", "Come and read the sky", 84, 60, 600, 64, "#FFFFFF"), Art.text("Visit when", "Open on the longest night, from dusk until the aurora fades.", 88, 152, 400, 24, "#CFEBE2"),
                Art.text("Raised", "The mast was raised {raised} times on this screen.", 88, 230, 400, 24, "#CFEBE2").withId("raised"),
                button("mail", "Write to the station", 84, 222), button("home", "Back to the station", 322, 222)));
        List<Condition> any = List.of(Conditions.of(Conditions.VALUE, OpenNight.RAISED, "is more than", "0"));
        var lines = List.of("raised");
        var reactions = List.of(new Reaction("count", Events.of(Events.OPENED), any, false, List.of(Actions.of(Actions.SHOW, lines)), List.of(Actions.of(Actions.HIDE, lines)), false, ""),
                new Reaction("write", Events.tapped("mail"), List.of(Actions.of(Actions.WRITE_MAIL, "station@example.org"))),
                new Reaction("home-tapped", Events.tapped("home"), List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL))),
                new Reaction("over", Events.of(Events.OVER, "mail"), List.of(Actions.of(Actions.SET, List.of("mail"), Setting.of(Properties.SCALE, new Point(1.06, 1.06)), 150_000L, "cubic-bezier(0.25, 0.1, 0.25, 1)"))),
                new Reaction("out", Events.of(Events.OUT, "mail"), List.of(Actions.of(Actions.SET, List.of("mail"), Setting.of(Properties.SCALE, new Point(1, 1)), 150_000L, "cubic-bezier(0.25, 0.1, 0.25, 1)"))),
                new Reaction("leave", Events.of(Events.KEY_PRESSED, "Escape"), List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL))));
        return new Board(new Point(1280, 640), Values.NONE.with(Properties.BACKGROUND, Art.color("#23566B")), elements,
                List.of(new Timeline("visit-main", Timeline.MAIN, 5_000_000, false, true, Map.of())), reactions);
    }
}
