package org.squallnote.core.reading;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Sentence;

/** The people of a message by the names under which a text may call them. */
final class People {

    /** A shorter beginning of a name is no name: "Al" may be anybody. */
    private static final int SHORTEST_SHORT_FORM = 3;

    /**
     * Somebody named in a sentence.
     *
     * @param toExclusive index after the last word of the name
     * @param addresses who it may be
     */
    record FoundName(int toExclusive, Set<String> addresses) {

        static final FoundName NOBODY = new FoundName(-1, Set.of());

        boolean isSomebody() {
            return toExclusive >= 0;
        }
    }

    private final Map<String, Set<String>> byName;
    private final Map<String, Set<String>> givenNames;
    private final Me me;
    private final String myself;

    /** Only me. */
    People(Me me) {
        byName = new HashMap<>();
        givenNames = new HashMap<>();
        this.me = me;
        myself = me.address();
        addName(me.name(), myself);
        me.nicknames().forEach(nickname -> addName(nickname, myself));
        me.addresses().forEach(address -> addAddress(address, myself));
    }

    private People(People first) {
        byName = new HashMap<>(first.byName);
        givenNames = new HashMap<>(first.givenNames);
        me = first.me;
        myself = first.myself;
    }

    /** These people, and those who take part in a message. */
    People and(MessageToRead message) {
        People all = new People(this);
        message.to().forEach(all::add);
        message.cc().forEach(all::add);
        message.known().forEach(all::add);
        all.add(message.from());
        // Who was never heard of is somebody all the same when the protocol says that they are meant.
        message.mentions().stream()
                .filter(mention -> !mention.equals("@room"))
                .forEach(mention -> all.add(new Party("", mention)));
        return all;
    }

    private void add(Party party) {
        if (me.is(party)) {
            addName(party.name(), myself);
        } else {
            addName(party.name(), party.address());
            addAddress(party.address(), party.address());
        }
    }

    boolean isMe(Set<String> addresses) {
        return me.isOneOf(addresses);
    }

    private void addName(String name, String address) {
        List<String> parts = NameParts.partsOf(name);
        parts.forEach(part -> put(byName, part, address));
        if (!parts.isEmpty()) {
            put(givenNames, parts.get(0), address);
        }
    }

    private void addAddress(String address, String owner) {
        if (address.startsWith("@")) {
            int colon = address.indexOf(':');
            String local = colon > 0 ? address.substring(0, colon) : address;
            put(byName, local, owner);
            put(byName, address, owner);
            int end = endOfPart(local, 1, local.length());
            if (end - 1 >= SHORTEST_SHORT_FORM) {
                put(byName, local.substring(1, end), owner);
            }
            return;
        }
        int at = address.indexOf('@');
        for (int from = 0; from < at; ) {
            int end = endOfPart(address, from, at);
            if (end - from >= SHORTEST_SHORT_FORM) {
                put(byName, NameParts.folded(address.substring(from, end)), owner);
            }
            from = end + 1;
        }
    }

    private static int endOfPart(String address, int from, int to) {
        int end = from;
        while (end < to && "._-".indexOf(address.charAt(end)) < 0) {
            end++;
        }
        return end;
    }

    private static void put(Map<String, Set<String>> map, String name, String address) {
        map.merge(name, Set.of(address), People::both);
    }

    private static Set<String> both(Set<String> some, Set<String> one) {
        if (some.containsAll(one)) {
            return some;
        }
        Set<String> both = new LinkedHashSet<>(some);
        both.addAll(one);
        return both;
    }

    static boolean isTitle(String norm) {
        return NameParts.TITLES.has(norm);
    }

    /** The person whose name begins at a word: titles, given name and surname are taken together. */
    FoundName at(Sentence sentence, int from) {
        int i = from;
        while (i < sentence.size() && i - from < 2 && NameParts.TITLES.has(sentence, i)) {
            i++;
        }
        Set<String> found = named(sentence, i);
        if (found.isEmpty()) {
            return FoundName.NOBODY;
        }
        int to = i + 1;
        while (to < sentence.size()
                && !sentence.at(to).followsMark()
                && !sentence.at(to).isMention()) {
            Set<String> further = new LinkedHashSet<>(named(sentence, to));
            further.retainAll(found);
            if (further.isEmpty()) {
                break;
            }
            found = further;
            to++;
        }
        return new FoundName(to, found);
    }

    private Set<String> named(Sentence sentence, int at) {
        if (at >= sentence.size()) {
            return Set.of();
        }
        String name = NameParts.withoutAccents(sentence.norm(at));
        Set<String> exact = byName.get(name);
        if (exact != null) {
            return exact;
        }
        if (NotNames.isOne(sentence, at)) {
            return Set.of();
        }
        if (name.charAt(0) == '@') {
            // "@nes" where the chat knows @ines: people mention each other by the names they use.
            return byName.getOrDefault(name.substring(1), Set.of());
        }
        if (name.length() >= SHORTEST_SHORT_FORM) {
            for (Map.Entry<String, Set<String>> given : givenNames.entrySet()) {
                if (given.getKey().startsWith(name)) {
                    return given.getValue();
                }
            }
        }
        return Set.of();
    }
}
