package org.squallnote.server.proof;

import java.io.IOException;
import java.io.OutputStream;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Party;
import org.squallnote.core.record.Exchange;
import org.squallnote.formats.paged.PagedDocument;
import org.squallnote.server.proof.Proved.ProvedExchange;
import org.squallnote.server.proof.Proved.ProvedMessage;
import org.squallnote.server.proof.Proved.ProvedThread;

/** Puts a proof on paper. */
final class ProofPaper {

    private final Proved proof;
    private final ZoneId zone;
    private final PagedDocument paper;

    private ProofPaper(Proved proof) {
        this.proof = proof;
        this.zone = ZoneId.of(proof.zone());
        String made = "Made for " + proof.madeFor() + " on " + ProofWords.moment(proof.madeAt(), zone);
        this.paper =
                new PagedDocument(proof.about(), "What was asked when, and answered when, with which message", made);
        paper.add("p", made + ". Times are those of " + proof.zone() + "; spans are working time.")
                .addClass("soft");
    }

    /** Writes it as PDF. */
    static void write(Proved proof, OutputStream to) throws IOException {
        ProofPaper paper = new ProofPaper(proof);
        paper.all();
        paper.paper.write(to);
    }

    private void all() {
        boolean several = proof.threads().size() > 1;
        if (proof.threads().isEmpty()) {
            paper.add("p", "There is nothing: no message and no question.");
        }
        for (ProvedThread thread : proof.threads()) {
            paper.add("h2", several ? thread.subject() : "Asked and answered");
            exchanges(thread);
            if (thread.closedAt() != null && thread.closedFor() != null) {
                paper.add(
                        "p",
                        "Closed by hand on " + ProofWords.moment(thread.closedAt(), zone) + ": "
                                + ProofWords.closed(thread.closedFor()) + ".");
            }
        }
        if (proof.leftOut() > 0) {
            paper.add("p", proof.leftOut() + " more threads are not shown. Choose fewer days for the others.");
        }
        for (ProvedThread thread : proof.threads()) {
            paper.add("h2", several ? "Messages: " + thread.subject() : "Messages");
            thread.messages().forEach(this::message);
            if (thread.messagesLeftOut() > 0) {
                paper.add("p", thread.messagesLeftOut() + " more messages of this thread are not shown.");
            }
        }
    }

    private void exchanges(ProvedThread thread) {
        if (thread.exchanges().isEmpty()) {
            paper.add("p", "Nothing was asked that was recognised as a question; the messages follow.");
            return;
        }
        Element body = paper.table(List.of("Asked", "In these words", "Outcome", "Working time"));
        for (ProvedExchange each : thread.exchanges()) {
            Element row = PagedDocument.row(
                    body,
                    List.of(
                            ProofWords.kind(each.kind(), each.other().displayName()) + " on "
                                    + ProofWords.moment(each.askedAt(), zone) + message(each.asked()),
                            each.words().isBlank() ? "" : "\u201c" + each.words() + "\u201d",
                            outcome(each),
                            ProofWords.span(each.workingMinutes())));
            Element span = row.lastElementChild();
            if (span != null) {
                span.addClass("number");
            }
            if (each.outcome() == Exchange.Outcome.OPEN) {
                row.child(2).addClass("late");
            }
        }
    }

    private String outcome(ProvedExchange one) {
        String answered = ProofWords.outcome(one.outcome())
                + (one.answeredAt() == null
                        ? ""
                        : " on " + ProofWords.moment(one.answeredAt(), zone) + message(one.answered()));
        return one.promisedAt() == null
                ? answered
                : answered + "; promised on " + ProofWords.moment(one.promisedAt(), zone) + message(one.promised());
    }

    private static String message(@Nullable Integer number) {
        return number == null ? "" : ", message " + number;
    }

    private void message(ProvedMessage one) {
        paper.add(
                "h3",
                one.number() + ". " + one.from().displayName() + ", "
                        + ProofWords.moment(one.sentAt(), zone)
                        + (one.subject().isBlank() || one.channel() == Channel.CHAT ? "" : ": " + one.subject()));
        paper.words(one.removed() ? "Its writer has taken this message back." : one.words());
        if (one.cut()) {
            paper.add("p", "Its further words stand in the file.").addClass("soft");
        }
        fine("From " + address(one.from())
                + (one.to().isEmpty() ? "" : " \u00b7 to " + addresses(one.to()))
                + (one.cc().isEmpty() ? "" : " \u00b7 copy to " + addresses(one.cc())));
        fine("Sent " + ProofWords.stamp(one.sentAt(), zone) + " \u00b7 received by the server "
                + ProofWords.stamp(one.receivedAt(), zone));
        if (!one.identity().isEmpty()) {
            fine((one.channel() == Channel.MAIL ? "Message-ID " : "Event ") + one.identity());
        }
        if (!one.file().isEmpty()) {
            fine("File " + one.file() + " \u00b7 SHA-256 " + one.sha256());
        }
    }

    private void fine(String text) {
        paper.add("div", text).addClass("fine");
    }

    private static String addresses(List<Party> parties) {
        return parties.stream().map(ProofPaper::address).collect(Collectors.joining(", "));
    }

    private static String address(Party party) {
        return party.name().isEmpty() ? party.address() : party.name() + " <" + party.address() + ">";
    }
}
