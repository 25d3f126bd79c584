package org.squallnote.sources.chat;

import java.net.URI;
import java.net.URISyntaxException;
import org.squallnote.sources.Reach;

/** Checks the address of a homeserver. */
final class HomeserverAddress {

    private HomeserverAddress() {}

    /** The address without a slash at its end. */
    static String checked(String address) {
        String trimmed = address.strip().replaceAll("/+$", "");
        URI uri;
        try {
            uri = new URI(trimmed);
        } catch (URISyntaxException e) {
            throw new IllegalArgumentException("\"" + trimmed + "\" is not a web address.", e);
        }
        String scheme = uri.getScheme();
        String host = uri.getHost();
        if (host == null || scheme == null || !(scheme.equals("https") || scheme.equals("http"))) {
            throw new IllegalArgumentException(
                    "The address of a homeserver starts with https://, such as https://chat.merrowquay.example.");
        }
        boolean bare = uri.getRawPath() == null || uri.getRawPath().isEmpty();
        if (!bare || uri.getRawQuery() != null || uri.getRawFragment() != null || uri.getRawUserInfo() != null) {
            throw new IllegalArgumentException(
                    "The address of a homeserver is its name and nothing behind it: " + scheme + "://" + host + ".");
        }
        if (scheme.equals("http") && !Reach.isThisMachine(host)) {
            throw new IllegalArgumentException(
                    "Over http the password could be read on the way to " + host + ". Use https.");
        }
        return trimmed;
    }
}
