package org.squallnote.server.source;

import java.net.URI;
import org.springframework.stereotype.Component;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.Reaches;
import org.squallnote.sources.Reach;

/** Refuses a source whose servers its owner may not have connected to, at the field that names them. */
@Component
public class Destinations {

    private final Reaches reaches;

    Destinations(Reaches reaches) {
        this.reaches = reaches;
    }

    /**
     * Checks a web address.
     *
     * @param field the field of the form that it stands in
     */
    public void checkAddress(SignedIn me, String address, String field) {
        try {
            String host = URI.create(address.strip()).getHost();
            check(me, host == null ? "" : host, field);
        } catch (IllegalArgumentException e) {
            throw Refusal.field(
                    field, "\"" + address.strip() + "\" is not a web address. Write it as https://host/path.");
        }
    }

    /** Checks a host. */
    public void check(SignedIn me, String host, String field) {
        try {
            reaches.of(me.accountId()).check(host);
        } catch (Reach.OutOfReachException e) {
            throw Refusal.field(field, String.valueOf(e.getMessage()));
        }
    }
}
