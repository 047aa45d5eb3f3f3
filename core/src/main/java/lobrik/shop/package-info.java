/**
 * What stands in the shop: conduit, benders and the figures of a bender/conduit pair (handbook 2 and 3).
 *
 * <p>The tables are starting values as data; a school edits and calibrates its own. No rule of the core relies on them.
 */
package lobrik.shop;
