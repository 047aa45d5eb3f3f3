package lobrik.bending;

import lobrik.measure.Length;

/**
 * Why a bend cannot be made in a state of the piece.
 *
 * @param bend its number, from the datum end
 * @param by how much is missing, or how far what is bent already reaches where it must not
 */
public record Hindrance(int bend, What what, Length by) {

    /** What is in the way. */
    public enum What {
        /** The shoe holds too little straight conduit on the hook's side. */
        GRIP,
        /** What is bent already would strike the floor. */
        FLOOR,
        /** What rises would strike the ceiling. */
        CEILING,
        /** What is bent already stands so close to the shoe that the lever cannot pass it. */
        LEVER
    }

    /** In a sentence, after the bend: {@code what is bent already would reach 3 in below the floor}. */
    public String words() {
        return switch (what) {
            case GRIP -> "the straight on the hook's side is " + by.inWords() + " too short for the shoe to hold";
            case FLOOR -> "what is bent already would reach " + by.inWords() + " below the floor";
            case CEILING -> "what rises would reach " + by.inWords() + " above the ceiling";
            case LEVER -> "what is bent already stands in the lever's way, " + by.inWords() + " from the shoe";
        };
    }
}
