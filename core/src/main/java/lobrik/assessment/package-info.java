/**
 * What a piece comes to: which of all that was written down of it counts, what it is judged by, and what that gives (handbook 7). Whoever
 * keeps records asks here, and decides nothing of it.
 */
package lobrik.assessment;
