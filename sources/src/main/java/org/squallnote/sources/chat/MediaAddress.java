package org.squallnote.sources.chat;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a homeserver keeps a file ({@code mxc://server/id}, Matrix client-server API, section "Content repository").
 *
 * @param server the server name
 * @param id the media id
 */
public record MediaAddress(String server, String id) {

    private static final Pattern FORM = Pattern.compile("mxc://([A-Za-z0-9.:\\[\\]-]{1,255})/([A-Za-z0-9_=~-]{1,255})");

    /** Reads an address; absent where it is none, path tricks included. */
    public static Optional<MediaAddress> of(String address) {
        Matcher match = FORM.matcher(address);
        return match.matches() ? Optional.of(new MediaAddress(match.group(1), match.group(2))) : Optional.empty();
    }
}
