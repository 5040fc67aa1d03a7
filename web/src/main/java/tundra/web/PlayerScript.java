package tundra.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;

/**
 * The player's script, of which a piece gets only the sections that it uses. A line of {@code //# name} begins one; {@code core} goes with
 * every piece, and each file begins with it.
 */
final class PlayerScript {
    static final String MOTIFS = "motifs", STATES = "states", MIXES = "mixes", EASES = "eases", REACTIONS = "reactions", VALUES = "values",
            DRAGS = "drags", VOICE = "voice", SCROLL = "scroll", BOX = "box", SCRIPTS = "scripts", WHOLE = "whole", INSTANCE = "instance",
            SOUNDS = "sounds", CUES = "cues", PATHS = "paths", CHIPS = "chips", WRAPS = "wraps", MARKS = "marks", THROUGH = "through", FIT = "fit",
            LAYOUTS = "layouts", INLAYS = "inlays", BLOCKS = "blocks", WAYS = "ways", HISTORY = "history", OVER = "over", KEEPS = "keeps",
            RECORD = "record", NAMED_SETS = "named sets";
    private static final String MARK = "//# ", CORE = "core";
    private static final Pattern PRIVATE = Pattern.compile("#[a-z][A-Za-z]*");
    /** Sections that stand within others, without which there is no place for them. */
    private static final Map<String, String> WITHIN = Map.of(MARKS, MOTIFS, PATHS, DRAGS, WRAPS, CHIPS, LAYOUTS, FIT, INLAYS, MOTIFS, WAYS,
            REACTIONS, HISTORY, REACTIONS, NAMED_SETS, REACTIONS);
    /** In the order in which they need each other. */
    private static final List<String> FILES = List.of("slots", "mixes", "clock", "timeline", "events", "conditions", "actions", "words", "through",
            "layouts", "blocks", "galleries", "media", "maps", "fields", "board", "motifs", "drags", "scroll", "scripts", "scene", "piece");
    private static final String SOURCE = source();

    private PlayerScript() {}

    /** What makes an element known that shows a piece, for {@link Embed}. */
    static String element() {
        var out = new StringBuilder();
        read("element").lines().map(String::strip).filter(l -> !l.isEmpty() && !l.startsWith("//")).forEach(l -> out.append(l).append('\n'));
        return out.toString();
    }

    private static String read(String name) {
        try (InputStream in = PlayerScript.class.getResourceAsStream("player/" + name + ".js")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The files one after the other, each beginning in the section that goes with every piece. */
    private static String source() {
        var out = new StringBuilder();
        for (String name : FILES) {
            out.append(MARK).append(CORE).append('\n').append(read(name)).append('\n');
        }
        return out.toString();
    }

    /** The names of all sections. */
    static Set<String> sections() {
        var out = new LinkedHashSet<String>();
        SOURCE.lines().filter(l -> l.startsWith(MARK)).forEach(l -> out.add(l.substring(MARK.length()).strip()));
        return out;
    }

    /** What is private to a class is named by one or two letters. */
    private static String shortened(String script) {
        var names = new LinkedHashMap<String, String>();
        return PRIVATE.matcher(script).replaceAll(m -> names.computeIfAbsent(m.group(), k -> "#" + Integer.toString(names.size() + 10, 36)
                .replaceFirst("^(?=[0-9])", "x")));
    }

    /** By what pieces on one page tell the players that they need from those of others. */
    static String key(Set<String> used) {
        return Asset.hash(body(used).getBytes(StandardCharsets.UTF_8)).substring(0, 10);
    }

    /**
     * With some sections, without the notes between its lines. Pieces on one page that use different sections have a player each, under its
     * key; {@code Tundra} is what all of them share.
     */
    static String with(Set<String> used) {
        return "// Tundra player, see docs/player.md\nglobalThis.Tundra ??= { pieces: [], scripts: {}, players: {}, copies: new Map() };\nTundra.players[\"" + key(used) + "\"] ??= " + body(used);
    }

    private static String body(Set<String> used) {
        var out = new StringBuilder("(() => {\n\"use strict\";\n");
        boolean on = true;
        for (String line : SOURCE.lines().toList()) {
            String s = line.strip();
            if (line.startsWith(MARK)) {
                String name = line.substring(MARK.length()).strip();
                // whatever hears of the pointer looks through what is faded
                on = name.equals(CORE) || used.contains(name) && used.contains(WITHIN.getOrDefault(name, name)) || name.equals(THROUGH)
                        && (used.contains(REACTIONS) || used.contains(STATES));
            } else if (on && !s.isEmpty() && !s.startsWith("//")) {
                out.append(s).append('\n');
            }
        }
        return shortened(out.append("})();\n").toString());
    }

    /** Of a kind of block, which some kinds share. */
    static String block(BlockKind kind) {
        return "block " + switch (kind.family()) {
            case GALLERY -> kind.gallery() ? "gallery" : kind.key();
            case MEDIA -> kind == Blocks.PAGE ? kind.key() : "media";
            case FIELD -> "fields";
            default -> kind.key();
        };
    }

    static String event(String key) {
        return "event " + key;
    }

    static String condition(String key) {
        return "condition " + key;
    }

    static String action(String key) {
        return "action " + key;
    }
}
