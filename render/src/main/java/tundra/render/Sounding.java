package tundra.render;

/** The sound of a film, picture by picture. */
interface Sounding {
    /**
     * The samples that belong to a picture, left and right in turn, −1 to 1; those of all pictures follow each other without a gap. Asked for
     * one picture after the other.
     *
     * @param picture from the begin of the film
     * @param rate pictures a second
     */
    float[] of(int picture, int rate);

    /** The first sample of a picture. */
    static long first(int picture, int rate) {
        return (long) picture * SoundReader.RATE / rate;
    }
}
