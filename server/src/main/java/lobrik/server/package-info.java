/** The server of Lobrik: one package per feature, each resource → service → repository. */
@NullMarked
package lobrik.server;

import org.jspecify.annotations.NullMarked;
