/** How fast the core is, and a server that runs. Run by {@code ./lobrik bench} and others; the results stand in docs/performance.md. */
package lobrik.bench;
