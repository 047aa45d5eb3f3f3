/**
 * The part-bent piece in the shoe (handbook 4.9, how the shoe stands): what stands in the way of floor, lever and grip, and an order of
 * bending in which nothing does.
 */
package lobrik.bending;
