package tundra.core.model;

/** A colour kept on the shelf under a name. */
public record Swatch(String name, Color color) {}
