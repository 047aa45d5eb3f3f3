/**
 * The piece as made: forward simulation of bends in space, and what can be measured on the result.
 *
 * <p>Conventions. Coordinates are inches in a right-handed frame: the origin is the centre of the datum end face, x runs
 * along the datum leg, y is the direction in which a bend of roll 0 turns, z completes the frame. A piece lies along its
 * centreline, whose length bending does not change. Roll is absolute: the turn of the conduit about its own axis, seen
 * along +x from y towards z, counted from where it lay for roll 0; a bend with roll 180° goes the other way in the same
 * plane. All angles are at rest, after springback.
 */
package lobrik.shape;
