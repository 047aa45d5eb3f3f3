/** How figures are worked out, as somebody writes it on paper: the sums themselves, and the same once more with a slip in them. */
package lobrik.derivation;
