/** How fast the core is. Run by {@code ./lobrik bench}; the results stand in docs/performance.md. */
package lobrik.bench;
