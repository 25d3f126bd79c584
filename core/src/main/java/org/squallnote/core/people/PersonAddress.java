package org.squallnote.core.people;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** An address of somebody who is named by another one. */
public record PersonAddress(String address, String person) {

    /** By which what is said of an address is known, in the history too. */
    public static UUID id(String address) {
        return UUID.nameUUIDFromBytes(address.getBytes(StandardCharsets.UTF_8));
    }

    /** The same of this one. */
    public UUID id() {
        return id(address);
    }
}
