package org.squallnote.server.people;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.people.PersonCard;
import org.squallnote.core.people.SignatureLines;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.text.Span;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.people.PeopleStore;

/** Telephone numbers and the organisation of somebody: from their vCard, else as they write under their letters. */
@Component
class ContactDetails {

    /** So many of their last letters of each address are looked through. */
    private static final int LAST = 8;

    private final PeopleStore people;
    private final MessageStore messages;

    ContactDetails(PeopleStore people, MessageStore messages) {
        this.people = people;
        this.messages = messages;
    }

    /**
     * A number.
     *
     * @param messageId the letter under which it stands; null where a vCard has it
     */
    record PhoneView(String number, String kind, @Nullable UUID messageId) {}

    /**
     * All of it.
     *
     * @param name as a vCard has it; empty where none has
     * @param organisationMessage the letter that says so; null where a vCard says so, or nobody
     */
    record ContactView(
            String name,
            List<PhoneView> phones,
            String organisation,
            @Nullable UUID organisationMessage) {}

    ContactView of(UUID owner, Collection<String> addresses) {
        Map<String, PhoneView> phones = new LinkedHashMap<>();
        String name = "";
        String organisation = "";
        UUID organisationMessage = null;
        for (String address : addresses) {
            PersonCard card = people.card(owner, PersonCard.idOf(address)).orElse(null);
            if (card != null) {
                name = name.isEmpty() ? card.name() : name;
                organisation = organisation.isEmpty() ? card.organisation() : organisation;
                card.phones()
                        .list()
                        .forEach(phone ->
                                phones.putIfAbsent(phone.digits(), new PhoneView(phone.number(), phone.kind(), null)));
            }
        }
        for (String address : addresses) {
            for (StoredMessage letter : messages.lastBy(owner, address, LAST)) {
                SignatureLines signature = signature(letter);
                signature
                        .phones()
                        .forEach(phone -> phones.putIfAbsent(
                                phone.digits(), new PhoneView(phone.number(), phone.kind(), letter.id())));
                if (organisation.isEmpty() && !signature.organisation().isEmpty()) {
                    organisation = signature.organisation();
                    organisationMessage = letter.id();
                }
            }
        }
        return new ContactView(name, List.copyOf(phones.values()), organisation, organisationMessage);
    }

    private static SignatureLines signature(StoredMessage letter) {
        OwnWords words = OwnWords.of(letter.body(), letter.from().name());
        List<String> lines = new ArrayList<>();
        for (Span span : words.linesOf(OwnWords.Kind.SIGNATURE)) {
            lines.add(letter.body()
                    .substring(span.fromInclusive(), span.toExclusive())
                    .strip());
        }
        return SignatureLines.of(lines, letter.from().name(), letter.from().address());
    }
}
