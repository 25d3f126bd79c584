package org.squallnote.sources.calendar;

import java.net.URI;
import java.net.URISyntaxException;
import org.squallnote.sources.Reach;

/**
 * Where a calendar is and who reads it. An address can be a secret of its own, so all of it is kept like a password.
 *
 * @param address of a calendar, or of a server or account with several
 * @param user empty where nobody is asked for
 * @param password empty where nobody is asked for
 */
public record CalendarAccess(String address, String user, String password) {

    /**
     * The address as it is connected to.
     *
     * @throws IllegalArgumentException when it is none, or would send a password unencrypted to another machine
     */
    public URI uri() {
        String written = address.strip().replaceFirst("(?i)^webcals?://", "https://");
        URI uri;
        try {
            uri = new URI(written);
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException("\"" + address.strip() + "\" is not a web address.", e);
        }
        String scheme = uri.getScheme() == null ? "" : uri.getScheme();
        if (uri.getHost() == null || !(scheme.equals("https") || scheme.equals("http"))) {
            throw new IllegalArgumentException(
                    "The address of a calendar starts with https://, such as https://calendar.merrowquay.example/office.");
        }
        if (uri.getRawUserInfo() != null) {
            throw new IllegalArgumentException(
                    "User and password have fields of their own; the address holds neither.");
        }
        if (scheme.equals("http") && !Reach.isThisMachine(uri.getHost())) {
            throw new IllegalArgumentException(
                    "Over http what you send could be read on the way to " + uri.getHost() + ". Use https.");
        }
        return uri.getRawPath() == null || uri.getRawPath().isEmpty() ? uri.resolve("/") : uri;
    }

    @Override
    public String toString() {
        return "CalendarAccess[…]"; // Must not reach a log.
    }
}
