package tundra.app.job;

/** A part of the window that goes on working beside the interface thread after it is shown. */
public interface Settles {
    /** Whether all of it is there. */
    boolean settled();
}
