/** Judging a piece: tolerances, credit and score (handbook 7). */
package lobrik.verdict;
