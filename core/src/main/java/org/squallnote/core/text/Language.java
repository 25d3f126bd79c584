package org.squallnote.core.text;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The languages that are told apart by their small words. */
public enum Language {
    ENGLISH("en", "the and is are you to of for with that this have not we will please could it on in"),
    GERMAN(
            "de",
            "der die das und ist nicht ich sie wir mit f\u00fcr auf ein eine zu den von bitte k\u00f6nnen noch uns am"),
    FRENCH("fr", "le la les et est pas nous vous je pour avec une un des du de que sur dans au bonjour merci"),
    DUTCH("nl", "de het een en is niet ik u wij voor met van op dat kunt kan graag ons nog bij aan"),
    SPANISH("es", "el la los las y es no usted nosotros para con una un del de que por gracias puede en me"),
    ITALIAN("it", "il la i le e non noi lei per con una un del di che grazie pu\u00f2 in sono si alla");

    /** Fewer of its words say nothing. */
    private static final int FEWEST = 3;

    private static final int LONGEST_READ = 4_000;
    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    private final String tag;
    /** Between blanks. */
    private final String words;

    Language(String tag, String words) {
        this.tag = tag;
        this.words = " " + words + " ";
    }

    /** Its tag (BCP 47). */
    public String tag() {
        return tag;
    }

    /** For dates as they are written in it. */
    public Locale locale() {
        return this == ENGLISH ? Locale.UK : Locale.forLanguageTag(tag);
    }

    /** The language with a tag. */
    public static Optional<Language> tagged(String tag) {
        return Stream.of(values()).filter(each -> each.tag.equals(tag)).findFirst();
    }

    /** The language of some texts; absent where they are too short to say. */
    public static Optional<Language> of(List<String> texts) {
        Map<Language, Integer> counts = new EnumMap<>(Language.class);
        for (String text : texts) {
            Matcher word = WORD.matcher(text.substring(0, Math.min(text.length(), LONGEST_READ)));
            while (word.find()) {
                String folded = word.group().toLowerCase(Locale.ROOT);
                for (Language each : values()) {
                    if (each.words.contains(" " + folded + " ")) {
                        counts.merge(each, 1, Integer::sum);
                    }
                }
            }
        }
        Optional<Language> most = Optional.empty();
        for (Language each : values()) {
            int count = counts.getOrDefault(each, 0);
            if (count >= FEWEST && count > most.map(counts::get).orElse(0)) {
                most = Optional.of(each);
            }
        }
        return most;
    }
}
