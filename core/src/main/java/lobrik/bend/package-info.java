/**
 * What is asked for: a sealed family of bends with their inputs (handbook 4). A bend knows nothing of marks or shapes; it
 * is what the instructor wants to see, in finished outside dimensions.
 */
package lobrik.bend;
