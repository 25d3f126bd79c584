package org.squallnote.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Whom an answer goes to.
 *
 * @param to never empty for a message that says who wrote it
 * @param bcc those the others do not see
 */
public record AnswerTo(List<Party> to, List<Party> cc, List<Party> bcc) {

    /**
     * How the message that is answered was addressed.
     *
     * @param outgoing whether it is mine, so that the answer goes where it went
     * @param replyTo where its writer wants answers (RFC 5322 section 3.6.2)
     * @param followupTo where its writer wants answers to all, as discussion lists use it
     */
    public record Addressed(
            boolean outgoing,
            Party from,
            List<Party> to,
            List<Party> cc,
            List<Party> replyTo,
            List<Party> followupTo) {}

    /** Copies the lists. */
    public AnswerTo {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        bcc = List.copyOf(bcc);
    }

    /**
     * The addressees of an answer. Nobody is named twice, and I am not among them.
     *
     * @param mine my own addresses, lower case
     * @param toAll whether everybody gets it who got the message
     * @param copies those who get it besides
     * @param hidden those who get it besides, unseen by the others
     */
    public static AnswerTo of(
            Addressed message, Set<String> mine, boolean toAll, List<Party> copies, List<Party> hidden) {
        List<Party> followup = without(message.followupTo(), mine, List.of());
        boolean asWished = toAll && !message.outgoing() && !followup.isEmpty();
        List<Party> to = asWished ? followup : first(message, mine);
        List<Party> all = new ArrayList<>();
        if (toAll && !asWished) {
            all.addAll(message.to());
            all.addAll(message.cc());
        }
        List<Party> cc = new ArrayList<>(without(all, mine, to));
        cc.addAll(without(copies, Set.of(), joined(to, cc)));
        return new AnswerTo(to, cc, without(hidden, Set.of(), joined(to, cc)));
    }

    private static List<Party> first(Addressed message, Set<String> mine) {
        if (message.outgoing()) {
            return message.to();
        }
        List<Party> replyTo = without(message.replyTo(), mine, List.of());
        return replyTo.isEmpty() ? List.of(message.from()) : replyTo;
    }

    private static List<Party> joined(List<Party> some, List<Party> others) {
        List<Party> joined = new ArrayList<>(some);
        joined.addAll(others);
        return joined;
    }

    private static List<Party> without(List<Party> parties, Set<String> mine, List<Party> named) {
        List<Party> rest = new ArrayList<>();
        for (Party party : parties) {
            boolean again =
                    named.stream().anyMatch(party::isSameAs) || rest.stream().anyMatch(party::isSameAs);
            if (!mine.contains(party.address()) && !again) {
                rest.add(party);
            }
        }
        return rest;
    }
}
