package outfell.server.problem;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The body is checked against a schema of docs/formats before it is read. */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
public @interface MatchesSchema {
    /** File name without its ending, such as "case". */
    String value();
}
