package org.squallnote.core.people;

import java.util.UUID;

/**
 * What is kept of somebody besides their addresses.
 *
 * @param address that names them
 * @param name empty where nobody says
 * @param organisation empty where nobody says
 */
public record PersonCard(String address, String name, String organisation, Phones phones) {

    /** By which it is known, see {@link PersonAddress#id}. */
    public UUID id() {
        return idOf(address);
    }

    /** The same of an address. */
    public static UUID idOf(String address) {
        return PersonAddress.id(address);
    }
}
