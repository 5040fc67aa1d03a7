package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Conditions;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The menu of the arrival, which slides open and back, and the hut's bell. */
final class ArrivalMenu {
    static final Asset CHIME = Chimes.bell("hut-bell.wav", 440);
    private static final Point MIDDLE = new Point(0.5, 0.5);
    /** The name of the group that its reactions stand in. */
    private static final String MENU = "Menu";
    private static final String OPENS = "t-menu", RINGS = "t-bell";

    private ArrivalMenu() {}

    private static Element entry(String words, double y) {
        return Art.group(words, new Rect(1304, y, 200, 36), MIDDLE, List.of(Art.rectangle(words + " row", 1304, y, 200, 36, 8, "#FFFFFF1F"),
                Art.text(words + " label", words, 1320, y + 8, 600, 16, "#FFFFFF")))
                .with(Properties.CURSOR, "pointer");
    }

    static List<Element> elements() {
        Element bell = Art.group("Hut bell", new Rect(1040, 396, 18, 26), new Point(0.5, 0),
                List.of(Art.rectangle("Bell touch area", 1031, 392, 36, 36, 0, "#00000000").with(Properties.TOUCH, "its whole box"),
                Art.rectangle("Bell hook", 1048, 396, 2, 6, 0, "#4A565B"), Art.polygon("Bell cup", "#E9B44C", 1042, 418, 1044, 404, 1049, 400, 1054,
                404, 1056, 418),
                Art.circle("Bell clapper", 1049, 419, 2.5, "#8A5A1E"))).with(Properties.CURSOR, "pointer");
        var lines = new ArrayList<Element>();
        lines.add(Art.rectangle("Menu face", 1200, 40, 44, 44, 22, "#FFFFFF26"));
        for (int i = 0; i < 3; i++) {
            lines.add(Art.rectangle("Menu line " + (i + 1), 1212, 53 + 8 * i, 20, 2.5, 1, "#FFFFFF"));
        }
        Element button = Art.group("Menu", new Rect(1200, 40, 44, 44), MIDDLE, lines).with(Properties.CURSOR, "pointer");
        Element panel = Art.group("Menu panel", new Rect(1290, 96, 228, 190), new Point(0, 0),
                List.of(Art.rectangle("Menu ground", 1290, 96, 228, 190, 14, "#0B2036D9"), entry("Night walk", 110), entry("Raise the mast", 152),
                entry("Visit", 194), entry("Write to us", 236)));
        return List.of(bell, panel, button);
    }

    static List<Timeline> timelines() {
        var slide = new Timeline(OPENS, "Menu", 400_000, false, false, Map.of()).with("s-menu-panel", Properties.POSITION, new Track<>(List.of(
                new Key<>(0, new Point(1290, 96), EasingText.parse("cubic-out")), new Key<>(400_000, new Point(1032, 96),
                EasingText.parse("cubic-out")))));
        var swing = EasingText.parse("sine-both");
        var rings = new Timeline(RINGS, "Bell", 1_200_000, false, false, Map.of()).with("s-hut-bell", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, swing), new Key<>(200_000, 26.0, swing),
                new Key<>(450_000, -20.0, swing), new Key<>(700_000, 12.0, swing), new Key<>(950_000, -6.0, swing),
                new Key<>(1_200_000, 0.0, swing))));
        return List.of(slide, rings);
    }

    static List<Reaction> reactions() {
        return List.of(new Reaction("r-menu", Events.tapped("s-menu"), List.of(Conditions.of(Conditions.TIME, OPENS, "after", 200_000L)), false,
                List.of(Actions.of(Actions.PLAY_BACK, OPENS)),
                        List.of(Actions.of(Actions.PLAY, OPENS)), false, MENU),
                new Reaction("r-walk", Events.tapped("s-night-walk"), List.of(Actions.of(Actions.OPEN_SCENE, NightWalk.ID))).withGroup(MENU),
                new Reaction("r-mast", Events.tapped("s-raise-the-mast"), List.of(Actions.of(Actions.OPEN_SCENE, RaiseTheMast.ID))).withGroup(MENU),
                new Reaction("r-visit", Events.tapped("s-visit"), List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.VISIT))).withGroup(MENU),
                new Reaction("r-write", Events.tapped("s-write-to-us"), List.of(Actions.of(Actions.WRITE_MAIL, "station@example.org")))
                .withGroup(MENU),
                new Reaction("r-bell", Events.tapped("s-hut-bell"), List.of(Actions.of(Actions.PLAY_FROM_START, RINGS),
                Actions.of(Actions.PLAY_SOUND, CHIME.hash()))));
    }
}
