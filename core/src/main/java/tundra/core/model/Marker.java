package tundra.core.model;

/** A named time of a timeline, in µs. */
public record Marker(String id, String name, long time) {}
