package tundra.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.block.Captions;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.core.model.Tree;
import tundra.core.series.SeriesPainter;

/** What the player is told of blocks, and the files that they bring. */
final class BlockWriter {
    /** What the page's markup and style already say. */
    private static final Set<Slot.Type> SEEN = Set.of(Slot.Type.COLOR, Slot.Type.FONT, Slot.Type.MAP, Slot.Type.CAPTIONS, Slot.Type.FILE,
            Slot.Type.VIDEO, Slot.Type.SOUND);
    private static final Set<Slot> SAID = Set.of(Blocks.NAME, Blocks.LABEL, Blocks.HINT, Blocks.LETTERS, Blocks.WEIGHT, Blocks.RADIUS_OF_CORNERS,
            Blocks.CHOICES, Blocks.WORDS, Blocks.SHOWN_AS, Blocks.FITS, Blocks.CAPTIONS);

    private BlockWriter() {}

    /**
     * @param posters whether videos have a still
     * @param used gets the sections of the player's script that they take
     */
    static void write(ObjectNode o, Project p, Board b, Markup markup, boolean posters, Set<String> used) {
        Tree.each(b.elements(), e -> {
            if (Blocks.of(e) instanceof Content.Block k && markup.of(e.id()) != null) {
                used.addAll(Set.of(PlayerScript.BLOCKS, PlayerScript.REACTIONS, PlayerScript.block(k.kind())));
                if (k.kind().setting(Blocks.OF_VALUE) != null) {
                    used.addAll(Set.of(PlayerScript.VALUES, PlayerScript.CHIPS));
                }
                block(o.withArray("blocks").addObject().put("of", PageId.of(e.id())).put("block", k.kind().key()).put("name", e.name()), p, k,
                        posters);
            }
        });
    }

    private static void block(ObjectNode o, Project p, Content.Block b, boolean posters) {
        if (posters && b.kind() == Blocks.VIDEO && p.assets().get(b.text(Blocks.VIDEO_FILE)) instanceof Asset a) {
            o.put("still", MediaMarkup.posterPath(b, a));
        }
        b.settings().values().forEach((slot, v) -> {
            if (SEEN.contains(slot.type()) || SAID.contains(slot) || v.equals("")) {
                return;
            }
            switch (slot.type()) {
                case NUMBER -> o.put(slot.key(), (Double) v);
                case TIME, DURATION -> o.put(slot.key(), (Long) v / 1000.0);
                case ELEMENT -> o.put(slot.key(), PageId.of((String) v));
                default -> o.put(slot.key(), (String) v);
            }
        });
        if (b.kind() == Blocks.VIDEO && p.assets().get(b.text(Blocks.WORDS_FILE)) instanceof Asset words) {
            ArrayNode cues = o.putArray("cues");
            Captions.read(new String(words.data(), StandardCharsets.UTF_8)).forEach(c -> cues.addArray().add(c.from() / 1e6).add(c.to() / 1e6)
                    .add(c.text()));
        }
    }

    /** Videos, sounds, stills of videos and the files of pages. */
    static void files(Project p, SeriesPainter painter, Map<String, Page.Part> files) {
        p.places().forEach(x -> Tree.each(x.board().elements(), e -> {
            if (published(e) instanceof Content.Block b) {
                block(p, b, painter, files);
            }
        }));
    }

    private static Content.Block published(Element e) {
        return e.hidden() || e.guide() ? null : Blocks.of(e);
    }

    private static void block(Project p, Content.Block b, SeriesPainter painter, Map<String, Page.Part> files) {
        for (Slot s : List.of(Blocks.VIDEO_FILE, Blocks.SOUND_FILE)) {
            if (b.settings().get(s) instanceof String hash && p.assets().get(hash) instanceof Asset a) {
                files.put(MediaMarkup.mediaPath(a), Page.Part.of(a.source()));
                if (s == Blocks.VIDEO_FILE && painter != null) {
                    byte[] poster = painter.poster(a, MediaMarkup.still(b));
                    if (poster != null) {
                        files.put(MediaMarkup.posterPath(b, a), Page.Part.of(poster));
                    }
                }
            }
        }
        if (b.settings().get(Blocks.FOLDER) instanceof String hash && p.assets().get(hash) instanceof Asset a) {
            folder(a, files);
        }
    }

    private static void folder(Asset a, Map<String, Page.Part> files) {
        try (InputStream in = a.source().open(); var zip = new ZipInputStream(in, StandardCharsets.UTF_8)) {
            for (ZipEntry e; (e = zip.getNextEntry()) != null; ) {
                if (!e.isDirectory()) {
                    files.put(MediaMarkup.folderPath(a.hash()) + e.getName(), Page.Part.of(zip.readAllBytes()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the files of “" + a.name() + "” can't be read any more (" + e.getMessage() + ")", e);
        }
    }
}
