/** Exercises for a class: variants that are equally hard, how hard a bend is, and the conduit that a class uses up. */
package lobrik.exercise;
