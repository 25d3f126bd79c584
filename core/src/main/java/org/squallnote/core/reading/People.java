package org.squallnote.core.reading;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.squallnote.core.message.Party;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.WordList;

/** The people of a message by the names under which a text may call them. */
final class People {

    private static final Set<String> TITLES = new HashSet<>(WordList.lines(People.class, "titles.txt"));

    /** A shorter beginning of a name is no name: "Al" may be anybody. */
    private static final int SHORTEST_SHORT_FORM = 3;

    /**
     * Somebody named in a sentence.
     *
     * @param toExclusive index after the last word of the name
     * @param addresses who it may be
     */
    record Found(int toExclusive, Set<String> addresses) {

        static final Found NOBODY = new Found(-1, Set.of());

        boolean isSomebody() {
            return toExclusive >= 0;
        }
    }

    private final Map<String, Set<String>> byName = new HashMap<>();
    private final Map<String, Set<String>> givenNames = new HashMap<>();
    private final Set<String> mine;

    People(Me me, Collection<Party> others) {
        this.mine = me.addresses();
        String myself = mine.stream().sorted().findFirst().orElse("me");
        addName(me.name(), myself);
        me.nicknames().forEach(nickname -> addName(nickname, myself));
        mine.forEach(address -> addAddress(address, myself));
        for (Party party : others) {
            String address = mine.contains(party.address()) ? myself : party.address();
            addName(party.name(), address);
            addAddress(party.address(), address);
        }
    }

    boolean isMe(Set<String> addresses) {
        return addresses.stream().anyMatch(mine::contains);
    }

    private void addName(String name, String address) {
        List<String> parts = partsOf(name);
        for (int i = 0; i < parts.size(); i++) {
            put(byName, parts.get(i), address);
        }
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
                put(byName, folded(address.substring(from, end)), owner);
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
        map.computeIfAbsent(name, any -> new LinkedHashSet<>()).add(address);
    }

    private static List<String> partsOf(String name) {
        String swapped = name;
        int comma = name.indexOf(',');
        if (comma > 0) {
            swapped = name.substring(comma + 1) + " " + name.substring(0, comma);
        }
        List<String> parts = new ArrayList<>();
        int from = 0;
        for (int i = 0; i <= swapped.length(); i++) {
            if (i == swapped.length() || isBetweenNames(swapped.charAt(i))) {
                addPart(lettersIn(swapped, from, i), parts);
                from = i + 1;
            }
        }
        return parts;
    }

    private static boolean isBetweenNames(char c) {
        return Character.isWhitespace(c) || c == '(' || c == ')' || c == '[' || c == ']' || c == '"';
    }

    /** The stretch without what is no letter at its ends. */
    private static String lettersIn(String name, int fromInclusive, int toExclusive) {
        int from = fromInclusive;
        int to = toExclusive;
        while (from < to && !Character.isLetter(name.charAt(from))) {
            from++;
        }
        while (to > from && !Character.isLetter(name.charAt(to - 1))) {
            to--;
        }
        return folded(name.substring(from, to));
    }

    private static void addPart(String part, List<String> parts) {
        if (part.length() < 2 || TITLES.contains(part)) {
            return;
        }
        parts.add(part);
        if (part.indexOf('-') > 0) {
            for (String half : part.split("-")) {
                if (half.length() >= SHORTEST_SHORT_FORM) {
                    parts.add(half);
                }
            }
        }
    }

    private static String folded(String name) {
        String lower = name.toLowerCase(Locale.ROOT).replace('’', '\'');
        for (int i = 0; i < lower.length(); i++) {
            if (lower.charAt(i) > 127) {
                return Normalizer.normalize(lower, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
            }
        }
        return lower;
    }

    static boolean isTitle(String norm) {
        return TITLES.contains(norm);
    }

    /** The person whose name begins at a word: titles, given name and surname are taken together. */
    Found at(Sentence sentence, int from) {
        int i = from;
        while (i < sentence.size() && TITLES.contains(sentence.norm(i)) && i - from < 2) {
            i++;
        }
        Set<String> found = named(sentence.norm(i));
        if (found.isEmpty()) {
            return Found.NOBODY;
        }
        int to = i + 1;
        while (to < sentence.size()
                && !sentence.at(to).followsMark()
                && !sentence.at(to).isMention()) {
            Set<String> further = new LinkedHashSet<>(named(sentence.norm(to)));
            further.retainAll(found);
            if (further.isEmpty()) {
                break;
            }
            found = further;
            to++;
        }
        return new Found(to, found);
    }

    private Set<String> named(String norm) {
        if (norm.isEmpty()) {
            return Set.of();
        }
        String name = folded(norm);
        Set<String> exact = byName.get(name);
        if (exact != null) {
            return exact;
        }
        if (name.charAt(0) == '@') {
            // "@nes" where the chat knows @ines: people mention each other by the names they use.
            return byName.getOrDefault(name.substring(1), Set.of());
        }
        if (name.length() >= SHORTEST_SHORT_FORM) {
            for (Map.Entry<String, Set<String>> given : givenNames.entrySet()) {
                if (given.getKey().startsWith(name) && !isCommonWord(name)) {
                    return given.getValue();
                }
            }
        }
        return Set.of();
    }

    private static boolean isCommonWord(String name) {
        return NotNames.isOne(name);
    }
}
