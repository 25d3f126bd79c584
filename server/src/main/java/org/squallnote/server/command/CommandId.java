package org.squallnote.server.command;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.enums.ParameterIn;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The identifier that the page gives a change, so that a repeated request is recognised. */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
@Parameter(
        in = ParameterIn.HEADER,
        name = CommandId.HEADER,
        required = true,
        description = "A UUID made by the client; the same one again changes nothing twice")
public @interface CommandId {

    /** The header. */
    String HEADER = "Idempotency-Key";
}
