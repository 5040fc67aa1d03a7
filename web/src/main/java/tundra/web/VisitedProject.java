package tundra.web;

import tundra.core.model.Project;

/** A piece as the page plays it: with the timelines of what its actions set, which recorded visits name. */
public final class VisitedProject {
    private VisitedProject() {}

    public static Project of(Project p) {
        return SetTimelines.with(p);
    }
}
