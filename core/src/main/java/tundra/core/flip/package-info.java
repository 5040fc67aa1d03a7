package tundra.core.flip;

