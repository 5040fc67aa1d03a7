package tundra.core.helper;

