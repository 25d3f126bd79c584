package org.squallnote.core.chase;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.text.Language;

/**
 * When somebody reminds others, and with which words.
 *
 * @param exceptions for some people and categories other numbers of days
 * @param languages the words in other languages than English, by their tags
 */
public record ChaseWishes(
        ChasePolicy policy,
        ChaseLetter.Words words,
        List<OtherDays> exceptions,
        Map<String, ChaseLetter.Words> languages) {

    /** So many are enough for every office. */
    public static final int MOST_EXCEPTIONS = 200;

    /** Until somebody chooses otherwise. */
    public static final ChaseWishes USUAL =
            new ChaseWishes(ChasePolicy.USUAL, ChaseLetter.Words.USUAL, List.of(), Map.of());

    /** For whom another number of days holds. */
    public enum Kind {
        /** One address, or everybody of a house: {@code @house.example}. */
        PARTY,
        /** Threads of a category, by its id. */
        CATEGORY
    }

    /**
     * Other numbers of days.
     *
     * @param whom an address, a domain with its sign, or the id of a category
     */
    public record OtherDays(Kind kind, String whom, ChasePolicy policy) {

        /** Folds the case of an address. */
        public OtherDays {
            whom = whom.strip().toLowerCase(Locale.ROOT);
            if (whom.isEmpty()) {
                throw new IllegalArgumentException("Say for whom the other number of days holds.");
            }
        }
    }

    /**
     * The days that hold for somebody.
     *
     * @param by for whom they were chosen; absent where they hold for everybody
     */
    public record Rule(ChasePolicy policy, Optional<Kind> by) {}

    /** Copies the collections; what was kept before there were any has none. */
    public ChaseWishes(
            ChasePolicy policy,
            ChaseLetter.Words words,
            @Nullable List<OtherDays> exceptions,
            @Nullable Map<String, ChaseLetter.Words> languages) {
        this.policy = policy;
        this.words = words;
        this.exceptions = exceptions == null ? List.of() : List.copyOf(exceptions);
        this.languages = languages == null ? Map.of() : Map.copyOf(languages);
    }

    /** The language in which somebody is reminded who writes in one: theirs where I have words in it. */
    public Language languageFor(Optional<Language> theirs) {
        return theirs.filter(language -> languages.containsKey(language.tag())).orElse(Language.ENGLISH);
    }

    /** The words in a language. */
    public ChaseLetter.Words wordsIn(Language language) {
        return languages.getOrDefault(language.tag(), words);
    }

    /** Whether anything depends on the category of a thread. */
    public boolean asksForCategories() {
        return exceptions.stream().anyMatch(each -> each.kind() == Kind.CATEGORY);
    }

    /** The days that hold for somebody in a thread: what was chosen for them comes before their house, and that before the category. */
    public Rule ruleFor(String address, Optional<UUID> category) {
        String folded = address.toLowerCase(Locale.ROOT);
        String house = folded.substring(Math.max(folded.lastIndexOf('@'), 0));
        return chosen(Kind.PARTY, folded)
                .or(() -> chosen(Kind.PARTY, house))
                .or(() -> category.flatMap(id -> chosen(Kind.CATEGORY, id.toString())))
                .map(found -> new Rule(found.policy(), Optional.of(found.kind())))
                .orElseGet(() -> new Rule(policy, Optional.empty()));
    }

    private Optional<OtherDays> chosen(Kind kind, String whom) {
        return exceptions.stream()
                .filter(each -> each.kind() == kind && each.whom().equals(whom))
                .findFirst();
    }
}
