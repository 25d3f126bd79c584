package org.squallnote.core.capture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.squallnote.core.followup.ProposedTitle;
import org.squallnote.core.message.Party;

/**
 * Understands a pasted text: a list makes one follow-up a line, what is indented below a line is its checklist, and of
 * meeting notes only the lines that carry an action are taken.
 */
public final class CaptureText {

    /** More follow-ups than this are not made at once. */
    public static final int MOST = 200;

    /** What a text is. */
    public enum Sort {
        /** One line. */
        LINE,
        /** A follow-up a line. */
        LIST,
        /** Notes of a meeting; only some lines carry an action. */
        NOTES
    }

    /**
     * A text understood.
     *
     * @param items a follow-up for each line, also for those that are not taken
     * @param rest the lines beyond the most that can be made at once, as they were pasted
     */
    public record Result(Sort sort, List<Item> items, String rest) {

        /** The follow-ups that are made unless somebody says otherwise. */
        public List<Item> taken() {
            return items.stream().filter(Item::taken).toList();
        }
    }

    /**
     * One follow-up on offer.
     *
     * @param line the line of the text on which it stands, from 1
     * @param taken whether it is made unless somebody says otherwise
     * @param why why the line was taken or not, empty in a list
     */
    public record Item(int line, Captured captured, boolean taken, String why) {}

    private record Line(int number, int indent, String text, String raw) {}

    private record Action(String text, Optional<Party> whose, String why, boolean done) {}

    private static final Pattern BULLET = Pattern.compile("^(?:[-*•‣–]|\\d{1,3}[.)])\\s+");
    private static final Pattern CHECKBOX = Pattern.compile("^(?:[-*]\\s*)?(?:\\[([ xX]?)]|([☐☑✓✔]))\\s*");
    private static final Pattern MARKED = Pattern.compile(
            "(?i)^(?:action(?: item| point)?|to-?do|task|next step|follow[- ]?up)s?\\s*(?:\\(([^)]{1,40})\\))?\\s*[:–—-]\\s*");
    private static final Pattern MARKED_PLAINLY = Pattern.compile("^(?:TODO|TO-DO|TO DO|ACTION|TASK)\\s+(?=[\\p{L}@])");
    private static final Pattern DOES = Pattern.compile("^(\\p{Lu}[\\p{L}'-]{1,30})\\s+(\\p{Ll}{2,20}s)(?=\\s)");
    private static final Pattern MENTIONED =
            Pattern.compile("^@(\\p{L}[\\p{L}\\w.-]{0,40})(?:\\s+will\\b|\\s+to\\b)?\\s*[:,–—-]?\\s*");
    private static final Pattern NAMED =
            Pattern.compile("^(\\p{Lu}[\\p{L}'-]{1,30}(?: \\p{Lu}[\\p{L}'-]{1,30})?)(?::\\s*|\\s+to\\s+|\\s+will\\s+)");
    private static final Pattern NAME_INSIDE = Pattern.compile("(?<=\\s)\\p{Lu}\\p{Ll}{1,30}");
    private static final int TAB_WIDTH = 4;

    private final CaptureContext context;
    private final int most;

    private CaptureText(CaptureContext context, int most) {
        this.context = context;
        this.most = most;
    }

    /** What a text makes. */
    public static Result read(String text, CaptureContext context) {
        return read(text, context, MOST);
    }

    /** The same with up to so many follow-ups. */
    public static Result read(String text, CaptureContext context, int most) {
        return new CaptureText(context, most).read(lines(text));
    }

    private static List<Line> lines(String text) {
        List<Line> lines = new ArrayList<>();
        int number = 0;
        for (String raw : text.split("\\R")) {
            number++;
            if (!raw.isBlank()) {
                int indent = 0;
                int at = 0;
                while (at < raw.length() && Character.isWhitespace(raw.charAt(at))) {
                    indent += raw.charAt(at) == '\t' ? TAB_WIDTH : 1;
                    at++;
                }
                lines.add(new Line(number, indent, raw.strip(), raw));
            }
        }
        return lines;
    }

    private Result read(List<Line> lines) {
        if (lines.isEmpty()) {
            return new Result(Sort.LINE, List.of(), "");
        }
        boolean marked = lines.stream()
                .anyMatch(line -> CHECKBOX.matcher(line.text()).find()
                        || MARKED.matcher(bare(line.text())).find()
                        || MARKED_PLAINLY.matcher(bare(line.text())).find());
        long actions =
                lines.stream().filter(line -> action(line.text()).isPresent()).count();
        boolean notes = lines.size() > 1 && (marked || (actions > 0 && isProse(lines)));
        Sort sort = lines.size() == 1 ? Sort.LINE : notes ? Sort.NOTES : Sort.LIST;
        List<Item> items = new ArrayList<>();
        int i = 0;
        while (i < lines.size() && items.size() < most) {
            Line line = lines.get(i);
            Optional<Action> action = action(line.text());
            boolean taken = !notes || action.filter(found -> !found.done()).isPresent();
            int next = i + 1;
            if (taken) {
                List<String> steps = new ArrayList<>();
                while (next < lines.size() && lines.get(next).indent() > line.indent()) {
                    steps.add(stepText(lines.get(next).text()));
                    next++;
                }
                items.add(item(line, notes ? action : Optional.empty(), steps));
            } else {
                String why = action.isPresent() ? "is done already" : "asks nothing of anybody";
                items.add(new Item(line.number(), CaptureLine.read(bareOf(line), context), false, why));
            }
            i = next;
        }
        String rest = lines.subList(i, lines.size()).stream().map(Line::raw).collect(Collectors.joining("\n"));
        return new Result(sort, items, rest);
    }

