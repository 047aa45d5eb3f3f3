package lobrik.server.calc;

import org.jspecify.annotations.Nullable;

/** A bender's figures as a request gives them; all but take-up and radius are optional. */
public record BenderInput(
        @Nullable Double takeUpIn,
        @Nullable Double radiusIn,
        @Nullable Double minSpacingIn,
        @Nullable Double minStubIn,
        @Nullable Double minStandingIn,
        @Nullable Double springbackDeg) {}
