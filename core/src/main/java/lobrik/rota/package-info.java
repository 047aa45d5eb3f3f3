/**
 * Who sits where, session by session: at which bench, on which bender.
 *
 * <p>What is wanted is a {@link lobrik.rota.Rota}, what is proposed a {@link lobrik.rota.SeatingPlan}. {@link
 * lobrik.rota.RotaCheck} says what a plan comes to, whoever made it, and {@link lobrik.rota.RotaWords} why somebody sits where
 * they sit and which wishes cannot be met. People and benders go by their place in a list.
 */
package lobrik.rota;
