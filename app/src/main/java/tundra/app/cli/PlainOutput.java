package tundra.app.cli;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** What is said on a terminal has no control characters, whatever names stand in a file: they could move the cursor or hide words. */
final class PlainOutput extends FilterOutputStream {
    /** Whether the first byte of two was held back. */
    private boolean lead;

    private PlainOutput(OutputStream out) {
        super(out);
    }

    static void use() {
        System.setOut(new PrintStream(new PlainOutput(System.out), true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(new PlainOutput(System.err), true, StandardCharsets.UTF_8));
    }

    @Override
    public void write(int b) throws IOException {
        int c = b & 255;
        if (lead) {
            // U+0080 to U+009F, in UTF-8
            lead = false;
            boolean control = c < 160;
            out.write(control ? '?' : 0xC2);
            if (!control) {
                out.write(c);
            }
        } else if (c == 0xC2) {
            lead = true;
        } else {
            out.write(c >= 32 && c != 127 || c == '\n' || c == '\r' || c == '\t' ? c : '?');
        }
    }
}
