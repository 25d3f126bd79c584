package org.squallnote.server.source;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import org.springframework.stereotype.Component;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.installation.Installation;
import org.squallnote.server.problem.Refusal;
import org.squallnote.sources.mail.MailSettings;

/**
 * Where an account may have this application connect to. Servers inside the local network see a request that comes from
 * inside, so only administrators may name them, or everybody where an administrator has said so.
 */
@Component
class Destinations {

    private final Installation installation;

    Destinations(Installation installation) {
        this.installation = installation;
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
        if (!me.administrator() && !installation.localNetworkForAll() && isInside(host)) {
            throw Refusal.field(
                    field,
                    host
                            + " lies inside the local network. The administrator of this installation can allow such servers"
                            + " under Settings, Account. Nothing was sent.");
        }
    }

    /** Whether one of its addresses is this machine's, or of a range that is not routed on the internet. */
    private static boolean isInside(String host) {
        try {
            for (InetAddress address : InetAddress.getAllByName(host)) {
                if (isInside(address)) {
                    return true;
                }
            }
            return false;
        } catch (UnknownHostException e) {
            return false; // Said by the test, which cannot reach it either.
        }
    }

    private static boolean isInside(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean uniqueLocal = address instanceof Inet6Address && (bytes[0] & 0xfe) == 0xfc;
        boolean sharedByProvider = bytes.length == 4 && bytes[0] == 100 && (bytes[1] & 0xc0) == 64;
        return uniqueLocal
                || sharedByProvider
                || address.isLoopbackAddress()
                || address.isAnyLocalAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress();
    }
}
