/**
 * From what is asked for to marks on the conduit: chart and exact methods, checks, and what the marks will give
 * (handbook 4).
 */
package lobrik.layout;
