package tundra.app.tool;

import java.util.EnumMap;
import java.util.Map;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;

/** The tools, and the one in hand. */
public final class ToolBox {
    private final Studio studio;
    private final Map<ToolKind, Tool> tools = new EnumMap<>(ToolKind.class);
    private ToolKind kind = ToolKind.SELECT;
    private boolean kept;

    public ToolBox(Studio studio) {
        this.studio = studio;
    }

    public void put(ToolKind k, Tool t) {
        tools.put(k, t);
    }

    public Tool active() {
        return tools.get(kind);
    }

    public ToolKind kind() {
        return kind;
    }

    /** Takes another tool in hand; what the old one was doing is kept. */
    public void take(ToolKind k) {
        if (k != kind) {
            active().finish();
            kind = k;
        }
        kept = false;
        studio.changed(Aspect.TOOL);
    }

    /** Takes a tool that stays in hand after what it draws. */
    public void keep(ToolKind k) {
        take(k);
        kept = k.draws();
    }

    public boolean kept() {
        return kept;
    }

    /** After something was drawn: on with selecting, unless the tool is kept. */
    void drawn() {
        if (!kept) {
            take(ToolKind.SELECT);
        }
    }
}
