package org.squallnote.core.reading;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;

/**
 * Whom an ask of a message is for. Named people come first; where nobody is named, those in To are asked, in a direct
 * chat the other one, and in a room or on a discussion list only whom the message mentions or answers.
 */
final class Asked {

    private final MessageToRead message;
    private final Me me;
    private final String myself;
    private final boolean outgoing;
    private final boolean toMany;
    private final boolean inTo;
    private final boolean inCc;
    private final Set<String> recipients;
    private final Answer whenNobodyIsNamed;

    Asked(MessageToRead message, Me me) {
        this.message = message;
        this.me = me;
        this.myself = me.address();
        this.outgoing = me.is(message.from());
        this.inTo = me.isAmong(message.to());
        this.inCc = me.isAmong(message.cc());
        boolean list = isDiscussionList(message.headers()) && !inTo && !inCc;
        this.toMany = message.inRoom() || list;
        this.recipients = allRecipients();
        this.whenNobodyIsNamed = new Answer(usual(), !outgoing && usualIsMe(), false, false);
    }

    static boolean isDiscussionList(Headers headers) {
        return headers.has("List-Post") || headers.has("List-Id");
    }

    /** Whether it goes to a discussion list, and not to me beside it. */
    boolean isToList() {
        return toMany && message.channel() == Channel.MAIL;
    }

    /** Those asked. */
    record Answer(Set<String> asked, boolean ofMe, boolean openToAll, boolean named) {

        Answer {
            asked = Collections.unmodifiableSet(asked);
        }
    }

    Answer of(Addressees who) {
        if (!who.addresses().isEmpty()) {
            Set<String> asked = present(who.addresses());
            if (who.everybody()) {
                asked.addAll(usual());
            }
            boolean mine = me.isOneOf(asked) || (who.everybody() && everybodyIsMe());
            return new Answer(asked, !outgoing && mine, false, true);
        }
        if (who.everybody()) {
            return new Answer(everybody(), !outgoing && everybodyIsMe(), false, true);
        }
        if (who.anybody()) {
            boolean open = toMany && !outgoing && !message.mentions().contains("@room");
            Set<String> asked = toMany && message.channel() == Channel.CHAT ? Set.of() : recipients;
            return new Answer(asked, !outgoing && !open && usualIsMe(), recipients.size() > 1 || toMany, false);
        }
        if (who.somebodyUnknown() && !onlyOnePossible()) {
            return new Answer(Set.of(), false, false, true);
        }
        return whenNobodyIsNamed;
    }

    /** Whether what is said to them is said to me; of a message of mine always. */
    boolean isToReader(Addressees who) {
        return outgoing || of(who).ofMe();
    }

    /** Of several people of one name those who are addressed, and of one person's addresses the one that is used. */
    private Set<String> present(Set<String> named) {
        Set<String> addressed = new LinkedHashSet<>(named);
        addressed.removeIf(address -> !me.addresses().contains(address)
                && !isAmong(message.to(), address)
                && !isAmong(message.cc(), address));
        return addressed.isEmpty() ? new LinkedHashSet<>(named) : addressed;
    }

    private static boolean isAmong(List<Party> parties, String address) {
        for (Party party : parties) {
            if (party.address().equals(address)) {
                return true;
            }
        }
        return false;
    }

    private boolean onlyOnePossible() {
        if (message.channel() == Channel.CHAT) {
            return !message.inRoom();
        }
        return !toMany && message.to().size() <= 1 && (outgoing || !inCc || inTo);
    }

    private boolean everybodyIsMe() {
        return message.channel() == Channel.CHAT || toMany || inTo || !inCc;
    }

    private Set<String> everybody() {
        return toMany && message.channel() == Channel.CHAT ? mentioned() : recipients;
    }

    private boolean usualIsMe() {
        if (toMany) {
            return message.answersMe()
                    || message.mentions().stream()
                            .anyMatch(m -> m.equals("@room") || me.addresses().contains(m));
        }
        return message.channel() == Channel.CHAT || inTo || !inCc;
    }

    /** Those asked when nobody is named. */
    private Set<String> usual() {
        if (message.channel() == Channel.CHAT && message.inRoom()) {
            Set<String> asked = new LinkedHashSet<>(mentioned());
            if (!outgoing && message.answersMe()) {
                asked.add(myself);
            }
            return asked;
        }
        return recipients;
    }

    private Set<String> mentioned() {
        return message.mentions().stream()
                .filter(mention -> !mention.equals("@room"))
                .map(mention -> me.addresses().contains(mention) ? myself : mention)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Set<String> allRecipients() {
        List<Party> to = message.to();
        if (message.channel() == Channel.CHAT && !outgoing) {
            return Set.of(myself);
        }
        Set<String> all = new LinkedHashSet<>();
        for (Party party : to) {
            if (!me.is(party)) {
                all.add(party.address());
            } else if (!outgoing) {
                all.add(myself);
            }
        }
        return all;
    }
}
