package org.squallnote.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.people.BusinessCard;
import org.squallnote.core.people.Phone;
import org.squallnote.formats.contact.VCards;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.api.Download;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** vCards in and out, and what is to be talked about in today's meetings. */
@RestController
class CardController {

    private static final int MOST_OUT = 500;

    private final KeptCards cards;
    private final People people;
    private final MeetingsWith meetings;

    CardController(KeptCards cards, People people, MeetingsWith meetings) {
        this.cards = cards;
        this.people = people;
        this.meetings = meetings;
    }

    /** Takes in vCards of 3.0 and 4.0; the file is the body of the request. */
    @PostMapping(
            path = "/api/people/cards",
            consumes = {"text/vcard", MediaType.APPLICATION_OCTET_STREAM_VALUE})
    Done takeIn(@CurrentAccount SignedIn me, @CommandId UUID commandId, HttpServletRequest request) throws IOException {
        byte[] bytes = request.getInputStream().readNBytes(VCards.LARGEST + 1);
        if (bytes.length > VCards.LARGEST) {
            throw Refusal.invalid("This file is larger than 16 MB. Nothing was changed.");
        }
        return cards.takeIn(me, commandId, VCards.isVCard(bytes) ? VCards.read(bytes) : List.of());
    }

    /** @param version 4.0, or 3.0 for older programs */
    @GetMapping(path = "/api/people.vcf", produces = "text/vcard")
    ResponseEntity<byte[]> all(
            @CurrentAccount SignedIn me,
            @RequestParam(defaultValue = "4.0") @Pattern(regexp = "[34]\\.0") String version) {
        return file(
                "people.vcf",
                people.list(me, "", MOST_OUT).stream()
                        .map(line ->
                                new BusinessCard(line.name(), line.addresses(), line.organisation(), line.phones()))
                        .toList(),
                version);
    }

    @GetMapping(path = "/api/people/{id}/card.vcf", produces = "text/vcard")
    ResponseEntity<byte[]> one(
            @CurrentAccount SignedIn me,
            @PathVariable @Size(max = 320) String id,
            @RequestParam(defaultValue = "4.0") @Pattern(regexp = "[34]\\.0") String version) {
        People.PersonView one = people.one(me, id.strip().toLowerCase(Locale.ROOT));
        return file(
                "card.vcf",
                List.of(new BusinessCard(
                        one.name(),
                        one.addresses().stream()
                                .map(People.Address::address)
                                .filter(address -> !address.startsWith("@"))
                                .toList(),
                        one.details().organisation(),
                        one.details().phones().stream()
                                .map(phone -> new Phone(phone.number(), phone.kind()))
                                .toList())),
                version);
    }

    private static ResponseEntity<byte[]> file(String name, List<BusinessCard> people, String version) {
        return Download.ofText(name, "vcard", VCards.write(people, version.equals("3.0")));
    }

    /** What is to be talked about in the meetings that are ahead today. */
    @GetMapping("/api/talks")
    List<MeetingsWith.TalkAhead> talks(@CurrentAccount SignedIn me) {
        return meetings.talksToday(me);
    }
}
