package tundra.core.check;

