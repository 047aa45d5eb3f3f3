package lobrik.inbrowser;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A text that is the id of one of an enum's constants: the types for the screens name them. */
@Documented
@Retention(RetentionPolicy.CLASS)
@Target({ElementType.PARAMETER, ElementType.METHOD})
@interface OneOf {
    Class<? extends Enum<?>> value();
}
