package tundra.core.file;

import java.util.Map;
import java.util.Set;
import tundra.core.model.Color;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Slot;

/** The outputs of a piece and how its page is. */
final class OutputReader {
    private final TimelineReader.IdReader ids;
    private final Map<String, String> unknown;

    OutputReader(TimelineReader.IdReader ids, Map<String, String> unknown) {
        this.ids = ids;
        this.unknown = unknown;
    }

    Output output(Fields f) throws FileProblem {
        OutputKind kind = Outputs.byKey(f.text("kind"));
        if (kind == null) {
            throw f.problem("kind", "is not one that this version knows");
        }
        String id = ids.id(f), file = f.has("file") ? f.text("file") : "";
        if (!file.isEmpty() && !Output.isFile(file)) {
            throw f.problem("file", "should be the name of a file, without a way out of its folder");
        }
        Output o = kind.made(id, SlotReader.words(f, "name")).withFile(file);
        if (f.has("settings")) {
            Fields s = f.object("settings");
            for (LabelledSlot x : kind.settings()) {
                if (s.has(x.slot().key())) {
                    o = o.with(x.slot(), Set.of(Slot.Type.SCENE, Slot.Type.LAYOUT, Slot.Type.MARKER).contains(x.slot().type())
                            ? s.text(x.slot().key()) : SlotReader.plain(s, x.slot()));
                }
            }
        }
        f.keepUnknown(FileObjects.of("output", id), unknown);
        return o;
    }

    static PageSettings page(Fields f) throws FileProblem {
        PageSettings.Fit fit = PageSettings.Fit.byKey(f.text("fit"));
        if (fit == null) {
            throw f.problem("fit", "is “" + f.text("fit") + "”, which this version doesn't know");
        }
        String language = f.text("language");
        if (!PageSettings.isLanguage(language)) {
            throw f.problem("language", "should be a language tag such as en or de-AT");
        }
        Color ground = f.has("ground") ? ValueReader.color(f.raw("ground"), f, "ground") : PageSettings.USUAL.ground();
        return new PageSettings(fit, language, ground, f.flag("history"), f.has("over") ? f.text("over") : "");
    }
}
