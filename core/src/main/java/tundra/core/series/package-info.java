/** Motifs as looped series of pictures, for visitors whose machine should not work the motif out at each frame. */
package tundra.core.series;
