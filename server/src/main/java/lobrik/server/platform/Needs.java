package lobrik.server.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The right that whoever calls an endpoint needs. One that says nothing lets nobody in; see {@link RightsGuard}. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Needs {

    Right value();

    /** Whether it concerns rows of other schools as well, such as those that a school is brought in with. */
    boolean beyondOnesSchool() default false;
}
