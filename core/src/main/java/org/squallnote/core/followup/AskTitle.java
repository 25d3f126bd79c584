package org.squallnote.core.followup;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.squallnote.core.message.Party;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.text.Span;
import org.squallnote.core.text.WordList;

/**
 * Turns an ask into a title that begins with a verb: "could you send me the berth plan by Friday?" from Tilda becomes
 * "Send Tilda the berth plan".
 */
final class AskTitle {

    static final Set<String> VERBS = Set.copyOf(WordList.lines(AskTitle.class, "title-verbs.txt"));
    private static final Map<String, String> GERUNDS = WordList.lines(AskTitle.class, "gerunds.txt").stream()
            .map(line -> line.split(" "))
            .collect(Collectors.toUnmodifiableMap(pair -> pair[0], pair -> pair[1]));
    private static final Set<String> SKIPPED = Set.of(
            "you",
            "could",
            "can",
            "would",
            "will",
            "please",
            "kindly",
            "also",
            "just",
            "perhaps",
            "possibly",
            "maybe",
            "to",
            "be",
            "able",
            "both",
            "all",
            "each",
            "quickly",
            "at",
            "least",
            "still",
            "then",
            "so",
            "kind",
            "good",
            "enough",
            "as",
            "might",
            "mind");
    private static final Pattern TAIL = Pattern.compile(
            "(?i)[,;]? *(please|if possible|if you can|if you could|if at all possible|by any chance|ideally|preferably|at the latest|(by|before|until|till) (then|that)|if you have a (moment|minute)|if you get a chance|thanks|thank you|for me)$");
    private static final Pattern NEW_CLAUSE = Pattern.compile(
            "(?i)( so (that )?(i|we|it|that|they) |, (so|as|because|since|before|otherwise|and|but|or|the|our|i|we|it|he|she|they|then|which|who|whatever|after|even|if) | because |; | [–—-] | \\(|, [A-Z]\\w+ )");
    private static final int SHORTEST = 2;
    private static final int LONGEST_LOOKED_AT = 600;

    private AskTitle() {}

    /** The title, absent where the ask says nothing that a title could be made of. */
    static Optional<String> of(Party from, String about, Reading reading, Ask ask) {
        String text = reading.words().text();
        String who = from.shortName();
        String wanted = withoutDeadline(reading, ask.wanted(), text);
        return switch (ask.kind()) {
            case REQUEST, CONDITION, WISH ->
                verbFirst(wanted, who).or(() -> verbAlone(wanted, about)).or(() -> asking(ask, who, text));
            case NEED -> needed(wanted, who);
            case QUESTION, OFFER -> asking(ask, who, text);
        };
    }

    /** A deadline at the end stands beside the title as its date; one in the middle is part of what is said. */
    private static String withoutDeadline(Reading reading, Span wanted, String text) {
        int end = reading.replyBy()
                .filter(deadline -> !deadline.inSubject() && wanted.contains(deadline.words()))
                .map(Deadline::words)
                .filter(words -> saysNothing(text.substring(words.toExclusive(), wanted.toExclusive())))
                .map(Span::fromInclusive)
                .orElse(wanted.toExclusive());
        return shortened(text.substring(wanted.fromInclusive(), end));
    }

    private static boolean saysNothing(String rest) {
        return shortened(" x " + folded(rest)).equals("x");
    }

    /** On one line; of a sentence without an end its beginning, which is more than a title holds. */
    private static String folded(String words) {
        String beginning = words.length() > LONGEST_LOOKED_AT ? words.substring(0, LONGEST_LOOKED_AT) : words;
        return beginning.strip().replaceAll("\\s+", " ");
    }

    private static String shortened(String words) {
        String one = folded(words);
        var clause = NEW_CLAUSE.matcher(one);
        if (clause.find() && clause.start() > 12) {
            one = one.substring(0, clause.start());
        }
        String before;
        do {
            before = one;
            one = TAIL.matcher(one.replaceAll("[\\s?!.,:;]+$", ""))
                    .replaceAll("")
                    .strip();
        } while (!one.equals(before));
        return one.replaceAll(" (on|by|before|for|until|in|at)$", "");
    }

