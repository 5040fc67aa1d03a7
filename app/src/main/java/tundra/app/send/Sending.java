package tundra.app.send;

import com.github.sardine.impl.SardineException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import tundra.core.file.FileProblem;
import tundra.core.file.WriteTrouble;
import tundra.core.model.Asset;
import tundra.core.work.Progress;
import tundra.web.Page;

/**
 * Sends a page: only files whose content changed, beside the old page first; when all have arrived they are put in place, the page itself
 * last. What was there before stays on the host and can be brought back. A sending that breaks leaves the old page as it is and goes on
 * where it was when it is tried again.
 */
public final class Sending implements AutoCloseable {
    /** The list of what is there, in lines of a hash and a path; that of the version before it; and where files wait and are kept. */
    static final String LIST = ".tundra-sent", BEFORE = ".tundra-before/list", NEW = ".tundra-new/", OLD = ".tundra-before/";
    static final int LONGEST = 4 << 20;
    private static final String INDEX = "index.html";
    private final Place place;
    private final Target target;

    /**
     * What a sending would change.
     *
     * @param changed new files and those with another content, by their paths
     * @param removed files of the page that is there which the new one no longer has
     * @param same how many stay as they are
     * @param bytes that have to be sent
     */
    public record Plan(List<String> changed, List<String> removed, int same, long bytes) {}

    private Sending(Place place, Target target) {
        this.place = place;
        this.target = target;
    }

    /** @param secret empty where there is none; throws with one sentence where the place can't be reached */
    public static Sending to(Place p, String secret, KnownHosts known) throws IOException {
        try {
            return new Sending(p, switch (p.kind()) {
                case FOLDER -> new FolderTarget(Path.of(p.address()));
                case PRACTICE, WEBDAV -> new DavTarget(p, secret);
                case SFTP -> new SftpTarget(p, secret, known);
            });
        } catch (IOException | RuntimeException e) {
            throw problem(p, e, "Nothing was sent");
        }
    }

    private static FileProblem problem(Place p, Exception e, String safe) {
        Throwable cause = e;
        while (cause.getCause() != null && !(cause instanceof SardineException) && cause.getCause() != cause) {
            cause = cause.getCause();
        }
        String words = cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
        String why = switch (cause) {
            case SardineException s when s.getStatusCode() == 401 || s.getStatusCode() == 403 -> "the host doesn't accept this name and secret";
            case SardineException s when s.getStatusCode() == 507 || s.getStatusCode() == 413 -> "there is no room left on the host";
            case SardineException s -> "the host answered " + s.getStatusCode();
            case UnknownHostException u -> "there is no such host";
            case ConnectException c -> "nobody answers there";
            case SocketTimeoutException t -> "the host doesn't answer in time";
            case IOException i when words.contains("No more authentication") -> "the host doesn't accept this name and secret";
            case IOException i when words.contains("Server key did not validate") ->
                    "the host shows another key than the last time, so it may be another host";
            case IOException i -> WriteTrouble.words(i);
            default -> words;
        };
        return new FileProblem("“" + p.words() + "” can't be sent to: " + why + ". " + safe + "; try again, or choose another place.", e);
    }

    private static Map<String, String> listed(byte[] list) {
        var out = new LinkedHashMap<String, String>();
        if (list != null) {
            new String(list, StandardCharsets.UTF_8).lines().filter(l -> l.matches("[0-9a-f]{64} [^\\p{Cntrl}]{1,500}") && !l.contains(".."))
                    .forEach(l -> out.put(l.substring(65), l.substring(0, 64)));
        }
        return out;
    }

