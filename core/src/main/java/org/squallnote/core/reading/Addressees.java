package org.squallnote.core.reading;

import java.util.LinkedHashSet;
import java.util.Set;

/**
 * Whom a sentence speaks to, as far as it says.
 *
 * @param addresses those named who are known
 * @param somebodyUnknown whether somebody is named who is not known
 * @param everybody whether all are spoken to ("could everyone …", "Dear all")
 * @param anybody whether the question is open to all ("has anybody …?")
 */
record Addressees(Set<String> addresses, boolean somebodyUnknown, boolean everybody, boolean anybody) {

    /** Nobody is named. */
    static final Addressees UNSAID = new Addressees(Set.of(), false, false, false);

    static final Addressees UNKNOWN = new Addressees(Set.of(), true, false, false);

    static final Addressees EVERYBODY = new Addressees(Set.of(), false, true, false);

    static final Addressees ANYBODY = new Addressees(Set.of(), false, false, true);

    static Addressees of(Set<String> addresses) {
        return new Addressees(addresses, false, false, false);
    }

    boolean areSaid() {
        return !addresses.isEmpty() || somebodyUnknown || everybody || anybody;
    }

    Addressees and(Addressees other) {
        Set<String> all = new LinkedHashSet<>(addresses);
        all.addAll(other.addresses);
        return new Addressees(
                all, somebodyUnknown || other.somebodyUnknown, everybody || other.everybody, anybody || other.anybody);
    }
}
