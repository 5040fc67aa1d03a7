package tundra.core.svg;

import java.io.IOException;
import tundra.core.model.Asset;

/** Reads the bytes of a picture; implemented where pictures are decoded. Throws when they are no picture. */
public interface PictureSource {
    Asset read(String name, byte[] data) throws IOException;
}
