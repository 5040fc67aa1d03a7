package tundra.core.file;

import java.io.IOException;

/** A file that can't be used. The message is one sentence for people: what is wrong, and what stays safe. */
public class FileProblem extends IOException {
    public FileProblem(String sentence) {
        super(sentence);
    }

    public FileProblem(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
