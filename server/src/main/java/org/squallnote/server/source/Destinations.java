package org.squallnote.server.source;

import java.net.URI;
import org.springframework.stereotype.Component;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.secret.Reaches;
import org.squallnote.sources.Reach;
import org.squallnote.sources.mail.MailSettings;

/** Refuses a source whose servers its owner may not have connected to, at the field that names them. */
@Component
class Destinations {

    private final Reaches reaches;

    Destinations(Reaches reaches) {
        this.reaches = reaches;
    }

    void check(SignedIn me, MailSettings settings) {
        check(me, settings.imap().host(), "imap.host");
        check(me, settings.smtp().host(), "smtp.host");
    }

    void checkAddress(SignedIn me, String address) {
        try {
            String host = URI.create(address.strip()).getHost();
            check(me, host == null ? "" : host, "homeserver");
        } catch (IllegalArgumentException e) {
            throw Refusal.field("homeserver", "\"" + address.strip() + "\" is not a web address.");
        }
    }

    private void check(SignedIn me, String host, String field) {
        try {
            reaches.of(me.accountId()).check(host);
        } catch (Reach.OutOfReachException e) {
            throw Refusal.field(field, String.valueOf(e.getMessage()));
        }
    }
}
