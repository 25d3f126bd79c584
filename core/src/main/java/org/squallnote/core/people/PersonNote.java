package org.squallnote.core.people;

import java.util.UUID;

/**
 * What I noted of somebody.
 *
 * @param id follows from the address, see {@link PersonAddress#id}
 * @param address that names them
 */
public record PersonNote(UUID owner, UUID id, String address, String note, Talk talk) {

    /** Nothing noted yet of somebody. */
    public static PersonNote none(UUID owner, String address) {
        return new PersonNote(owner, PersonAddress.id(address), address, "", Talk.NOTHING);
    }
}
