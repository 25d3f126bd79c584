package org.squallnote.formats.contact;

import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.EmailType;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Email;
import ezvcard.property.FormattedName;
import ezvcard.property.Organization;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.squallnote.core.people.BusinessCard;
import org.squallnote.core.people.Phone;

/** vCards: 4.0 (RFC 6350) and 3.0 (RFC 2426), read and written. */
public final class VCards {

    /** No file is read that is larger, in bytes. */
    public static final int LARGEST = 16_000_000;

    /** More are not read of one file. */
    public static final int MOST = 20_000;

    private static final int LONGEST = 200;

    private VCards() {}

    /** Whether some text is vCards at all. */
    public static boolean isVCard(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.UTF_8);
        return start.replace("\uFEFF", "").strip().toUpperCase(Locale.ROOT).startsWith("BEGIN:VCARD");
    }

    /** All people of a file, also those without a mail address. */
    public static List<BusinessCard> read(byte[] bytes) {
        List<BusinessCard> all = new ArrayList<>();
        String text = new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "");
        try (VCardReader reader = new VCardReader(new StringReader(text))) {
            for (VCard card = reader.readNext(); card != null && all.size() < MOST; card = reader.readNext()) {
                all.add(card(card));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return List.copyOf(all);
    }

    private static BusinessCard card(VCard card) {
        return new BusinessCard(
                cut(name(card)),
                card.getEmails().stream()
                        .sorted(Comparator.comparing(VCards::preference))
                        .map(Email::getValue)
                        .filter(Objects::nonNull)
                        .map(address -> address.strip().toLowerCase(Locale.ROOT))
                        .filter(address -> address.contains("@") && address.length() <= 320)
                        .distinct()
                        .toList(),
                cut(Optional.ofNullable(card.getOrganization())
                        .map(Organization::getValues)
                        .filter(values -> !values.isEmpty())
                        .map(values -> values.get(0))
                        .orElse("")),
                card.getTelephoneNumbers().stream()
                        .flatMap(phone -> phone(phone).stream())
                        .toList());
    }

    private static int preference(Email email) {
        Integer pref = email.getPref();
        return pref != null ? pref : email.getTypes().contains(EmailType.PREF) ? 1 : 101;
    }

    private static String name(VCard card) {
        String formatted = Optional.ofNullable(card.getFormattedName())
                .map(FormattedName::getValue)
                .orElse("");
        if (!formatted.isBlank()) {
            return formatted.strip();
        }
        StructuredName parts = card.getStructuredName();
        return parts == null
                ? ""
                : (Objects.toString(parts.getGiven(), "") + " " + Objects.toString(parts.getFamily(), "")).strip();
    }

    private static Optional<Phone> phone(Telephone phone) {
        String number =
                phone.getUri() == null ? phone.getText() : phone.getUri().getNumber();
        if (number == null || number.isBlank()) {
            return Optional.empty();
        }
        String kind = phone.getTypes().contains(TelephoneType.CELL)
                ? "mobile"
                : phone.getTypes().contains(TelephoneType.FAX)
                        ? "fax"
                        : phone.getTypes().contains(TelephoneType.HOME)
                                ? "home"
                                : phone.getTypes().contains(TelephoneType.WORK) ? "work" : "";
        return Optional.of(new Phone(cut(number.strip()), kind));
    }

    private static String cut(String text) {
        return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
    }

    /**
     * People as vCards.
     *
     * @param three whether as 3.0, which older programs read; else as 4.0
     */
    public static String write(List<BusinessCard> people, boolean three) {
        StringWriter text = new StringWriter();
        try (VCardWriter writer = new VCardWriter(text, three ? VCardVersion.V3_0 : VCardVersion.V4_0)) {
            writer.setAddProdId(false);
            for (BusinessCard person : people) {
                writer.write(card(person));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static VCard card(BusinessCard person) {
        VCard card = new VCard();
        String name = person.name().isBlank() && !person.addresses().isEmpty()
                ? person.addresses().get(0)
                : person.name();
        card.setFormattedName(name);
        int space = name.lastIndexOf(' ');
        StructuredName parts = new StructuredName();
        parts.setFamily(space < 0 ? name : name.substring(space + 1));
        parts.setGiven(space < 0 ? null : name.substring(0, space));
        card.setStructuredName(parts);
        person.addresses().forEach(address -> card.addEmail(new Email(address)));
        if (!person.organisation().isBlank()) {
            card.setOrganization(person.organisation());
        }
        for (Phone phone : person.phones()) {
            Telephone number = new Telephone(phone.number());
            type(phone.kind()).ifPresent(number.getTypes()::add);
            card.addTelephoneNumber(number);
        }
        return card;
    }

    private static Optional<TelephoneType> type(String kind) {
        return switch (kind) {
            case "mobile" -> Optional.of(TelephoneType.CELL);
            case "fax" -> Optional.of(TelephoneType.FAX);
            case "home" -> Optional.of(TelephoneType.HOME);
            case "work" -> Optional.of(TelephoneType.WORK);
            default -> Optional.empty();
        };
    }
}