    /** Whole sentences rather than short entries. */
    private static boolean isProse(List<Line> lines) {
        long long_ = lines.stream()
                .filter(line -> line.text().length() > 60 || line.text().endsWith("."))
                .count();
        return long_ * 3 > lines.size();
    }

    private Item item(Line line, Optional<Action> action, List<String> steps) {
        String words = action.map(Action::text).orElseGet(() -> withoutMe(bareOf(line)));
        Captured captured = CaptureLine.read(words, context).with(steps);
        Optional<Party> whose = action.flatMap(Action::whose).filter(person -> !isMe(person));
        return new Item(
                line.number(),
                whose.map(captured::of).orElse(captured),
                true,
                action.map(Action::why).orElse(""));
    }

    private boolean isMe(Party person) {
        return person.displayName().equalsIgnoreCase(context.me())
                || person.shortName().equalsIgnoreCase(new Party(context.me(), "").shortName());
    }

    private static String bare(String text) {
        return BULLET.matcher(text).replaceFirst("");
    }

    private static String bareOf(Line line) {
        return bare(CHECKBOX.matcher(line.text()).replaceFirst(""));
    }

    /** What is for me needs not say so: "Ines sends the list" is "send the list". */
    private String withoutMe(String words) {
        return assigned(words)
                .filter(action -> action.whose().filter(this::isMe).isPresent())
                .map(Action::text)
                .orElse(words);
    }

    private static String stepText(String text) {
        return bare(CHECKBOX.matcher(text).replaceFirst(""));
    }

    /** Whether a line of notes carries an action, and whose. */
    private Optional<Action> action(String line) {
        Matcher box = CHECKBOX.matcher(line);
        if (box.find()) {
            boolean done = "x".equalsIgnoreCase(box.group(1))
                    || (box.group(2) != null && !box.group(2).equals("☐"));
            String rest = line.substring(box.end());
            Optional<Action> inner = assigned(rest);
            return Optional.of(inner.map(found -> new Action(found.text(), found.whose(), "a box to tick", done))
                    .orElse(new Action(rest, Optional.empty(), "a box to tick", done)));
        }
        String bare = bare(line);
        Matcher plain = MARKED_PLAINLY.matcher(bare);
        Matcher mark = MARKED.matcher(bare);
        boolean plainly = plain.find();
        if (plainly || mark.find()) {
            String rest = bare.substring(plainly ? plain.end() : mark.end());
            Optional<Party> named = plainly
                    ? Optional.empty()
                    : Optional.ofNullable(mark.group(1)).map(this::person);
            return Optional.of(assigned(rest)
                    .map(found -> new Action(found.text(), found.whose(), "marked as an action", false))
                    .orElse(new Action(rest, named, "marked as an action", false)));
        }
        return assigned(bare).or(() -> imperative(bare));
    }

    private Optional<Action> assigned(String text) {
        Matcher mention = MENTIONED.matcher(text);
        if (mention.find() && mention.end() < text.length()) {
            return Optional.of(new Action(
                    text.substring(mention.end()),
                    Optional.of(person(mention.group(1))),
                    "for @" + mention.group(1),
                    false));
        }
        Matcher named = NAMED.matcher(text);
        if (named.find() && ProposedTitle.isVerb(firstWord(text.substring(named.end())))) {
            return Optional.of(new Action(
                    text.substring(named.end()),
                    Optional.of(person(named.group(1))),
                    "something for " + named.group(1),
                    false));
        }
        return does(text);
    }

    /** "Bo sends the drawings", of somebody who is known. */
    private Optional<Action> does(String text) {
        Matcher does = DOES.matcher(text);
        if (!does.find()) {
            return Optional.empty();
        }
        Optional<Party> whose = PeoplePart.byName(does.group(1), context.people())
                .or(() -> Optional.of(new Party(does.group(1), "")).filter(this::isMe));
        return whose.flatMap(person -> baseForm(does.group(2))
                .map(verb -> new Action(
                        verb + text.substring(does.end()),
                        Optional.of(person),
                        "something for " + does.group(1),
                        false)));
    }

    /** The verb of a third person without its ending: "sends", "fixes", "carries". */
    private static Optional<String> baseForm(String verb) {
        String bare = verb.substring(0, verb.length() - 1);
        List<String> bases = new ArrayList<>(List.of(bare));
        if (verb.endsWith("es")) {
            bases.add(verb.substring(0, verb.length() - 2));
        }
        if (verb.endsWith("ies")) {
            bases.add(verb.substring(0, verb.length() - 3) + "y");
        }
        return bases.stream().filter(ProposedTitle::isVerb).findFirst();
    }

    /** "Ask Bo for the drawings": an instruction in which somebody is named. */
    private static Optional<Action> imperative(String text) {
        boolean verb = ProposedTitle.isVerb(firstWord(text));
        return verb && NAME_INSIDE.matcher(text).find()
                ? Optional.of(new Action(text, Optional.empty(), "an instruction with a name", false))
                : Optional.empty();
    }

    private Party person(String name) {
        return PeoplePart.byName(name, context.people())
                .orElseGet(() ->
                        new Party(name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1), ""));
    }

    private static String firstWord(String text) {
        return text.strip().split("[\\s,.:;]+", 2)[0];
    }
}
