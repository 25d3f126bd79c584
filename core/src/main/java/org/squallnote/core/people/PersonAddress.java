package org.squallnote.core.people;

/** An address of somebody who is named by another one. */
public record PersonAddress(String address, String person) {}
