package org.squallnote.core.capture;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Party;

/**
 * What a captured line is understood against.
 *
 * @param dates the present moment and the working time
 * @param categories names of categories in use, with their identities
 * @param people those whom the user has to do with, the nearest first
 * @param places where things were to be done before
 * @param me the user's own name
 */
public record CaptureContext(
        DateContext dates, Map<String, UUID> categories, List<Party> people, List<String> places, String me) {

    /** Copies the lists. */
    public CaptureContext {
        categories = Map.copyOf(categories);
        people = List.copyOf(people);
        places = List.copyOf(places);
    }

    /** The category of that name, whatever its case. */
    public Optional<UUID> category(String name) {
        String wanted = name.strip();
        return categories.entrySet().stream()
                .filter(category -> category.getKey().equalsIgnoreCase(wanted))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    /** Somebody known by that first or whole name. */
    public Optional<Party> person(String name) {
        return PeoplePart.byName(name, people);
    }
}
