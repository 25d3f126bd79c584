package org.squallnote.core.people;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/**
 * What I noted of somebody.
 *
 * @param id follows from the address
 * @param address that names them
 */
public record PersonNote(UUID owner, UUID id, String address, String note, Talk talk) {

    /** Nothing noted yet of somebody. */
    public static PersonNote none(UUID owner, String address) {
        return new PersonNote(
                owner, UUID.nameUUIDFromBytes(address.getBytes(StandardCharsets.UTF_8)), address, "", Talk.NOTHING);
    }
}