    private static Optional<String> verbFirst(String sentence, String who) {
        // "let me know whether" asks to be told; "let me have" to be sent.
        String wanted = sentence.replaceFirst("(?i)\\blet (me|us) (know|have)\\b", "$2");
        String[] words = wanted.split(" ");
        int i = 0;
        while (i < words.length - 1
                && SKIPPED.contains(words[i].toLowerCase(Locale.ROOT).replace(",", ""))) {
            i++;
        }
        String first = words[i].toLowerCase(Locale.ROOT).replace(",", "");
        String rest = rest(words, i + 1);
        if (first.equals("know")
                || first.equals("whether")
                || first.equals("if")
                || first.equals("when")
                || first.equals("what")
                || first.equals("which")
                || first.equals("how")
                || first.equals("where")
                || first.equals("who")
                || first.equals("about")) {
            return title("Tell " + who + (first.equals("know") ? "" : " " + first), rest, who);
        }
        if (first.equals("have") || (first.equals("get") && startsWithArticle(rest))) {
            // Who is to have something need not be sent it: "could we have the slipway".
            return title("Give " + who, rest, who);
        }
        if (startsWithArticle(wanted)) {
            return title("Send " + who, wanted, who);
        }
        String verb = GERUNDS.getOrDefault(first, first);
        if (!VERBS.contains(verb)) {
            return Optional.empty();
        }
        return title(capital(verb), rest, who);
    }

    /** "Please check" says nothing of what; the subject does. */
    private static Optional<String> verbAlone(String wanted, String about) {
        String[] words = wanted.split(" ");
        String verb = words[words.length - 1].toLowerCase(Locale.ROOT);
        boolean alone = java.util.Arrays.stream(words)
                .limit(words.length - 1L)
                .allMatch(word -> SKIPPED.contains(word.toLowerCase(Locale.ROOT)));
        return alone && VERBS.contains(verb) && !about.isEmpty()
                ? Optional.of(capital(verb) + " " + about)
                : Optional.empty();
    }

    private static Optional<String> needed(String wanted, String who) {
        String lower = wanted.toLowerCase(Locale.ROOT);
        String object = wanted.replaceFirst("(?i) (back )?from you\\b.*$", "");
        if (lower.startsWith("to know ") || lower.startsWith("know ")) {
            return title("Tell " + who, wanted.replaceFirst("(?i)^(to )?know ", ""), who);
        }
        object = object.replaceFirst("(?i)^(to )?(have|get|see|receive) ", "");
        return object.split(" ").length < SHORTEST ? Optional.empty() : title("Send " + who, object, who);
    }

    private static Optional<String> asking(Ask ask, String who, String text) {
        String words = ask.kind() == Ask.Kind.OFFER || ask.kind() == Ask.Kind.QUESTION
                ? text.substring(ask.words().fromInclusive(), ask.sentence().toExclusive())
                : ask.sentence().in(text);
        String one = folded(words);
        if (one.isEmpty()) {
            return Optional.empty();
        }
        boolean plain =
                one.length() > 1 && Character.isUpperCase(one.charAt(0)) && Character.isLowerCase(one.charAt(1));
        return Optional.of("Answer " + who + ": "
                + (plain ? one.substring(0, 1).toLowerCase(Locale.ROOT) + one.substring(1) : one));
    }

    private static boolean startsWithArticle(String words) {
        return words.matches("(?i)(the|a|an|your|my|our|two|three|some|any|all) .*");
    }

    /** What the writer says of themselves and of the reader, turned round: "your hours for my list" to "my hours for Tilda's". */
    private static Optional<String> title(String head, String rest, String who) {
        String seen = (" " + rest + " ")
                .replaceAll("(?i) (me|us) ", " " + who + " ")
                .replaceAll("(?i) (my|our) ", " " + who + "\u2019s ")
                .replaceAll("(?i) your ", " my ")
                .replaceAll("(?i) yours ", " mine ")
                .replaceAll("(?i) yourself ", " myself ")
                .replaceAll("(?i) (what|whether|if|which|when|how|where|who|why|that) you are ", " $1 I am ")
                .replaceAll("(?i) (what|whether|if|which|when|how|where|who|why|that) you ", " $1 I ")
                .strip()
                .replaceAll("(?i) you$", " me");
        // "Send Tilda Tilda the plan" would name her twice.
        String once = seen.startsWith(who + " ") && head.endsWith(who) ? seen.substring(who.length() + 1) : seen;
        String title = (head + " " + once).strip();
        return title.split(" ").length < SHORTEST ? Optional.empty() : Optional.of(title);
    }

    private static String rest(String[] words, int from) {
        StringBuilder rest = new StringBuilder();
        for (int i = from; i < words.length; i++) {
            rest.append(words[i]).append(' ');
        }
        return rest.toString().strip();
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
