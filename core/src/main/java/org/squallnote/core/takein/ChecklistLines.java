package org.squallnote.core.takein;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.capture.CaptureContext;
import org.squallnote.core.capture.CaptureText;
import org.squallnote.core.capture.Captured;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.text.Beginning;
import org.squallnote.core.time.ReplyBy;
import org.squallnote.core.todo.Todo;

/**
 * Follow-ups from lists in plain text or Markdown: a line is one, a ticked box is done, what is indented below it are its
 * steps, and a heading that is a category's name is the category of those under it.
 */
public final class ChecklistLines {

    private static final Pattern HEADING = Pattern.compile("^#{1,6}\\s+(.*?)\\s*#*$");
    private static final Pattern TICKED = Pattern.compile("^\\s*(?:[-*]\\s*)?(?:\\[[xX]]|[☑✓✔])");
    private static final int LONGEST_STEP = 500;
    private static final int MOST_STEPS = 100;

    private final String[] lines;
    private final @Nullable UUID[] above;

    private ChecklistLines(String text, CaptureContext context) {
        this.lines = text.split("\\R", -1);
        this.above = new UUID[lines.length];
        UUID category = null;
        for (int i = 0; i < lines.length; i++) {
            Optional<String> heading = heading(i);
            if (heading.isPresent()) {
                category = context.category(heading.get()).orElse(null);
            }
            above[i] = category;
        }
    }

    /** A follow-up for each line that carries one; those of notes that ask nothing are not taken. */
    public static List<Proposal> read(String text, CaptureContext context, int most) {
        ChecklistLines reading = new ChecklistLines(text, context);
        List<Proposal> proposals = new ArrayList<>();
        for (CaptureText.Item item : CaptureText.read(text, context, most).items()) {
            if (reading.heading(item.line() - 1).isEmpty()) {
                proposals.add(reading.proposal(item));
            }
        }
        return proposals;
    }

    private Optional<String> heading(int index) {
        Matcher heading = HEADING.matcher(lines[index]);
        return heading.matches() ? Optional.of(heading.group(1)) : Optional.empty();
    }

    private Proposal proposal(CaptureText.Item item) {
        Captured captured = item.captured();
        String title = captured.title().replaceAll("\\*\\*|__|`", "");
        if (title.isBlank()) {
            return Proposal.refused(item.line(), title, "Has no title.");
        }
        boolean isLong = title.length() > Todo.LONGEST_TITLE;
        Content content = new Content(
                Beginning.of(title, Todo.LONGEST_TITLE),
                captured.replyBy().map(ReplyBy::day).orElse(null),
                captured.replyBy().flatMap(ReplyBy::time).orElse(null),
                captured.replyBy().filter(ReplyBy::firm).isPresent(),
                captured.category().orElse(above[item.line() - 1]),
                captured.effortMinutes().orElse(null),
                null,
                false,
                new Content.Details(
                        null,
                        captured.place(),
                        captured.people(),
                        steps(item),
                        isLong ? Beginning.of(title, Todo.LONGEST_NOTE) : ""));
        List<String> remarks = new ArrayList<>();
        if (isLong) {
            remarks.add("The title is long: all of it stands in the note.");
        }
        if (captured.steps().size() > MOST_STEPS) {
            remarks.add("Of " + captured.steps().size() + " steps the first " + MOST_STEPS + " are taken.");
        }
        if (!item.taken()) {
            remarks.add(item.why().substring(0, 1).toUpperCase(Locale.ROOT)
                    + item.why().substring(1) + ".");
        }
        return new Proposal(item.line(), title, content, captured.repeats(), "", item.taken(), List.of(), remarks);
    }

    /** The steps are the lines that come next, as far as any stands on them. */
    private List<Checklist.Item> steps(CaptureText.Item item) {
        List<Checklist.Item> steps = new ArrayList<>();
        int line = item.line();
        for (String step : item.captured().steps()) {
            while (lines[line].isBlank()) {
                line++;
            }
            if (steps.size() < MOST_STEPS) {
                steps.add(new Checklist.Item(
                        Beginning.of(step, LONGEST_STEP),
                        TICKED.matcher(lines[line]).find()));
            }
            line++;
        }
        return steps;
    }
}
