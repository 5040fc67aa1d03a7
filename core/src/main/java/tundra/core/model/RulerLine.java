package tundra.core.model;

/** A guide line drawn from a ruler: upright at an x, or level at a y, in canvas px. Never published. */
public record RulerLine(boolean upright, double at) {}
