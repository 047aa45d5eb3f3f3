/** Accounts: who may sign in, and how they like their units. */
@NullMarked
package lobrik.server.account;

import org.jspecify.annotations.NullMarked;
