package org.squallnote.core.figures;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Party;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.thread.Age;
import org.squallnote.core.time.DayLoad;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;

/** Figures of some days; lengths are working time, weeks begin on Monday. */
public final class Figures {

    /** Of fewer nothing is concluded. */
    public static final int FEWEST = 5;

    /** So many rows of a table say what is to be said. */
    private static final int MOST_ROWS = 12;

    /** A proposed effort is a multiple of so many minutes. */
    private static final int STEP = 5;

    private Figures() {}

    /**
     * How long I took to answer.
     *
     * @param unanswered how many were not answered in writing
     */
    public record Responses(
            Spread all, int unanswered, List<OfPerson> byPerson, List<OfCategory> byCategory, List<OfWeek> byWeek) {}

    /** The same of one person. */
    public record OfPerson(Party person, Spread spread) {}

    /** The same of one category; null for none. */
    public record OfCategory(@Nullable UUID categoryId, Spread spread) {}

    /** The same of what was asked in one week. */
    public record OfWeek(LocalDate week, Spread spread) {}

    /** Of the messages that asked me something in these days. */
    public static Responses responses(Collection<AskFact> asks, LocalDate from, LocalDate to, WorkingTime workingTime) {
        Weeks weeks = new Weeks(from, to, workingTime.zone());
        Map<AskFact, Long> minutes = new HashMap<>();
        for (AskFact ask : asks) {
            if (ask.answeredAt() != null) {
                minutes.put(
                        ask,
                        workingTime.between(ask.askedAt(), ask.answeredAt()).toMinutes());
            }
        }
        Map<String, Party> people = new HashMap<>();
        asks.forEach(ask -> people.merge(
                ask.fromAddress(), ask.from(), (one, other) -> one.name().isEmpty() ? other : one));
        Map<LocalDate, Spread> byWeek = spreads(minutes, ask -> weeks.of(ask.askedAt()));
        return new Responses(
                Spread.of(minutes.values()),
                asks.size() - minutes.size(),
                spreads(minutes, AskFact::fromAddress).entrySet().stream()
                        .map(each -> new OfPerson(
                                Optional.ofNullable(people.get(each.getKey())).orElseThrow(), each.getValue()))
                        .sorted(Comparator.comparing(
                                        (OfPerson each) -> each.spread().count())
                                .reversed()
                                .thenComparing(each -> each.person().address()))
                        .limit(MOST_ROWS)
                        .toList(),
                spreads(minutes, ask -> Optional.ofNullable(ask.categoryId())).entrySet().stream()
                        .map(each -> new OfCategory(each.getKey().orElse(null), each.getValue()))
                        .sorted(Comparator.comparing(
                                        (OfCategory each) -> each.spread().count())
                                .reversed()
                                .thenComparing(each -> String.valueOf(each.categoryId())))
                        .toList(),
                weeks.all().stream()
                        .map(week -> new OfWeek(week, byWeek.getOrDefault(week, Spread.of(List.of()))))
                        .toList());
    }

