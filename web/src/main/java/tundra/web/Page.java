package tundra.web;

import java.util.Map;

/** A published page: the bytes of its files by their paths, {@code index.html} among them. */
public record Page(Map<String, byte[]> files) {}
