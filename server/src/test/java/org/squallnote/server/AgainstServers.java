package org.squallnote.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.TestPropertySource;

/** Tests with engines that run against servers: nothing waits for longer than it must. They share one application. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@TestPropertySource(
        properties = {
            "squallnote.outbox.hold=0s",
            "squallnote.outbox.drafts-behind=0s",
            "squallnote.calendars.every=100ms",
            "squallnote.blocks.every=200",
            "squallnote.tasks.every=200"
        })
@interface AgainstServers {}
