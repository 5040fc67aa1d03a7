package tundra.core.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Limits;
import tundra.core.model.Project;

/** A project as a folder, for version control: {@code project.json}, in an order that stays, and {@code assets/HASH.ending}. */
public final class ProjectFolder {
    private static final String JSON = "project.json", ASSETS = "assets";

    private ProjectFolder() {}

    /** Writes into a new folder, an empty one, or one that a project was unpacked into before; files of others in it stay. */
    public static void unpack(Project p, Path folder) throws IOException {
        if (Files.exists(folder) && !Files.isDirectory(folder)) {
            throw new FileProblem("“" + folder.getFileName() + "” is a file; name a folder to unpack into. Nothing was written.");
        }
        if (Files.isDirectory(folder) && !Files.exists(folder.resolve(JSON))) {
            try (DirectoryStream<Path> all = Files.newDirectoryStream(folder)) {
                if (all.iterator().hasNext()) {
                    throw new FileProblem("“" + folder.getFileName()
                            + "” holds other things; name a new folder, or one that a piece was unpacked into. Nothing was written.");
                }
            }
        }
        Path assets = Files.createDirectories(folder.resolve(ASSETS));
        Set<String> names = new HashSet<>();
        for (Asset a : p.assets().values()) {
            Path to = assets.resolve(a.hash() + "." + a.ending());
            if (names.add(to.getFileName().toString()) && !Files.exists(to)) {
                SafeReplace.put(to, out -> {
                    try (InputStream in = a.source().open()) {
                        in.transferTo(out);
                    }
                });
            }
        }
        SafeReplace.put(folder.resolve(JSON), ProjectWriter.write(p) + "\n");
        try (DirectoryStream<Path> all = Files.newDirectoryStream(assets)) {
            for (Path x : all) {
                if (!names.contains(x.getFileName().toString()) && x.getFileName().toString().matches("[0-9a-f]{64}\\.[a-z0-9]+")) {
                    Files.delete(x);
                }
            }
        }
    }

    /** The project of a folder; throws a {@link FileProblem} whose sentence names the folder. */
    public static Project pack(Path folder) throws IOException {
        try {
            Path json = folder.resolve(JSON);
            if (Files.size(json) > Limits.ENTRY_BYTES) {
                throw new FileProblem("its project.json is too large");
            }
            Map<String, AssetData> data = new HashMap<>();
            if (Files.isDirectory(folder.resolve(ASSETS))) {
                try (DirectoryStream<Path> all = Files.newDirectoryStream(folder.resolve(ASSETS))) {
                    for (Path a : all) {
                        if (Files.size(a) > Limits.ENTRY_BYTES) {
                            throw new FileProblem("“" + a.getFileName() + "” is too large");
                        }
                        data.put(a.getFileName().toString().replaceFirst("\\.[a-z0-9]+$", ""), AssetData.of(Files.readAllBytes(a)));
                    }
                }
            }
            return ProjectReader.read(new String(Files.readAllBytes(json), StandardCharsets.UTF_8).strip().getBytes(StandardCharsets.UTF_8), data,
                    Parts.strict());
        } catch (NoSuchFileException e) {
            throw new FileProblem("“" + folder.getFileName()
                    + "” holds no project.json; name a folder that a piece was unpacked into. Nothing was written.", e);
        } catch (FileProblem | IllegalArgumentException e) {
            throw new FileProblem("“" + folder.getFileName() + "” can't be packed: " + e.getMessage() + ". Nothing was written.", e);
        }
    }
}
