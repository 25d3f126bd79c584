package org.squallnote.search;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.squallnote.core.search.Kind;

/**
 * What was found.
 *
 * @param total how many there are in all
 * @param chips what would narrow it, by how many of them have it
 * @param similar for each word those that counted too, since nothing has all of them as they were typed
 */
public record Found(List<Hit> hits, long total, Chips chips, Map<String, Set<String>> similar) {

    /** Copies the lists. */
    public Found {
        hits = List.copyOf(hits);
        similar = Map.copyOf(similar);
    }

    /** Whether every word was found as it was typed; else they were found by similar words, or not all of them. */
    public boolean asTyped() {
        return similar.isEmpty();
    }

    /** @param id see {@link Entry} */
    public record Hit(Kind kind, String id) {}

    /** A value and how many have it. */
    public record Chip(String value, int count) {}

    /** What would narrow it, what most have first. */
    public record Chips(
            List<Chip> kinds,
            List<Chip> people,
            List<Chip> categories,
            List<Chip> sources,
            List<Chip> rooms,
            List<Chip> standings,
            List<Chip> files,
            List<Chip> linked) {

        /** Copies the lists. */
        public Chips {
            kinds = List.copyOf(kinds);
            people = List.copyOf(people);
            categories = List.copyOf(categories);
            sources = List.copyOf(sources);
            rooms = List.copyOf(rooms);
            standings = List.copyOf(standings);
            files = List.copyOf(files);
            linked = List.copyOf(linked);
        }
    }
}
