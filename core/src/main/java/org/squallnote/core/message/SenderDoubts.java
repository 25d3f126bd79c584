package org.squallnote.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** What a reader should know before trusting who a message says it is from. Each doubt is a sentence. */
public final class SenderDoubts {

    /**
     * What is known around a sender.
     *
     * @param firstContact whether nothing came from this address before
     * @param ownDomains the part of the user's own addresses behind the {@code @}, lower case
     * @param colleagues the names of those who write from there, lower case
     */
    public record Known(boolean firstContact, Set<String> ownDomains, Set<String> colleagues) {}

    private SenderDoubts() {}

    /**
     * The doubts about a message.
     *
     * @param replyTo where it wants answers to go
     * @param list whether it came through a list, whose answers go to the list
     */
    public static List<String> of(Party from, List<Party> replyTo, boolean list, Known known) {
        List<String> doubts = new ArrayList<>();
        if (ShownName.holdsOtherAddress(from.name(), from.address())) {
            doubts.add("The name given is “" + ShownName.visible(from.name()) + "”, which is another address than "
                    + from.address() + ".");
        } else if (ShownName.mixesScripts(from.name())) {
            doubts.add("The name given, “" + ShownName.visible(from.name())
                    + "”, mixes letters of several scripts that look alike.");
        }
        if (ShownName.turnsText(from.name())) {
            doubts.add("The name holds signs that turn the direction of text around; they are shown here.");
        }
        boolean inside = known.ownDomains().contains(domain(from.address()));
        if (!inside && known.colleagues().contains(from.name().toLowerCase(Locale.ROOT))) {
            doubts.add(from.displayName() + " is the name of a colleague, but this comes from outside: "
                    + from.address() + ".");
        } else if (known.firstContact()) {
            doubts.add("This is the first message from " + from.address() + ".");
        }
        replyTo.stream()
                .filter(party -> !list && !party.isSameAs(from))
                .findFirst()
                .ifPresent(elsewhere ->
                        doubts.add("An answer goes to " + elsewhere.address() + ", not to " + from.address() + "."));
        return List.copyOf(doubts);
    }

    private static String domain(String address) {
        return address.substring(address.lastIndexOf('@') + 1);
    }
}
