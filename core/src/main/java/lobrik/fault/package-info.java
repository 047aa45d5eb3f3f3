/**
 * What can be wrong with what was asked: every fault with a code, the input it concerns and a sentence that gives the
 * value, the limit and the cure. All faults of a request are collected before it is refused.
 */
package lobrik.fault;
