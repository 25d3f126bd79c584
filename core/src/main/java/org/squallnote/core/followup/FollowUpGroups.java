package org.squallnote.core.followup;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.squallnote.core.message.Party;
import org.squallnote.core.time.ReplyBy;

/** Follow-ups in groups by one facet: each stands once, whatever it has of it. */
public final class FollowUpGroups {

    /** Up to so many minutes an effort is of a size. */
    private static final List<Integer> SIZES = List.of(5, 15, 30, 60, 120);

    /** Behind every name. */
    private static final String LAST = "\uffff";

    private FollowUpGroups() {}

    /**
     * Some that have the same of a facet.
     *
     * @param key what they have: the name of a span, a priority, a size in minutes, an id, an address, a place; empty for
     *     nothing
     * @param name by which it is shown, where the key is none
     * @param minutes how long all of them will take
     */
    public record Group(String key, String name, List<FollowUp> followUps, int minutes) {

        /** Copies the list. */
        public Group {
            followUps = List.copyOf(followUps);
        }
    }

    /** What a follow-up itself does not say. */
    public interface Names {

        /** The name of its category, empty where it has none. */
        String category(FollowUp followUp);

        /** What it came from, absent where it came from no message. */
        Optional<Party> writer(FollowUp followUp);

        /** The source that it came from, by id and name; absent where it came from no message. */
        Optional<Map.Entry<String, String>> source(FollowUp followUp);
    }

    /** What a follow-up has of a facet, with its place among the groups. */
    private record Key(String key, String name, String order) {}

    /**
     * The groups in their order; within each what is wanted first is first, and what has no date last.
     *
     * @param byHand the numbers of an order by hand, which goes before the dates; nothing for the dates alone
     */
    public static List<Group> of(
            List<FollowUp> followUps, Facet facet, Names names, LocalDateTime now, Map<UUID, Long> byHand) {
        Function<FollowUp, Key> keys = key(facet, names, now);
        Map<String, Key> first = new LinkedHashMap<>();
        Map<String, List<FollowUp>> groups = new HashMap<>();
        Comparator<FollowUp> order = Comparator.comparing(
                        (FollowUp each) -> byHand.get(each.id()), Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(BY_DATE);
        for (FollowUp each : followUps.stream().sorted(order).toList()) {
            Key key = keys.apply(each);
            // The same person or place may be written in several ways.
            first.putIfAbsent(key.key(), key);
            groups.computeIfAbsent(key.key(), any -> new ArrayList<>()).add(each);
        }
        return first.values().stream()
                .sorted(Comparator.comparing(Key::order).thenComparing(Key::key))
                .map(key -> group(key, groups.getOrDefault(key.key(), List.of())))
                .toList();
    }

    /** Those that a filter lets through. */
    public static List<FollowUp> having(List<FollowUp> followUps, FacetFilter filter, Names names, LocalDateTime now) {
        Map<Facet, Set<String>> wanted = filter.wanted();
        Map<Facet, Function<FollowUp, Key>> keys = new EnumMap<>(Facet.class);
        wanted.keySet().forEach(facet -> keys.put(facet, key(facet, names, now)));
        return followUps.stream()
                .filter(each -> keys.entrySet().stream()
                        .allMatch(entry -> wanted.getOrDefault(entry.getKey(), Set.of())
                                .contains(entry.getValue().apply(each).key())))
                .toList();
    }

    private static Group group(Key key, List<FollowUp> followUps) {
        return new Group(
                key.key(),
                key.name(),
                followUps,
                followUps.stream().mapToInt(FollowUp::expectedMinutes).sum());
    }

    private static final Comparator<FollowUp> BY_DATE = Comparator.comparing(
                    (FollowUp each) -> each.replyBy().map(ReplyBy::day).orElse(LocalDate.MAX))
            .thenComparing(FollowUp::priority)
            .thenComparing(FollowUp::createdAt);

    private static Function<FollowUp, Key> key(Facet facet, Names names, LocalDateTime now) {
        return switch (facet) {
            case REPLY_BY -> each -> numbered(DueSpan.of(each.replyBy(), now), List.of(DueSpan.values()));
            case PRIORITY -> each -> numbered(each.priority(), List.of(Priority.values()));
            case CATEGORY ->
                each -> named(each.categoryId() == null ? "" : each.categoryId().toString(), names.category(each));
            case PERSON -> each -> person(each, names);
            case PLACE -> each -> named(each.place().toLowerCase(Locale.ROOT), each.place());
            case SOURCE ->
                each -> names.source(each)
                        .map(source -> named(source.getKey(), source.getValue()))
                        .orElseGet(() -> named("", ""));
            case EFFORT -> FollowUpGroups::size;
            case STATE -> each -> numbered(OpenState.of(each, now.toLocalDate()), List.of(OpenState.values()));
        };
    }

    private static <E extends Enum<E>> Key numbered(E value, List<E> all) {
        return new Key(value.name(), "", String.format(Locale.ROOT, "%02d", all.indexOf(value)));
    }

    private static Key named(String key, String name) {
        return new Key(key, name, key.isEmpty() ? LAST : name.toLowerCase(Locale.ROOT));
    }

    /** Whom it concerns first; else who wrote what it came from. */
    private static Key person(FollowUp followUp, Names names) {
        return followUp.people().list().stream()
                .findFirst()
                .or(() -> names.writer(followUp))
                .map(party -> named(
                        (party.address().isEmpty() ? party.name() : party.address()).toLowerCase(Locale.ROOT),
                        party.displayName()))
                .orElseGet(() -> named("", ""));
    }

    private static Key size(FollowUp followUp) {
        Integer effort = followUp.effortMinutes();
        if (effort == null) {
            return named("", "");
        }
        return SIZES.stream()
                .filter(size -> effort <= size)
                .findFirst()
                .map(size -> new Key(String.valueOf(size), "", String.format(Locale.ROOT, "%06d", size)))
                .orElseGet(() -> new Key("LONGER", "", "999999"));
    }
}
