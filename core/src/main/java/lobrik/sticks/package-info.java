/** What a run is made from (handbook 4.9): pieces and couplings, sticks and what is left of them, straps, and where wire is pulled. */
package lobrik.sticks;
