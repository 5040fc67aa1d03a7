package tundra.app.document;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import tundra.app.art.ArtReader;
import tundra.app.art.ImportedArt;
import tundra.app.art.PartReader;
import tundra.app.job.Dialogs;
import tundra.app.job.Jobs;
import tundra.app.job.Notices;
import tundra.app.studio.Studio;
import tundra.core.edit.BlockSettings;
import tundra.core.edit.Galleries;
import tundra.core.edit.PlacedBlock;
import tundra.core.file.FileProblem;
import tundra.core.file.GeoJson;
import tundra.core.file.SafeReplace;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Element;
import tundra.core.model.LabelledSlot;
import tundra.core.model.MapData;
import tundra.core.model.Project;

/** The files that blocks show: chosen, read off the interface thread, written. */
public final class BlockFiles {
    private final Studio studio;
    private final Dialogs dialogs;
    private final Jobs jobs;
    private final Notices notices;
    private final Supplier<Path> beside;

    /** @param beside the folder where dialogs open; null for whichever was seen last */
    BlockFiles(Studio studio, Dialogs dialogs, Jobs jobs, Notices notices, Supplier<Path> beside) {
        this.studio = studio;
        this.dialogs = dialogs;
        this.jobs = jobs;
        this.notices = notices;
        this.beside = beside;
    }

    /** Chooses pictures for a gallery. */
    public void fill(String gallery) {
        dialogs.openSeveral("Fill the gallery", "Pictures", Importing.PICTURES, beside.get()).ifPresent(files -> fill(gallery, files));
    }

    /** Puts pictures behind the items of a gallery. */
    public void fill(String gallery, List<Path> files) {
        jobs.run(() -> {
            var out = new ArrayList<Asset>();
            for (Path f : Importing.opened(files)) {
                if (ArtReader.read(f) instanceof ImportedArt.Picture p) {
                    out.add(p.asset());
                }
            }
            if (out.isEmpty()) {
                throw new FileProblem("There is no picture among these files; a gallery takes pictures and motifs. Nothing was changed.");
            }
            return out;
        }, pictures -> {
            String scene = studio.place().id();
            studio.editProject(pictures.size() == 1 ? "Add a picture to the gallery" : "Add " + pictures.size() + " pictures to the gallery", null,
                    p -> {
                Project out = p;
                for (Asset a : pictures) {
                    out = out.withAsset(a);
                }
                return out.mapBoard(scene, b -> b.find(gallery) == null ? b : Galleries.withPictures(b, gallery, pictures, -1));
            });
        });
    }

    /** Chooses another map for a block. */
    public void chooseMap(String block) {
        dialogs.open("Choose a map", "GeoJSON maps", List.of("*.geojson", "*.json"), beside.get())
                .ifPresent(file -> jobs.run(() -> PartReader.map(file.getFileName().toString(), file), map ->
                studio.edit("Show another map",
                        b -> b.mapElement(block, e -> e.withContent(PlacedBlock.whole(Blocks.of(e).with(Blocks.MAP, map)))))));
    }

    /** Writes the map of a block to a file of its own. */
    public void writeMap(Element block) {
        var map = (MapData) Blocks.of(block).get(Blocks.MAP);
        dialogs.save("Write the map", block.name() + ".geojson", beside.get()).ifPresent(to -> jobs.run(() -> {
            SafeReplace.put(to, GeoJson.write(map));
            return to;
        }, done -> notices.news("Wrote " + done.getFileName() + ".")));
    }

    /** Chooses a file for a setting of a block. */
    public void choose(String block, LabelledSlot setting) {
        if (setting.slot() == Blocks.FOLDER) {
            dialogs.folder("Choose a folder with a page in it", beside.get()).ifPresent(folder -> jobs.run(() -> {
                if (!PartReader.isPage(folder)) {
                    throw new FileProblem("The folder “" + folder.getFileName()
                            + "” can't be embedded: it holds no index.html. Nothing was changed.");
                }
                return ((ImportedArt.Part) PartReader.folder(folder)).asset();
            }, a -> take(block, setting, a)));
            return;
        }
        List<String> endings = switch (setting.slot().type()) {
            case VIDEO -> List.of("*.mp4", "*.webm");
            case SOUND -> List.of("*.wav", "*.mp3", "*.ogg", "*.flac", "*.m4a");
            case PICTURE -> Importing.PICTURES;
            default -> List.of("*.vtt");
        };
        dialogs.open("Choose a file", setting.label(), endings, beside.get()).ifPresent(file -> jobs.run(() -> switch (ArtReader.read(file)) {
            case ImportedArt.Picture p -> p.asset();
            case ImportedArt.Kept k -> k.asset();
            case ImportedArt.Part p when p.asset() != null -> p.asset();
            default -> throw new FileProblem("“" + file.getFileName() + "” can't stand here. Nothing was changed.");
        }, a -> take(block, setting, a)));
    }

    private void take(String block, LabelledSlot setting, Asset a) {
        if (!BlockSettings.takes(setting, a)) {
            notices.problem("“" + a.name() + "” can't stand here: " + setting.label().toLowerCase(Locale.ROOT)
                    + " wants another kind of file. Nothing was changed.");
            return;
        }
        String scene = studio.place().id();
        studio.editProject("Show " + a.title(), null, p -> p.withAsset(a).mapBoard(scene, b -> BlockSettings.with(b, List.of(block), setting.slot(),
                a.hash())));
    }
}
