package org.squallnote.formats.contact;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.squallnote.core.people.BusinessCard;
import org.squallnote.core.people.Phone;

class VCardsTest {

    private static List<BusinessCard> read(String text) {
        return VCards.read(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void readsBothVersionsWithWhatTheyPrefer() {
        List<BusinessCard> all = read("""
                BEGIN:VCARD
                VERSION:4.0
                FN:Tilda Brandt
                EMAIL;TYPE=home:tb@private.example
                EMAIL;PREF=1:Tilda@Brandt-Cranes.example
                TEL;VALUE=uri;TYPE=cell:tel:+44-7700-900123
                ORG:Brandt Cranes;Yard
                END:VCARD
                BEGIN:VCARD
                VERSION:3.0
                N:Müller;Jörg;;;
                EMAIL;TYPE=INTERNET,PREF:jorg@x.example
                TEL;TYPE=WORK,FAX:01632 960 124
                END:VCARD
                """.replace("\n", "\r\n"));
        assertThat(all)
                .containsExactly(
                        new BusinessCard(
                                "Tilda Brandt",
                                List.of("tilda@brandt-cranes.example", "tb@private.example"),
                                "Brandt Cranes",
                                List.of(new Phone("+44-7700-900123", "mobile"))),
                        new BusinessCard(
                                "Jörg Müller",
                                List.of("jorg@x.example"),
                                "",
                                List.of(new Phone("01632 960 124", "fax"))));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatIsWrittenIsReadAsTheSame(boolean three) {
        List<BusinessCard> people = List.of(
                new BusinessCard(
                        "Zoë O'Neil; with, signs",
                        List.of("zoe@x.example", "z@y.example"),
                        "Hale, Sons; & Co",
                        List.of(new Phone("+44 1632 960123", "work"), new Phone("1", ""))),
                new BusinessCard("One", List.of("one@x.example"), "", List.of()));
        assertThat(read(VCards.write(people, three))).isEqualTo(people);
    }

    @Test
    void whatIsNoVCardHasNobody() {
        assertThat(VCards.isVCard("From: x".getBytes(StandardCharsets.UTF_8))).isFalse();
        assertThat(read("nothing here")).isEmpty();
        assertThat(read("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Cut off")).hasSizeLessThan(2);
    }
}
