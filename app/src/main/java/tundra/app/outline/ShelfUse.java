package tundra.app.outline;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.text.Text;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.core.edit.BlockSettings;
import tundra.core.edit.Galleries;
import tundra.core.edit.PlacedBlock;
import tundra.core.edit.TimeText;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.PlacedSound;
import tundra.core.svg.ArtPlacing;
import tundra.render.Fonts;

/** What can be done with what lies on the shelf: placing it, setting texts in it, filling with it. */
final class ShelfUse {
    private final Studio studio;
    private final Notices notices;

    ShelfUse(Studio studio, Notices notices) {
        this.studio = studio;
        this.notices = notices;
    }

    void use(Asset a) {
        switch (a.kind()) {
            case PICTURE -> {
                if (Blocks.of(studio.selected()) instanceof Content.Block g && g.kind().gallery()) {
                    String gallery = studio.selected().id();
                    studio.edit("Add " + a.title() + " to the gallery", b -> Galleries.withPictures(b, gallery, List.of(a), -1));
                    return;
                }
                Element e = ArtPlacing.picture(a, studio.board().size());
                studio.edit("Place " + e.name(), b -> studio.add(b, e));
                studio.select(List.of(e.id()));
            }
            case VIDEO -> placed(PlacedBlock.video(studio.board(), a, studio.board().size().times(0.5)));
            case FILE -> file(a);
            case FONT -> setIn(Fonts.familyOf(a), studio.picture().fonts().weights(Fonts.familyOf(a)).getFirst());
            case SOUND -> {
                PlacedSound there = studio.timeline().sounds().stream().filter(s -> s.asset().equals(a.hash())).findFirst().orElse(null);
                if (there == null) {
                    place(a);
                } else {
                    studio.time().select(there.id());
                    notices.news(a.title() + " is placed already, at " + TimeText.seconds(there.start()) + " of " + studio.timeline().name() + ".",
                            "Place it again here", () -> place(a));
                }
            }
        }
    }

    private void placed(Element e) {
        studio.edit("Place " + e.name(), b -> studio.add(b, e));
        studio.select(List.of(e.id()));
    }

    private void file(Asset a) {
        if (a.mediaType().equals(Asset.FILES)) {
            placed(PlacedBlock.page(studio.board(), a, studio.board().size().times(0.5)));
        } else if (Blocks.of(studio.selected()) instanceof Content.Block b && b.kind() == Blocks.VIDEO) {
            String video = studio.selected().id();
            studio.edit("Show " + a.title() + " as captions", x -> BlockSettings.with(x, List.of(video), Blocks.WORDS_FILE, a.hash()));
        } else {
            notices.news("Select a video first: these are words for one.");
        }
    }

    private void place(Asset a) {
        var made = new PlacedSound(Ids.next(), a.hash(), studio.time().playhead(), 1);
        studio.edit("Place sound " + a.title(), b -> b.mapTimeline(studio.timeline().id(), t -> {
            var all = new ArrayList<>(t.sounds());
            all.add(made);
            return t.withSounds(all);
        }));
        studio.time().select(made.id());
        notices.news(a.title() + " is heard from " + TimeText.seconds(made.start()) + " of " + studio.timeline().name() + " on.");
    }

    private void setIn(String family, int weight) {
        studio.edit("Set in " + family, board -> {
            var out = board;
            for (String id : studio.selection()) {
                if (board.find(id).content() instanceof Content.Text t) {
                    out = out.mapElement(id, e -> e.withContent(t.withFace(family, weight)));
                }
            }
            return out;
        });
    }
}