    private static byte[] list(Map<String, String> of) {
        var s = new StringBuilder();
        of.forEach((path, hash) -> s.append(hash).append(' ').append(path).append('\n'));
        return s.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, String> hashes(Page page) throws IOException {
        var out = new LinkedHashMap<String, String>();
        for (var e : page.files().entrySet()) {
            try (InputStream in = e.getValue().open()) {
                out.put(e.getKey(), Asset.hash(in));
            }
        }
        return out;
    }

    /** What sending a page would change there. */
    public Plan plan(Page page) throws IOException {
        try {
            return plan(page, hashes(page), listed(target.read(LIST)));
        } catch (IOException | RuntimeException e) {
            throw problem(place, e, "Nothing was sent");
        }
    }

    private static Plan plan(Page page, Map<String, String> now, Map<String, String> there) {
        List<String> changed = now.keySet().stream().filter(x -> !now.get(x).equals(there.get(x))).toList();
        return new Plan(changed, there.keySet().stream().filter(x -> !now.containsKey(x)).toList(), now.size() - changed.size(), changed.stream()
                .mapToLong(x -> page.files().get(x).length()).sum());
    }

    /**
     * Sends it.
     *
     * @throws java.util.concurrent.CancellationException where it was given up; the old page stands
     */
    public Plan send(Page page, Progress progress) throws IOException {
        Map<String, String> now;
        Plan plan;
        Map<String, String> there;
        try {
            now = hashes(page);
            there = listed(target.read(LIST));
            if (there.isEmpty() && target.exists(INDEX)) {
                throw new FileProblem("“" + place.words()
                        + "” holds a page that Tundra did not send, and it was left as it is. Choose another folder.");
            }
            plan = plan(page, now, there);
            long sent = 0;
            for (String path : plan.changed) {
                progress.check();
                String waits = NEW + now.get(path);
                if (!target.exists(waits)) {
                    // whole or not at all, so that what waits can be trusted when it is gone on with
                    target.write(waits + ".part", page.files().get(path)::open, page.files().get(path).length());
                    target.move(waits + ".part", waits);
                }
                sent += page.files().get(path).length();
                progress.share(0.9 * sent / Math.max(1, plan.bytes));
            }
            progress.check();
        } catch (FileProblem e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            if (e instanceof CancellationException) {
                throw e;
            }
            throw problem(place, e, "The page that was there is as it was");
        }
        try {
            switchTo(now, there, plan);
        } catch (IOException | RuntimeException e) {
            throw problem(place, e, "It broke off while the files were put in place; send it again to go on");
        }
        progress.share(1);
        return plan;
    }

    private void switchTo(Map<String, String> now, Map<String, String> there, Plan plan) throws IOException {
        target.write(BEFORE, () -> new ByteArrayInputStream(list(there)), list(there).length);
        var order = new ArrayList<>(plan.changed);
        if (order.remove(INDEX)) {
            order.add(INDEX);
        }
        // two files of one content wait as one
        var left = new LinkedHashMap<String, Integer>();
        order.forEach(x -> left.merge(now.get(x), 1, Integer::sum));
        for (String path : order) {
            String hash = now.get(path);
            if (there.containsKey(path) && target.exists(path)) {
                target.move(path, OLD + there.get(path));
            }
            if (left.merge(hash, -1, Integer::sum) > 0) {
                byte[] copy = target.read(NEW + hash);
                target.write(path, () -> new ByteArrayInputStream(copy), copy.length);
            } else if (target.exists(NEW + hash)) {
                target.move(NEW + hash, path);
            }
        }
        for (String path : plan.removed) {
            if (target.exists(path)) {
                target.move(path, OLD + there.get(path));
            }
        }
        target.write(LIST, () -> new ByteArrayInputStream(list(now)), list(now).length);
    }

    /** Whether there is a version before the one that is there. */
    public boolean hasBefore() throws IOException {
        try {
            return !listed(target.read(BEFORE)).isEmpty();
        } catch (IOException | RuntimeException e) {
            throw problem(place, e, "Nothing was changed");
        }
    }

    /** Puts the version before in place of the one that is there; done once more it brings that one back. */
    public void bringBack() throws IOException {
        try {
            Map<String, String> now = listed(target.read(LIST)), before = listed(target.read(BEFORE));
            if (before.isEmpty()) {
                throw new FileProblem("There is no version before this one at “" + place.words() + "”. Nothing was changed.");
            }
            var order = new ArrayList<>(new LinkedHashSet<>(before.keySet()));
            if (order.remove(INDEX)) {
                order.add(INDEX);
            }
            for (String path : order) {
                String hash = before.get(path);
                if (!hash.equals(now.get(path)) && target.exists(OLD + hash)) {
                    if (now.containsKey(path) && target.exists(path)) {
                        target.move(path, OLD + now.get(path));
                    }
                    target.move(OLD + hash, path);
                }
            }
            for (String path : now.keySet()) {
                if (!before.containsKey(path) && target.exists(path)) {
                    target.move(path, OLD + now.get(path));
                }
            }
            target.write(BEFORE, () -> new ByteArrayInputStream(list(now)), list(now).length);
            target.write(LIST, () -> new ByteArrayInputStream(list(before)), list(before).length);
        } catch (FileProblem e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            throw problem(place, e, "What is there may be partly the one and partly the other; try it again");
        }
    }

    @Override
    public void close() throws IOException {
        target.close();
    }
}
