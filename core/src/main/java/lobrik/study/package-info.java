/**
 * How far readings can be trusted: several people measure the same pieces, each several times, and an analysis of variance ({@link
 * lobrik.study.MeasurementStudy}) says how much of what lies between two readings is the piece, how much is who measured, and how much is
 * nobody's doing. What is found so serves wherever a reading is weighed ({@link lobrik.verdict.ReadingSpread}), and says which readings are
 * too near to their limits to settle anything ({@link lobrik.study.NearLimit}).
 */
package lobrik.study;
