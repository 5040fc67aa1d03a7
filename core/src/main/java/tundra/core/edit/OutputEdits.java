package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tundra.core.model.Ids;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Slot;

/** Changes of the list of what is made of a piece. */
public final class OutputEdits {
    /** The most outputs of a piece. */
    public static final int MOST = 200;

    private OutputEdits() {}

    /** With another output of a kind at the end, under a free name. */
    public static Project add(Project p, OutputKind kind) {
        var names = new FreeNames(p.outputs().stream().map(Output::name).toList());
        var all = new ArrayList<>(p.outputs());
        all.add(kind.made(Ids.next(), names.take(kind.label())));
        return p.withOutputs(all);
    }

    /** With a second one that is made as the first is; its file is its own. */
    public static Project copy(Project p, String id) {
        var names = new FreeNames(p.outputs().stream().map(Output::name).toList());
        var all = new ArrayList<>(p.outputs());
        Output of = p.output(id);
        all.add(all.indexOf(of) + 1, of.withId(Ids.next()).withName(names.take(of.name())).withFile(""));
        return p.withOutputs(all);
    }

    public static Project remove(Project p, String id) {
        return p.withOutputs(p.outputs().stream().filter(o -> !o.id().equals(id)).toList());
    }

    /** With one changed; the same project where it stays as it is. */
    public static Project map(Project p, String id, UnaryOperator<Output> change) {
        List<Output> now = p.outputs().stream().map(o -> o.id().equals(id) ? change.apply(o) : o).toList();
        return now.equals(p.outputs()) ? p : p.withOutputs(now);
    }

    /** With a setting changed. A format of another ending takes a given file name along. */
    public static Project set(Project p, String id, Slot slot, Object value) {
        return map(p, id, o -> {
            Output next = o.with(slot, value);
            String was = Outputs.ending(o), is = Outputs.ending(next);
            return was.equals(is) || o.file().isEmpty() ? next : next.withFile(renamed(o.file(), was, is));
        });
    }

    private static String renamed(String file, String was, String is) {
        String stem = !was.isEmpty() && file.endsWith("." + was) ? file.substring(0, file.length() - was.length() - 1) : file;
        return is.isEmpty() ? stem : stem + "." + is;
    }

    /** With one given another name; a name that is taken gets a number. */
    public static Project rename(Project p, String id, String name) {
        var names = new FreeNames(p.outputs().stream().filter(o -> !o.id().equals(id)).map(Output::name).toList());
        return name.isBlank() ? p : map(p, id, o -> o.withName(names.take(name)));
    }

    /** With one moved by so many places, as far as there are any. */
    public static Project move(Project p, String id, int by) {
        var all = new ArrayList<>(p.outputs());
        int at = all.indexOf(p.output(id)), to = Math.max(0, Math.min(all.size() - 1, at + by));
        all.add(to, all.remove(at));
        return at == to ? p : p.withOutputs(all);
    }

    /** With outputs whose files are all named after the piece, as those of a copy are, so that it writes over nothing of the first. */
    public static Project named(Project p) {
        List<Output> now = p.outputs().stream().map(o -> o.withFile("")).toList();
        return now.equals(p.outputs()) ? p : p.withOutputs(now);
    }

    /** Without scenes, layouts and markers that are gone: the first scene, as it is drawn, from the times that are given, takes their place. */
    public static Project tidied(Project p) {
        List<Output> now = p.outputs().stream().map(o -> tidied(p, o)).toList();
        return now.equals(p.outputs()) ? p : p.withOutputs(now);
    }

    private static Output tidied(Project p, Output o) {
        var scenes = o.settings().mapSettings((slot, id) -> slot.type() != Slot.Type.SCENE || p.scene(id) != null ? id : null);
        Scene shown = scene(p, o.withSettings(scenes));
        var there = scenes.mapSettings((slot, id) -> slot.type() != Slot.Type.MARKER || shown != null && shown.board().main().markers().stream()
                .anyMatch(m -> m.id().equals(id)) ? id : null);
        return o.withSettings(there.get(Outputs.LAYOUT) instanceof String l && !l.equals(Slot.DRAWN)
                && (shown == null || shown.board().layout(l) == null) ? there.with(Outputs.LAYOUT, Slot.DRAWN) : there);
    }

    /** The scene that an output is made of; null where it is made of all of them. */
    public static Scene scene(Project p, Output o) {
        Object id = o.settings().first(Slot.Type.SCENE);
        return Slot.EVERYTHING.equals(id) ? null : id == null || id.equals("") ? p.scenes().getFirst() : p.scene((String) id);
    }

    /** Why a list of outputs can't be; null when it can. */
    static String refusal(Project p) {
        if (p.outputs().size() > MOST) {
            return "A piece can have " + MOST + " outputs, and that would be " + p.outputs().size() + ".";
        }
        Output wrong = p.outputs().stream().filter(o -> !o.file().isEmpty() && !Output.isFile(o.file())).findFirst().orElse(null);
        return wrong == null ? null : "“" + wrong.file() + "” can't be the name of a file.";
    }
}
