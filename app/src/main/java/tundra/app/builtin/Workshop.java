package tundra.app.builtin;

import java.io.File;
import java.util.List;
import tundra.app.adapt.TieOverlay;
import tundra.app.canvas.CanvasView;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.details.DetailsPanel;
import tundra.app.document.Autosave;
import tundra.app.document.CopiedContent;
import tundra.app.document.FileJobs;
import tundra.app.interact.BadgeOverlay;
import tundra.app.interact.TouchOverlay;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.job.Troubles;
import tundra.app.job.Work;
import tundra.app.publish.Browser;
import tundra.app.publish.TryIt;
import tundra.app.studio.Playback;
import tundra.app.studio.Registering;
import tundra.app.studio.Settings;
import tundra.app.studio.Studio;
import tundra.app.tool.BlockOverlay;
import tundra.app.tool.BoxTool;
import tundra.app.tool.GradientTool;
import tundra.app.tool.HandTool;
import tundra.app.tool.LineTool;
import tundra.app.tool.NodesTool;
import tundra.app.tool.Paints;
import tundra.app.tool.PathOverlay;
import tundra.app.tool.PenTool;
import tundra.app.tool.PickTool;
import tundra.app.tool.RegionTool;
import tundra.app.tool.SelectTool;
import tundra.app.tool.SelectionOverlay;
import tundra.app.tool.SketchTool;
import tundra.app.tool.TextEditing;
import tundra.app.tool.TextTool;
import tundra.app.tool.ToolBox;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolOptions;
import tundra.app.tool.ZoomTool;
import tundra.app.view.Overlay;
import tundra.app.widget.Lazy;
import tundra.core.edit.PropertyEdit;
import tundra.core.file.Recovery;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Project;

/** The parts of one open window and how they hang together. */
public final class Workshop {
    /** What catches the pointer, coloured on the canvas. */
    public final TouchOverlay touches;
    public final Studio studio;
    public final Settings settings;
    public final Dialogs dialogs;
    public final Commands commands = new Commands();
    public final Playback playback;
    public final ToolBox tools;
    public final Paints paints = new Paints();
    public final ToolOptions options = new ToolOptions();
    public final NodesTool nodes;
    public final TextEditing typing;
    public final CanvasView canvas;
    private final PathOverlay path;
    public final Lazy<DetailsPanel> details;
    public final Notices notices = new Notices();
    public final Jobs jobs = new Jobs(notices);
    public final TryIt tryIt = new TryIt();
    public final Browser browser;
    public final FileJobs files;
    public final Autosave autosave;
    public final CopiedContent copied = new CopiedContent();
    public final Registering registering = new Registering();

    public Workshop(Project project, Settings settings, Dialogs dialogs, Browser browser) {
        this.settings = settings;
        this.dialogs = dialogs;
        this.browser = browser;
        settings.onProblem(notices::problem);
        Work.onTrouble(e -> notices.problem(Troubles.sentence(e)));
        studio = new Studio(project, settings.dark());
        studio.onRefused(notices::problem);
        commands.around(studio.tried()::aside);
        commands.keys().load(settings.all("keys."), (id, keys) -> settings.remember("keys." + id, keys));
        studio.target().setFirstKey(settings.staysUntilFirstKey() ? PropertyEdit.FirstKey.UNTIL_HERE : PropertyEdit.FirstKey.FROM_START);
        playback = new Playback(studio);
        tools = new ToolBox(studio);
        nodes = new NodesTool(studio);
        typing = new TextEditing(studio);
        canvas = new CanvasView(studio, tools);
        files = new FileJobs(studio, settings, dialogs, jobs, notices, () -> commands.run(CommandIds.FLIPBOOK));
        details = new Lazy<>(() -> new DetailsPanel(studio, settings, jobs, commands, files.blocks, options, paints, registering,
                () -> tools.take(ToolKind.GRADIENT)));
        autosave = new Autosave(studio, new Recovery(settings.folder().resolve("recovery")), notices);
        path = new PathOverlay(studio);
        addTools();
        var selection = new SelectionOverlay(studio, tools);
        var badges = new BadgeOverlay(studio);
        var ties = new TieOverlay(studio);
        touches = new TouchOverlay(studio);
        var blocks = new BlockOverlay(studio);
        Overlay tool = (g, v) -> tools.active().draw(g, v);
        canvas.overlays(desk -> switch (desk) {
            case DRAW -> List.of(blocks, selection, typing, tool);
            case ANIMATE -> List.of(blocks, selection, path, typing, tool);
            case INTERACT -> List.of(touches, blocks, selection, badges, tool);
            case ADAPT -> List.of(blocks, selection, ties, typing, tool);
            case PUBLISH -> List.of();
        });
        canvas.onProblem(e -> notices.problem("The picture can't be shown here (" + e.getMessage()
                + "). The piece itself is safe; undo what was done last, or go to another time."));
        canvas.onBlock((kind, at) -> BlockCommands.place(studio, Blocks.byKey(kind), at));
        canvas.onMotif((motif, at) -> MotifCommands.place(studio, motif, at));
        canvas.onDrop((dropped, at) -> files.importing.bringIn(dropped.stream().map(File::toPath).toList(), at));
    }

    private void addTools() {
        Runnable editWords = () -> typing.start(studio.selected().id());
        tools.put(ToolKind.SELECT, new SelectTool(studio, typing, options, path::hover));
        tools.put(ToolKind.RECTANGLE, BoxTool.of(studio, tools, paints, Content.Rectangle::new, "Rectangle"));
        tools.put(ToolKind.ELLIPSE, BoxTool.of(studio, tools, paints, Content.Ellipse::new, "Ellipse"));
        tools.put(ToolKind.POLYGON, BoxTool.polygon(studio, tools, paints, options));
        tools.put(ToolKind.TOUCH, BoxTool.touch(studio, tools));
        tools.put(ToolKind.LINE, new LineTool(studio, tools, paints));
        tools.put(ToolKind.FREEHAND, new SketchTool(studio, paints, options, false));
        tools.put(ToolKind.BRUSH, new SketchTool(studio, paints, options, true));
        tools.put(ToolKind.NODES, nodes);
        tools.put(ToolKind.GRADIENT, new GradientTool(studio, paints));
        tools.put(ToolKind.FILL, new RegionTool(studio, paints, options, canvas::redrawOverlay, notices::news));
        tools.put(ToolKind.PICK, new PickTool(studio, tools, paints, canvas::colorAt));
        tools.put(ToolKind.PEN, new PenTool(studio, tools, paints));
        tools.put(ToolKind.TEXT, new TextTool(studio, tools, paints, editWords));
        tools.put(ToolKind.HAND, new HandTool(canvas::pan));
        tools.put(ToolKind.ZOOM, new ZoomTool(studio, canvas::zoom, canvas::zoomTo));
    }

    public void close() {
        playback.stop();
        files.watch.close();
        autosave.close();
        canvas.close();
        tryIt.close();
    }
}
