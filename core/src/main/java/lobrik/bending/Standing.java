package lobrik.bending;

import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.HookSide;

/**
 * How one bend is made so that nothing stands in its way.
 *
 * @param bend its number, from the datum end
 * @param leverLean how far the lever leans sideways, past what is bent already; zero where it swings freely
 * @param overFloor the least that anything bent is over the floor meanwhile; empty where nothing bent lies on the heel's side
 */
public record Standing(int bend, HookSide hookTowards, Stance stance, Angle leverLean, Optional<Length> overFloor) {}
