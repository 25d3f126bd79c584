package org.squallnote.core.followup;

import java.util.UUID;

/**
 * How the list of follow-ups stands, under a name.
 *
 * @param letter the key that brings it back, lower case; empty for none
 * @param byHand whether the order is my own, and not that of the dates
 * @param onlyThose what is shown
 */
public record Arrangement(
        UUID id, UUID owner, String name, String letter, Facet facet, boolean byHand, FacetFilter onlyThose) {}
