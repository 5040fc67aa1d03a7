package tundra.app.send;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import tundra.core.file.OutputFolder;

/** A folder of this machine, or one that is mounted. */
final class FolderTarget implements Target {
    private final Path root;

    FolderTarget(Path root) throws IOException {
        this.root = root.toAbsolutePath().normalize();
        Files.createDirectories(this.root);
    }

    private Path at(String path) throws IOException {
        Path p = root.resolve(path).normalize();
        if (!p.startsWith(root)) {
            throw new IOException("“" + path + "” leads out of the folder");
        }
        return p;
    }

    @Override
    public byte[] read(String path) throws IOException {
        return Files.isRegularFile(at(path)) ? Target.all(Files.newInputStream(at(path)), Sending.LONGEST) : null;
    }

    @Override
    public boolean exists(String path) throws IOException {
        return Files.exists(at(path));
    }

    @Override
    public void write(String path, OutputFolder.Part part, long length) throws IOException {
        Files.createDirectories(at(path).getParent());
        try (InputStream in = part.open()) {
            Files.copy(in, at(path), StandardCopyOption.REPLACE_EXISTING);
        }
    }

    @Override
    public void move(String from, String to) throws IOException {
        Files.createDirectories(at(to).getParent());
        Files.move(at(from), at(to), StandardCopyOption.REPLACE_EXISTING);
    }

    @Override
    public void delete(String path) throws IOException {
        Files.deleteIfExists(at(path));
    }

    @Override
    public void close() {
        // nothing is held
    }
}