    private static <F, K> Map<K, Spread> spreads(Map<F, Long> minutes, Function<F, K> key) {
        Map<K, List<Long>> grouped = minutes.entrySet().stream()
                .collect(Collectors.groupingBy(
                        each -> key.apply(each.getKey()),
                        Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
        Map<K, Spread> spreads = new HashMap<>();
        grouped.forEach((each, all) -> spreads.put(each, Spread.of(all)));
        return spreads;
    }

    /**
     * How much was in time.
     *
     * @param undated how many had no date
     */
    public record Punctuality(int onTime, int late, int undated, List<WeekOnTime> byWeek) {}

    /** The same of what ended in one week. */
    public record WeekOnTime(LocalDate week, int onTime, int late) {}

    /** Of the follow-ups that were done in these days. */
    public static Punctuality punctuality(
            Collection<EndedFact> ended, LocalDate from, LocalDate to, WorkingTime workingTime) {
        Weeks weeks = new Weeks(from, to, workingTime.zone());
        Map<LocalDate, int[]> byWeek = new LinkedHashMap<>();
        weeks.all().forEach(week -> byWeek.put(week, new int[2]));
        int undated = 0;
        int[] sum = new int[2];
        for (EndedFact each : ended) {
            if (each.state() == FollowUpState.DONE) {
                Optional<Boolean> onTime = each.onTime(workingTime);
                if (onTime.isEmpty()) {
                    undated++;
                } else {
                    int at = onTime.get() ? 0 : 1;
                    sum[at]++;
                    Optional.ofNullable(byWeek.get(weeks.of(each.endedAt()))).ifPresent(week -> week[at]++);
                }
            }
        }
        return new Punctuality(
                sum[0],
                sum[1],
                undated,
                byWeek.entrySet().stream()
                        .map(each -> new WeekOnTime(each.getKey(), each.getValue()[0], each.getValue()[1]))
                        .toList());
    }

    /** What came in, was decided and ended in one week. */
    public record WeekFlow(LocalDate week, int cameIn, int decided, int ended) {}

    /** How much came in, was decided and ended, week by week. */
    public static List<WeekFlow> flow(
            Collection<Instant> cameIn,
            Collection<Instant> decided,
            Collection<Instant> ended,
            LocalDate from,
            LocalDate to,
            WorkingTime workingTime) {
        Weeks weeks = new Weeks(from, to, workingTime.zone());
        Map<LocalDate, Long> came = counts(cameIn, weeks);
        Map<LocalDate, Long> done = counts(decided, weeks);
        Map<LocalDate, Long> over = counts(ended, weeks);
        return weeks.all().stream()
                .map(week -> new WeekFlow(
                        week,
                        came.getOrDefault(week, 0L).intValue(),
                        done.getOrDefault(week, 0L).intValue(),
                        over.getOrDefault(week, 0L).intValue()))
                .toList();
    }

    private static Map<LocalDate, Long> counts(Collection<Instant> moments, Weeks weeks) {
        return moments.stream().collect(Collectors.groupingBy(weeks::of, Collectors.counting()));
    }

    /** How many open threads are so old. */
    public record OfAge(Age age, int withMe, int withOthers) {}

    /**
     * Open threads by how long they have been so.
     *
     * @param withMe since when each of them has been with me
     * @param withOthers since when each of them has been with others
     */
    public static List<OfAge> ages(
            Collection<Instant> withMe, Collection<Instant> withOthers, LocalDate today, WorkingTime workingTime) {
        Map<Age, int[]> counts = new EnumMap<>(Age.class);
        for (Age age : Age.values()) {
            counts.put(age, new int[2]);
        }
        // The beginnings are the same for all of them.
        Map<Age, Optional<Instant>> beginnings = new EnumMap<>(Age.class);
        counts.keySet().forEach(age -> beginnings.put(age, age.beginning(today, workingTime)));
        withMe.forEach(since -> count(counts, ageOf(since, beginnings), 0));
        withOthers.forEach(since -> count(counts, ageOf(since, beginnings), 1));
        return counts.entrySet().stream()
                .map(each -> new OfAge(each.getKey(), each.getValue()[0], each.getValue()[1]))
                .toList();
    }

    private static void count(Map<Age, int[]> counts, Age age, int at) {
        Optional.ofNullable(counts.get(age)).ifPresent(count -> count[at]++);
    }

    private static Age ageOf(Instant since, Map<Age, Optional<Instant>> beginnings) {
        return beginnings.entrySet().stream()
                .filter(each ->
                        each.getValue().filter(begin -> !since.isBefore(begin)).isPresent())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(Age.OLDER);
    }

    /**
     * How long somebody takes to answer me.
     *
     * @param waiting in how many threads they owe me something now
     */
    public record Others(String address, Spread spread, int waiting) {}

    /** How long others took for what they answered in these days, and what waits for them now. */
    public static List<Others> others(
            Collection<Answered> answers, Map<String, Integer> waiting, WorkingTime workingTime) {
        Map<String, List<Long>> minutes = new HashMap<>();
        waiting.keySet().forEach(party -> minutes.put(party, new ArrayList<>()));
        for (Answered each : answers) {
            minutes.computeIfAbsent(each.party(), party -> new ArrayList<>())
                    .add(workingTime.between(each.askedAt(), each.answeredAt()).toMinutes());
        }
        return minutes.entrySet().stream()
                .map(each ->
                        new Others(each.getKey(), Spread.of(each.getValue()), waiting.getOrDefault(each.getKey(), 0)))
                .sorted(Comparator.comparing(Others::waiting)
                        .reversed()
                        .thenComparing(Comparator.comparing(
                                        (Others each) -> each.spread().count())
                                .reversed())
                        .thenComparing(Others::address))
                .limit(MOST_ROWS)
                .toList();
    }

    /**
     * What was thought of how long things of a category take, and how long they took.
     *
     * @param thought the median of what was thought, in minutes
     * @param spent the median of what was spent, in minutes
     * @param proposed a better usual effort; null where there are too few, or the usual one is good
     */
    public record Effort(
            @Nullable UUID categoryId,
            int measured,
            long thought,
            long spent,
            @Nullable Integer proposed) {}

    /** How far efforts were off, of what was done in these days and measured. */
    public static List<Effort> efforts(
            Collection<EndedFact> ended, Collection<WorkedFact> worked, Map<UUID, Category> categories) {
        Map<UUID, Long> seconds = worked.stream()
                .collect(Collectors.groupingBy(WorkedFact::followUpId, Collectors.summingLong(WorkedFact::seconds)));
        Map<Optional<UUID>, List<EndedFact>> measured = ended.stream()
                .filter(each -> spentMinutes(each, seconds) > 0)
                .collect(Collectors.groupingBy(each -> Optional.ofNullable(each.categoryId())));
        return measured.entrySet().stream()
                .map(each -> effort(each.getKey(), each.getValue(), seconds, categories))
                .sorted(Comparator.comparing(Effort::measured)
                        .reversed()
                        .thenComparing(each -> String.valueOf(each.categoryId())))
                .toList();
    }

    private static long spentMinutes(EndedFact ended, Map<UUID, Long> seconds) {
        return seconds.getOrDefault(ended.id(), 0L) / 60;
    }

    private static Effort effort(
            Optional<UUID> categoryId, List<EndedFact> ended, Map<UUID, Long> seconds, Map<UUID, Category> categories) {
        long spent = Spread.of(
                        ended.stream().map(each -> spentMinutes(each, seconds)).toList())
                .medianMinutes();
        long thought = Spread.of(ended.stream()
                        .map(each -> Optional.ofNullable(each.effortMinutes())
                                .map(Integer::longValue)
                                .orElse((long) DayLoad.DEFAULT_EFFORT_MINUTES))
                        .toList())
                .medianMinutes();
        int usual = categoryId
                .flatMap(id -> Optional.ofNullable(categories.get(id)))
                .flatMap(category -> Optional.ofNullable(category.effortMinutes()))
                .orElse(DayLoad.DEFAULT_EFFORT_MINUTES);
        int better = (int) Math.max(STEP, (spent + STEP / 2) / STEP * STEP);
        // A quarter more or less is what estimates are like.
        boolean off = Math.abs(better - usual) * 4 >= usual;
        Integer proposed = categoryId.isPresent() && ended.size() >= FEWEST && off ? better : null;
        return new Effort(categoryId.orElse(null), ended.size(), thought, spent, proposed);
    }

    /**
     * Something that was decided by hand in the same way again and again.
     *
     * @param party from whom, or through which list
     * @param name how they call themselves
     * @param decision what was done with all of them
     * @param categoryId the category of all the follow-ups; null for none
     * @param decisions how many a recipe would have saved
     */
    public record Habit(
            String party,
            String name,
            boolean list,
            Decision decision,
            @Nullable UUID categoryId,
            int decisions) {}

    /**
     * Where recipes would have saved decisions: everything from somebody was let go, or became one kind of follow-up.
     *
     * @param recipes what the recipes that there are ask for; of whom one of them is about is not said again
     */
    public static List<Habit> habits(Collection<DecidedFact> decided, Collection<Conditions> recipes) {
        Map<String, List<DecidedFact>> byParty =
                decided.stream().filter(each -> !each.byRecipe()).collect(Collectors.groupingBy(DecidedFact::party));
        return byParty.values().stream()
                .filter(all -> all.size() >= FEWEST)
                .filter(all -> all.stream()
                                .map(each -> List.of(each.decision(), Optional.ofNullable(each.categoryId())))
                                .distinct()
                                .count()
                        == 1)
                .map(all -> all.get(0))
                .filter(each -> each.decision() == Decision.NOTHING || each.decision() == Decision.FOLLOW_UP)
                .filter(each -> recipes.stream()
                        .noneMatch(recipe -> recipe.areAbout(
                                each.fromName(),
                                each.fromAddress(),
                                Optional.ofNullable(each.listAddress()).orElse(""))))
                .map(each -> new Habit(
                        each.party(),
                        each.listAddress() == null ? each.fromName() : "",
                        each.listAddress() != null,
                        each.decision(),
                        each.categoryId(),
                        Optional.ofNullable(byParty.get(each.party()))
                                .orElseThrow()
                                .size()))
                .sorted(Comparator.comparing(Habit::decisions).reversed().thenComparing(Habit::party))
                .limit(MOST_ROWS)
                .toList();
    }
}
