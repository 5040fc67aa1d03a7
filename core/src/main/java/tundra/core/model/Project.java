package tundra.core.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;

/**
 * One piece: what a .tundra file holds.
 *
 * @param frameRate frames per second
 * @param assets brought-in files by content hash
 * @param swatches colours kept for use, in order
 * @param easings kept under a name, in order
 * @param motifs in order; none holds itself, by whatever way
 * @param values the named variables, in order
 * @param scripts functions of the piece that reactions run, in order
 * @param reactions those of the whole piece, which happen in whatever scene is shown and name nothing of a board
 * @param page how it stands on its web page
 * @param outputs what is made of it, in order
 * @param muted findings of the checks that are meant to be so
 * @param unknown fields that this version does not know, kept for the next save: JSON text of an object by the place it stood at
 */
public record Project(String id, String name, int frameRate, List<Scene> scenes, Map<String, Asset> assets, List<Swatch> swatches,
        List<KeptEasing> easings, List<Motif> motifs, List<PieceValue> values, List<Script> scripts,
        List<Reaction> reactions, PageSettings page, List<Output> outputs, List<Muted> muted, Map<String, String> unknown) {
    public Project {
        scenes = List.copyOf(scenes);
        swatches = List.copyOf(swatches);
        easings = List.copyOf(easings);
        motifs = List.copyOf(motifs);
        values = List.copyOf(values);
        scripts = List.copyOf(scripts);
        reactions = List.copyOf(reactions);
        outputs = List.copyOf(outputs);
        muted = List.copyOf(muted);
        if (frameRate < 1 || frameRate > 240) {
            throw new IllegalArgumentException("the frame rate must lie between 1 and 240");
        }
    }

    public Project(String id, String name, int frameRate, List<Scene> scenes, Map<String, Asset> assets, Map<String, String> unknown) {
        this(id, name, frameRate, scenes, assets, List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), PageSettings.USUAL,
                Outputs.USUAL, List.of(), unknown);
    }

    public Project(String id, String name, int frameRate, List<Scene> scenes, Map<String, Asset> assets, List<Swatch> swatches,
            List<KeptEasing> easings,
            Map<String, String> unknown) {
        this(id, name, frameRate, scenes, assets, swatches, easings, List.of(), List.of(), List.of(), List.of(), PageSettings.USUAL, Outputs.USUAL,
                List.of(), unknown);
    }

    /** An empty piece of one scene with a Main timeline of five seconds. */
    public static Project empty(String name, Point size, int frameRate) {
        var board = new Board(size, Values.NONE, List.of(), List.of(new Timeline(Timeline.MAIN, 5_000_000)), List.of());
        return new Project(Ids.next(), name, frameRate, List.of(new Scene(Ids.next(), "Scene 1", board)), Map.of(), Map.of());
    }

    public Scene scene(String sceneId) {
        return scenes.stream().filter(s -> s.id().equals(sceneId)).findFirst().orElse(null);
    }

    /** The scene that lies over all others; null for none. */
    public Scene over() {
        return scenes.size() < 2 ? null : scene(page.over());
    }

    /** The scenes that are shown one at a time. */
    public List<Scene> screens() {
        Scene over = over();
        return over == null ? scenes : scenes.stream().filter(s -> s != over).toList();
    }

    public Motif motif(String motifId) {
        return motifs.stream().filter(m -> m.id().equals(motifId)).findFirst().orElse(null);
    }

    /** The value of an id; null when there is none. */
    public PieceValue value(String valueId) {
        return values.stream().filter(v -> v.id().equals(valueId)).findFirst().orElse(null);
    }

    public Project withValues(List<PieceValue> v) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, v, scripts, reactions, page, outputs, muted, unknown);
    }

    /** The script of an id; null when there is none. */
    public Script script(String scriptId) {
        return scripts.stream().filter(x -> x.id().equals(scriptId)).findFirst().orElse(null);
    }

    public Project withScripts(List<Script> all) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, values, all, reactions, page, outputs, muted, unknown);
    }

    public Project withReactions(List<Reaction> r) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, r, page, outputs, muted, unknown);
    }

    public Project withMotifs(List<Motif> m) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, m, values, scripts, reactions, page, outputs, muted, unknown);
    }

    /** All that has a board: the scenes, then the motifs. */
    public List<Place> places() {
        var out = new ArrayList<Place>(scenes);
        out.addAll(motifs);
        return out;
    }

    /** The reactions of all scenes and motifs, each with those of its layouts, then those of the whole piece. */
    public List<Reaction> allReactions() {
        var out = new ArrayList<Reaction>();
        places().forEach(x -> {
            out.addAll(x.board().reactions());
            x.board().layouts().forEach(l -> out.addAll(l.differs().reactions().values()));
        });
        out.addAll(reactions);
        return out;
    }

    /** The scene or motif of an id; null when there is none. */
    public Place place(String placeId) {
        Scene s = scene(placeId);
        return s != null ? s : motif(placeId);
    }

    public Project withPage(PageSettings p) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, p, outputs, muted, unknown);
    }

    public Project withOutputs(List<Output> o) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page, o, muted, unknown);
    }

    public Project withMuted(List<Muted> m) {
        return new Project(id, name, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page, outputs, m, unknown);
    }

    /** The output of an id; null when there is none. */
    public Output output(String outputId) {
        return outputs.stream().filter(o -> o.id().equals(outputId)).findFirst().orElse(null);
    }

    public Project withScenes(List<Scene> s) {
        return new Project(id, name, frameRate, s, assets, swatches, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withId(String i) {
        return new Project(i, name, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withName(String n) {
        return new Project(id, n, frameRate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withFrameRate(int r) {
        return new Project(id, name, r, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withAsset(Asset a) {
        var all = new LinkedHashMap<>(assets);
        all.putIfAbsent(a.hash(), a);
        return withAssets(all);
    }

    public Project withAssets(Map<String, Asset> a) {
        return new Project(id, name, frameRate, scenes, a, swatches, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withSwatches(List<Swatch> s) {
        return new Project(id, name, frameRate, scenes, assets, s, easings, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    public Project withEasings(List<KeptEasing> e) {
        return new Project(id, name, frameRate, scenes, assets, swatches, e, motifs, values, scripts, reactions, page, outputs, muted, unknown);
    }

    /** With an easing kept under a name, in place of one that had it. */
    public Project withEasing(KeptEasing kept) {
        var all = new ArrayList<>(easings);
        all.removeIf(e -> e.name().equals(kept.name()));
        all.add(kept);
        return withEasings(all);
    }

    /** Lets go of what can be made again once another version took this one's place. */
    public void release(Project next) {
        for (Place p : places()) {
            Place then = next.place(p.id());
            p.board().release(then == null ? null : then.board());
        }
    }

    /** With the board of one scene or motif changed. A motif of another size is of that size wherever it stands. */
    public Project mapBoard(String placeId, UnaryOperator<Board> change) {
        Motif m = motif(placeId);
        if (m == null) {
            return withScenes(mapped(scenes, placeId, s -> s.withBoard(change.apply(s.board()))));
        }
        Board now = change.apply(m.board());
        Project out = withMotifs(mapped(motifs, placeId, x -> x.withBoard(now)));
        return now.size().equals(m.board().size()) ? out : out.mapBoards(b -> sized(b, placeId, now.size()));
    }

    private static Board sized(Board b, String motif, Point size) {
        var ids = new HashSet<String>();
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Instance i && i.motif().equals(motif)) {
                ids.add(e.id());
            }
        });
        return b.mapElements(ids, e -> e.withContent(new Content.Instance(motif, size, ((Content.Instance) e.content()).clock())));
    }

    /** With every board changed. */
    public Project mapBoards(UnaryOperator<Board> change) {
        var s = new ArrayList<>(scenes);
        s.replaceAll(x -> x.withBoard(change.apply(x.board())));
        var m = new ArrayList<>(motifs);
        m.replaceAll(x -> x.withBoard(change.apply(x.board())));
        return new Project(id, name, frameRate, s, assets, swatches, easings, m, values, scripts, reactions, page, outputs, muted, unknown);
    }

    private static <P extends Place> List<P> mapped(List<P> all, String id, UnaryOperator<P> change) {
        var out = new ArrayList<>(all);
        out.replaceAll(p -> p.id().equals(id) ? change.apply(p) : p);
        return out;
    }

    /** The time of a frame's start, in µs. */
    public long frameTime(long frame) {
        return Math.round(frame * 1e6 / frameRate);
    }

    /** The nearest frame to a time. */
    public long frameAt(long time) {
        return Math.round(time * (double) frameRate / 1e6);
    }

    public long snap(long time) {
        return frameTime(frameAt(time));
    }
}
