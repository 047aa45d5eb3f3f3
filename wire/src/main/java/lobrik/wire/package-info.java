/**
 * The calculation interface in plain Java: requests, answers, and what is between them and the core. How they are written as JSON is
 * for whoever sends them: the names of components are the names of properties, an enum goes by its {@code id()}, and a bend is
 * written by the {@link lobrik.bend.Form} of its kind.
 */
@NullMarked
package lobrik.wire;

import org.jspecify.annotations.NullMarked;
