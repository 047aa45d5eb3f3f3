/** What to do with a piece that is off, and what to do next time (handbook 7, advice). */
package lobrik.remedy;
