package org.squallnote.server.search;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.search.Filter;
import org.squallnote.core.search.KeptSearch;
import org.squallnote.core.search.Kind;
import org.squallnote.search.Found;
import org.squallnote.search.OwnerIndex;
import org.squallnote.search.Wanted;
import org.squallnote.server.account.SignedIn;
import org.squallnote.store.search.SearchStore;
import org.squallnote.store.source.SourceStore;

/** Looks for things, and says of each what it is and how it stands now. */
@Component
public class Searching {

    /** Of a thread one message is shown: so many more are looked for than are wanted. */
    private static final int MORE = 3;

    private final Indexes indexes;
    private final SearchStore store;
    private final FoundThings things;
    private final SourceStore sources;
    private final Clock clock;

    Searching(Indexes indexes, SearchStore store, FoundThings things, SourceStore sources, Clock clock) {
        this.indexes = indexes;
        this.store = store;
        this.things = things;
        this.sources = sources;
        this.clock = clock;
    }

    /** A value that narrows, with the name by which it is offered. */
    record SearchChip(String value, String name, int count) {}

    /** Absent kinds of chips would narrow nothing. */
    record SearchChips(
            List<SearchChip> kinds,
            List<SearchChip> people,
            List<SearchChip> categories,
            List<SearchChip> sources,
            List<SearchChip> rooms,
            List<SearchChip> standings,
            List<SearchChip> files,
            List<SearchChip> linked) {}

    /**
     * What was found.
     *
     * @param total how many entries there are, before those of a thread are put together
     * @param asTyped whether each word was found as it was typed
     * @param behind how many changes the index has still to take in
     */
    record FoundView(
            List<FoundThings.FoundThing> results, long total, boolean asTyped, SearchChips chips, int behind) {}

    FoundView search(SignedIn me, String words, Filter filter, boolean newestFirst, int most) {
        OwnerIndex index = indexes.of(me.accountId());
        try {
            Found found = index.search(wanted(me, words, filter, newestFirst, most * MORE));
            return new FoundView(
                    things.of(me.accountId(), index, words, found, most),
                    found.total(),
                    found.asTyped(),
                    chips(me.accountId(), index, found.chips()),
                    store.count(me.accountId()));
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    /** People by words, those heard of last first; each by an address and all names that they had. */
    public List<Known> people(SignedIn me, String words, int most) {
        OwnerIndex index = indexes.of(me.accountId());
        Filter onlyPeople = new Filter(Kind.PERSON, null, null, null, null, null, null, null, null, null);
        try {
            List<Known> people = new ArrayList<>();
            for (Found.Hit hit : index.search(wanted(me, words, onlyPeople, words.isBlank(), most))
                    .hits()) {
                people.add(new Known(hit.id(), names(index, hit.id())));
            }
            return people;
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    /** The names that somebody had at an address, as far as the index knows it. */
    public List<String> names(SignedIn me, String address) {
        try {
            return names(indexes.of(me.accountId()), address);
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    private static List<String> names(OwnerIndex index, String address) throws IOException {
        return index.kept(Kind.PERSON, address)
                .lines()
                .filter(name -> !name.isBlank())
                .toList();
    }

    /** Somebody who has written or was written to. */
    public record Known(String address, List<String> names) {}

    /** How many a kept search finds now. */
    int count(SignedIn me, KeptSearch kept) {
        try {
            return indexes.of(me.accountId()).count(wanted(me, kept.words(), kept.filter(), true, 1));
        } catch (IOException e) {
            throw new UncheckedIOException("The index for finding things cannot be read", e);
        }
    }

    private Wanted wanted(SignedIn me, String words, Filter filter, boolean newestFirst, int most) {
        return new Wanted(words, filter, me.zoneId(), clock.instant(), newestFirst, most);
    }

    private SearchChips chips(UUID owner, OwnerIndex index, Found.Chips chips) throws IOException {
        Map<String, String> names = new HashMap<>();
        for (Found.Chip each : chips.people()) {
            names.put(
                    each.value(),
                    index.kept(Kind.PERSON, each.value()).lines().findFirst().orElse(each.value()));
        }
        return new SearchChips(
                of(chips.kinds(), Map.of()),
                of(chips.people(), names),
                of(chips.categories(), Map.of()),
                of(chips.sources(), Map.of()),
                of(chips.rooms(), chips.rooms().isEmpty() ? Map.of() : rooms(owner)),
                of(chips.standings(), Map.of()),
                of(chips.files(), Map.of()),
                of(chips.linked(), Map.of()));
    }

    private Map<String, String> rooms(UUID owner) {
        Map<String, String> names = new HashMap<>();
        sources.of(owner)
                .forEach(source ->
                        sources.rooms(owner, source.id()).forEach(room -> names.put(room.roomId(), room.name())));
        return names;
    }

    private static List<SearchChip> of(List<Found.Chip> chips, Map<String, String> names) {
        return chips.stream()
                .map(each -> new SearchChip(each.value(), names.getOrDefault(each.value(), ""), each.count()))
                .toList();
    }
}
