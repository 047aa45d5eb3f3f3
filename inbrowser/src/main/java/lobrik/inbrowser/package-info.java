/** The core's rules of taking a reading, as functions for the screens: the same Java, compiled to JavaScript. */
package lobrik.inbrowser;
