/**
 * What a trainee's pieces say together (handbook 7, Progress).
 *
 * <p>A finished piece is an {@link lobrik.progress.Outcome}. Where one stands in a kind of bend, and who may be signed off,
 * follows from the last of them by a {@link lobrik.progress.SignOffRule}; how far hands are off on the whole is an {@link
 * lobrik.progress.Estimate}; what of that is clearly not chance is a {@link lobrik.progress.Habit}; what comes from the tool
 * and not from the hands is found by a {@link lobrik.progress.BenderComparison}. Lists of outcomes go from the oldest to the
 * newest.
 */
package lobrik.progress;
