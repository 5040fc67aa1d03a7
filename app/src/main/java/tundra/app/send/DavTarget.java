package tundra.app.send;

import com.github.sardine.Sardine;
import com.github.sardine.SardineFactory;
import com.github.sardine.impl.SardineException;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import tundra.core.file.OutputFolder;

/** A host that speaks WebDAV (RFC 4918), as the practice host does. */
final class DavTarget implements Target {
    private final Sardine sardine;
    private final String root, base;
    private final Set<String> made = new HashSet<>();

    DavTarget(Place p, String secret) throws IOException {
        sardine = p.user().isEmpty() && secret.isEmpty() ? SardineFactory.begin() : SardineFactory.begin(p.user(), secret);
        sardine.enablePreemptiveAuthentication(URI.create(p.address()).toURL());
        root = p.address() + "/";
        if (!p.folder().isEmpty()) {
            folders(p.folder() + "/x", root);
        }
        base = p.folder().isEmpty() ? root : root + encoded(p.folder()) + "/";
    }

    private static String encoded(String path) {
        var out = new StringBuilder();
        for (String part : path.split("/")) {
            out.append(out.isEmpty() ? "" : "/").append(URLEncoder.encode(part, StandardCharsets.UTF_8).replace("+", "%20"));
        }
        return out.toString();
    }

    /** Makes the folders on the way to a path. */
    private void folders(String path, String from) throws IOException {
        int slash = 0;
        while ((slash = path.indexOf('/', slash + 1)) > 0) {
            String at = from + encoded(path.substring(0, slash)) + "/";
            if (made.add(at) && !sardine.exists(at)) {
                sardine.createDirectory(at);
            }
        }
    }

    @Override
    public byte[] read(String path) throws IOException {
        try (InputStream in = sardine.get(base + encoded(path))) {
            return Target.all(in, Sending.LONGEST);
        } catch (SardineException e) {
            if (e.getStatusCode() == 404) {
                return null;
            }
            throw e;
        }
    }

    @Override
    public boolean exists(String path) throws IOException {
        return sardine.exists(base + encoded(path));
    }

    @Override
    public void write(String path, OutputFolder.Part part, long length) throws IOException {
        folders(path, base);
        try (InputStream in = part.open()) {
            sardine.put(base + encoded(path), in, "application/octet-stream", false, length);
        }
    }

    @Override
    public void move(String from, String to) throws IOException {
        folders(to, base);
        sardine.move(base + encoded(from), base + encoded(to), true);
    }

    @Override
    public void delete(String path) throws IOException {
        try {
            sardine.delete(base + encoded(path));
        } catch (SardineException e) {
            if (e.getStatusCode() != 404) {
                throw e;
            }
        }
    }

    @Override
    public void close() throws IOException {
        sardine.shutdown();
    }
}
