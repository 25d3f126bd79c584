package org.squallnote.core.people;

/**
 * A telephone number as somebody writes it.
 *
 * @param kind what it reaches, such as "mobile" or "fax"; empty where nobody says
 */
public record Phone(String number, String kind) {

    /** The digits, by which two ways of writing it are the same; an international prefix and its form in one's own country are not. */
    public String digits() {
        return number.replaceAll("[^0-9+]", "");
    }
}
