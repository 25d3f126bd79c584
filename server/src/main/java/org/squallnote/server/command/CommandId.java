package org.squallnote.server.command;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The identifier that the page gives a change, so that a repeated request is recognised. */
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
public @interface CommandId {

    /** The header. */
    String HEADER = "Idempotency-Key";
}
