package tundra.app.command;

import java.util.Map;

/** Words that commands are looked for by, besides those of their names. */
final class OtherWords {
    private static final Map<String, String> TABLE = Map.ofEntries(
            Map.entry("theme", "dark light night day mode colours appearance"),
            Map.entry("delete", "remove erase take away clear"),
            Map.entry("duplicate", "copy twin again clone"),
            Map.entry("copies", "copy repeat variation many"),
            Map.entry("group", "join together combine"),
            Map.entry("ungroup", "ungroup split dissolve"),
            Map.entry("to-path", "to nodes convert to path to curves outline vertices points"),
            Map.entry("tool-NODES", "to nodes points vertices handles reshape"),
            Map.entry("rest-as-first-keys", "start pose jump initial begin waits resting value"),
            Map.entry("open-close", "menu dropdown toggle fold unfold panel popup show hide burger drawer accordion"),
            Map.entry("path-mirror", "flip turn round face direction walk back left right"),
            Map.entry("tool-TOUCH", "hotspot invisible button click tap area hit"),
            Map.entry("tool-PEN", "path curve bezier"),
            Map.entry("tool-FREEHAND", "pencil sketch"),
            Map.entry("tool-PICK", "eyedropper colour picker"),
            Map.entry("tool-POLYGON", "star triangle hexagon"),
            Map.entry("pivot-middle", "origin anchor centre of rotation"),
            Map.entry("pivot-feet", "origin anchor bottom centre of rotation"),
            Map.entry("turn-right", "rotate 90 clockwise"),
            Map.entry("turn-left", "rotate 90 anticlockwise counterclockwise"),
            Map.entry("flip-level", "mirror reflect horizontally"),
            Map.entry("flip-upright", "mirror reflect vertically"),
            Map.entry("desk-PUBLISH", "export output web page html make"),
            Map.entry("desk-ANIMATE", "timeline keyframes"),
            Map.entry("desk-INTERACT", "reactions events behaviour"),
            Map.entry("bring-in", "import open picture svg sound font"),
            Map.entry("try", "preview run test play page"),
            Map.entry("open-browser", "preview run test page"),
            Map.entry("front", "raise top order arrange"),
            Map.entry("back", "lower bottom order arrange"),
            Map.entry("forward", "raise order arrange"),
            Map.entry("backward", "lower order arrange"),
            Map.entry("hide", "visible invisible eye"),
            Map.entry("lock", "protect freeze"),
            Map.entry("key", "keyframe position"),
            Map.entry("add-piece-reaction", "global reaction every scene anywhere keyboard"),
            Map.entry("add-reaction", "reaction event when tapped behaviour"),
            Map.entry("key-all", "keyframe everything"),
            Map.entry("only-keyed", "filter rows keyed animated hide still"),
            Map.entry("helper-Passes by", "scroll parallax scenery background endless loop layers"),
            Map.entry("keys-even", "linear constant uniform steady no easing"),
            Map.entry("pick-easing", "ease curve tween interpolation speed"),
            Map.entry("paste-as-move", "motion path follow along shape"),
            Map.entry("paste-as-shape", "motion path draw way"),
            Map.entry("trace", "vectorise bitmap outline"),
            Map.entry("sheet", "sprite cut frames"),
            Map.entry("flipbook", "frame by frame drawings cel"),
            Map.entry("onion", "ghost light table"),
            Map.entry("fit", "zoom all whole view"),
            Map.entry("actual-size", "zoom 100 one to one"),
            Map.entry("marker", "label cue name time"),
            Map.entry("save", "store write file"),
            Map.entry("new-timeline", "add animation"),
            Map.entry("checks", "problems errors warnings lint"));

    private OtherWords() {}

    /** In lower case, with spaces between; empty for none. */
    static String of(String command) {
        return TABLE.getOrDefault(command, "");
    }
}
