package org.squallnote.core.people;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which addresses belong to one person. A person is named by one of their addresses; an address of which nothing is said
 * is a person of its own.
 *
 * @param main by each other address of a person, the one that names them
 */
public record Identities(Map<String, String> main) {

    /** Copies the map. */
    public Identities {
        main = Map.copyOf(main);
    }

    /** As they are kept. */
    public static Identities of(Collection<PersonAddress> kept) {
        return new Identities(kept.stream().collect(Collectors.toMap(PersonAddress::address, PersonAddress::person)));
    }

    /** The address that names the person. */
    public String person(String address) {
        String lower = address.toLowerCase(Locale.ROOT);
        return main.getOrDefault(lower, lower);
    }

    /** All addresses of the person of one of them, that which names them first. */
    public List<String> addresses(String address) {
        String person = person(address);
        return Stream.concat(
                        Stream.of(person),
                        new TreeSet<>(main.keySet()).stream().filter(each -> person.equals(main.get(each))))
                .toList();
    }

    /** What changes when two persons are one from now on: the new entries. */
    public Map<String, String> merging(String one, String into) {
        String person = person(into);
        Map<String, String> changed = new HashMap<>();
        if (!person(one).equals(person)) {
            addresses(one).forEach(each -> changed.put(each, person));
        }
        return changed;
    }

    /**
     * The identities with some entries changed.
     *
     * @param changed the address that names the person, by address; the address itself for a person of its own
     */
    public Identities with(Map<String, String> changed) {
        Map<String, String> all = new HashMap<>(main);
        changed.forEach((address, person) -> {
            if (address.equals(person)) {
                all.remove(address);
            } else {
                all.put(address, person);
            }
        });
        return new Identities(all);
    }
}
