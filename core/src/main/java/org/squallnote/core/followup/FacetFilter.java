package org.squallnote.core.followup;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which follow-ups are shown: those that have, of each facet that is named, one of its values. As one column.
 *
 * @param parts what is wanted; nothing for all of them
 */
public record FacetFilter(List<ChosenValue> parts) {

    /** More cannot be chosen. */
    public static final int MOST = 50;

    /** All of them. */
    public static final FacetFilter ALL = new FacetFilter(List.of());

    /**
     * One value of a facet.
     *
     * @param key as groups have it, see {@link FollowUpGroups.Group}
     * @param name by which it was shown when it was chosen
     */
    public record ChosenValue(Facet facet, String key, String name) {}

    /** Copies the list. */
    public FacetFilter {
        parts = List.copyOf(parts);
    }

    /** The values that are wanted, by facet. */
    public Map<Facet, Set<String>> wanted() {
        return parts.stream()
                .collect(Collectors.groupingBy(
                        ChosenValue::facet, Collectors.mapping(ChosenValue::key, Collectors.toUnmodifiableSet())));
    }
}
