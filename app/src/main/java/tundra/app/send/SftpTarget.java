package tundra.app.send;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.URI;
import java.time.Duration;
import java.util.HashSet;
import java.util.Set;
import org.apache.sshd.client.SshClient;
import org.apache.sshd.client.session.ClientSession;
import org.apache.sshd.sftp.client.SftpClient;
import org.apache.sshd.sftp.client.SftpClientFactory;
import org.apache.sshd.sftp.common.SftpConstants;
import org.apache.sshd.sftp.common.SftpException;
import tundra.core.file.OutputFolder;

/** A host that speaks SFTP. */
final class SftpTarget implements Target {
    private static final int PORT = 22;
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private final SshClient client = SshClient.setUpDefaultClient();
    private final ClientSession session;
    private final SftpClient sftp;
    private final String base;
    private final Set<String> made = new HashSet<>();

    /** @param known tells whether a host's key may be trusted */
    SftpTarget(Place p, String secret, KnownHosts known) throws IOException {
        URI at = URI.create(p.address());
        client.setServerKeyVerifier(known.verifier(at.getHost(), at.getPort() < 0 ? PORT : at.getPort()));
        client.start();
        try {
            session = client.connect(p.user(), at.getHost(), at.getPort() < 0 ? PORT : at.getPort()).verify(PATIENCE).getSession();
            session.addPasswordIdentity(secret);
            session.auth().verify(PATIENCE);
            sftp = SftpClientFactory.instance().createSftpClient(session);
        } catch (IOException | RuntimeException e) {
            client.stop();
            throw e;
        }
        base = p.folder().isEmpty() ? "" : p.folder() + "/";
    }

    @Override
    public byte[] read(String path) throws IOException {
        return exists(path) ? Target.all(sftp.read(base + path), Sending.LONGEST) : null;
    }

    @Override
    public boolean exists(String path) throws IOException {
        try {
            sftp.stat(base + path);
            return true;
        } catch (SftpException e) {
            if (e.getStatus() == SftpConstants.SSH_FX_NO_SUCH_FILE || e.getStatus() == SftpConstants.SSH_FX_NO_SUCH_PATH) {
                return false;
            }
            throw e;
        }
    }

    private void folders(String path) throws IOException {
        String whole = base + path;
        int slash = 0;
        while ((slash = whole.indexOf('/', slash + 1)) > 0) {
            String at = whole.substring(0, slash);
            if (made.add(at)) {
                try {
                    sftp.stat(at);
                } catch (SftpException e) {
                    sftp.mkdir(at);
                }
            }
        }
    }

    @Override
    public void write(String path, OutputFolder.Part part, long length) throws IOException {
        folders(path);
        try (InputStream in = part.open(); OutputStream out = sftp.write(base + path, SftpClient.OpenMode.Create, SftpClient.OpenMode.Truncate,
                SftpClient.OpenMode.Write)) {
            in.transferTo(out);
        }
    }

    @Override
    public void move(String from, String to) throws IOException {
        folders(to);
        if (exists(to)) {
            // plain SFTP renames over nothing
            sftp.remove(base + to);
        }
        sftp.rename(base + from, base + to);
    }

    @Override
    public void delete(String path) throws IOException {
        if (exists(path)) {
            sftp.remove(base + path);
        }
    }

    @Override
    public void close() throws IOException {
        sftp.close();
        session.close();
        client.stop();
    }
}
