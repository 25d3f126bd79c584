package org.squallnote.server.account;

import java.time.DateTimeException;
import java.time.ZoneId;
import org.squallnote.server.problem.Refusal;

/** The name of a time zone as somebody sends it. */
public final class ZoneName {

    private ZoneName() {}

    /** The same name where such a zone is known; else it is refused at the field {@code zone}. */
    public static String known(String name) {
        try {
            return ZoneId.of(name).getId();
        } catch (DateTimeException e) {
            throw Refusal.field("zone", "There is no time zone " + name + ". Use a name such as Europe/London.");
        }
    }
}
