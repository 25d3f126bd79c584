package org.squallnote.core.people;

import java.util.List;

/**
 * Somebody as a vCard has them.
 *
 * @param addresses mail addresses, lower case, the preferred one first
 */
public record BusinessCard(String name, List<String> addresses, String organisation, List<Phone> phones) {

    /** Copies the lists. */
    public BusinessCard {
        addresses = List.copyOf(addresses);
        phones = List.copyOf(phones);
    }
}
