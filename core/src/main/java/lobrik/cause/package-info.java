/**
 * Finding out what went wrong with a piece (handbook 7, causes): every hypothesis is put through the forward simulation and
 * compared with the readings. How the criterion works and what the priors are stands in docs/judging.md.
 */
package lobrik.cause;
