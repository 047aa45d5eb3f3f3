/** Fitting a model to readings by least squares: plain numbers, no trade. */
package lobrik.fit;
