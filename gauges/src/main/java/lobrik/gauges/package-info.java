/**
 * Stand-ins for a digital angle gauge and a digital height gauge, speaking the line protocol of docs/formats/gauges.md on
 * loopback ports. They are a program of their own, so that they can be lost, be noisy and show the wrong unit like real ones.
 */
package lobrik.gauges;
