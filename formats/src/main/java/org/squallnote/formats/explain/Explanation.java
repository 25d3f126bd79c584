package org.squallnote.formats.explain;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.Promise;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.reading.ReadingRules;
import org.squallnote.core.reading.SeenDate;
import org.squallnote.core.reading.SeenSentence;
import org.squallnote.core.reading.Weight;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.Span;
import org.squallnote.core.turn.Awaited;
import org.squallnote.core.turn.Debt;
import org.squallnote.core.turn.TurnRules;
import org.squallnote.core.turn.TurnState;
import org.squallnote.formats.lines.Predictions;

/** Writes a reading or a state of a thread as lines that a person can follow. */
final class Explanation {

    private final List<String> lines = new ArrayList<>();

    private Explanation() {}

    /** The findings in a message, each with the words that led to it, and of each date the rules that decided about it. */
    static String of(MessageToRead message, Reading reading, List<SeenDate> dates) {
        Explanation out = new Explanation();
        String title = message.subject().isBlank() ? "(chat)" : message.subject();
        out.lines.add(message.from().displayName() + ": " + title);
        out.reading(message, reading);
        dates.forEach(date -> out.line("date", of(date, message.text())));
        return String.join("\n", out.lines);
    }

    /** Whose turn it is, person by person. */
    static String of(TurnState state) {
        Explanation out = new Explanation();
        out.line("turn", state.turn().name().toLowerCase(Locale.ROOT).replace('_', ' '));
        for (Debt debt : state.debts()) {
            out.line(
                    "I owe",
                    debt.to().displayName() + ", " + debt.reason().name().toLowerCase(Locale.ROOT)
                            + by(debt.by().map(Object::toString).orElse("")) + quoted(debt.what())
                            + debt.answeredBy()
                                    .map(who -> ", answered by " + who.displayName())
                                    .orElse(""));
        }
        state.paused()
                .forEach(rest -> out.line(
                        "I owe later",
                        rest.debt().to().displayName() + quoted(rest.debt().what())));
        for (Awaited one : state.awaited()) {
            out.line(
                    "awaited",
                    one.party().displayName()
                            + (one.promised() ? ", promised" : ", asked")
                            + by(one.by().map(Object::toString).orElse(""))
                            + quoted(one.what()));
        }
        state.asking().forEach(one -> out.line("asks back", one.party().displayName()));
        state.returns().forEach((who, day) -> out.line("away", who + " is back on " + day));
        return String.join("\n", out.lines);
    }

    /** What was seen sentence by sentence: the phrases that stand there, and what is asked in the end. */
    static String of(List<SeenSentence> sentences, String text) {
        Explanation out = new Explanation();
        for (SeenSentence sentence : sentences) {
            out.line("sentence", quotation(sentence.words().foldedIn(text)));
            sentence.phrases()
                    .forEach(each -> out.line(
                            "  phrase",
                            each.origin().name() + " " + quotation(each.words().foldedIn(text)) + ", by “"
                                    + each.origin().written() + "”"));
            sentence.asks()
                    .forEach(each ->
                            out.line("  asks", quotation(each.words().foldedIn(text)) + ", " + since(each.because())));
            ReadingRules.nearlyIn(sentence.words().in(text))
                    .forEach(each -> out.line(
                            "  nearly",
                            each.origin().name() + " as in "
                                    + quotation(each.origin().example()) + ": of "
                                    + quotation(each.words()) + " it takes " + quotation(each.wanted()) + " for "
                                    + quotation(each.stands())));
        }
        return String.join("\n", out.lines);
    }

    /**
     * The rules about dates, the forms of the rules about words, and the shapes of sentences that ask, one in each line.
     *
     * @param words what stands in their names
     */
    static List<String> ofRules(String words) {
        List<String> lines = new ArrayList<>();
        Stream.concat(ReadingRules.ofDays().stream(), ReadingRules.ofDates().stream())
                .filter(rule -> rule.id().contains(words))
                .forEach(rule -> lines.add(of(rule)));
        Stream.of(ReadingRules.ofDatesNamedBefore())
                .filter(then -> then.rule().contains(words))
                .forEach(then -> lines.add(row(then.rule(), "stated", "", quotation(then.example()))));
        Stream.concat(ReadingRules.ofWords().stream(), TurnRules.ofWords().stream())
                .filter(form -> form.name().contains(words))
                .forEach(form -> lines.add(
                        row(form.name(), form.label(), "", quotation(form.example()) + ", by " + form.written())));
        ReadingRules.ofShapes().stream()
                .filter(shape -> shape.rule().contains(words))
                .forEach(shape ->
                        lines.add(row(shape.rule(), "asks", "", quotation(shape.example()) + ", by its shape")));
        return lines;
    }

    private static String row(String name, String gives, String over, String example) {
        return String.format(Locale.ROOT, "%-32s %-12s %-24s %s", name, gives, over, example);
    }

    /** One line for each rule: its name, what it says, the rule that it goes before, a sentence for it and one against. */
    private static String of(Rule rule) {
        String no = rule.no().isEmpty() ? "" : " but not " + quotation(rule.no().get(0));
        return row(rule.id(), rule.gives(), rule.over(), quotation(rule.yes().get(0)) + no);
    }

    private static String of(SeenDate date, String text) {
        String passed = date.passed().stream()
                .map(rule -> "by way of " + rule.id() + ", ")
                .collect(Collectors.joining());
        return quotation(date.words().foldedIn(text)) + " is " + date.purpose().gives() + ", " + passed
                + since(date.purpose().reason())
                + date.otherwise()
                        .map(rule -> ", else " + rule.gives() + " by " + rule.id())
                        .orElse("")
                + date.beside()
                        .map(rule -> "; for an ask beside it it " + rule.gives() + ", " + since(rule.reason()))
                        .orElse("")
                + date.named()
                        .map(rule -> "; found by " + rule.rule() + " " + rule.inWords())
                        .orElse("");
    }

    private static String since(Reason reason) {
        return "since " + reason.rule() + " " + reason.inWords();
    }

    private static String quotation(String words) {
        return "\u201c" + words + "\u201d";
    }

    private static String by(String day) {
        return day.isEmpty() ? "" : ", by " + day.replace("T23:59:59.999999999", "");
    }

    private static String quoted(String words) {
        return words.isEmpty() ? "" : ": \u201c" + words + "\u201d";
    }

    private void reading(MessageToRead message, Reading reading) {
        String text = reading.words().text();
        line("nature", reading.nature().name().toLowerCase(Locale.ROOT).replace('_', '-') + ", since " + reading.why());
        line("asks me", reading.asksMe() ? "yes" : "no");
        for (Ask ask : reading.asks()) {
            String whom =
                    ask.ofMe() ? "me" : ask.asked().isEmpty() ? "nobody in particular" : String.join(", ", ask.asked());
            line(
                    "ask",
                    ask.kind().name().toLowerCase(Locale.ROOT) + " of " + whom + ": \u201c"
                            + ask.sentence().foldedIn(text) + "\u201d, by \u201c"
                            + ask.words().foldedIn(text) + "\u201d, " + since(ask.because()));
        }
        reading.replyBy().ifPresent(deadline -> line("reply by", dated(deadline, message, text)));
        reading.events().forEach(event -> line("event", dated(event, message, text)));
        for (Promise promise : reading.promises()) {
            line(
                    promise.forOneself() ? "own plan" : promise.toSomebodyElse() ? "promise to another" : "promise",
                    "\u201c" + promise.words().foldedIn(text) + "\u201d"
                            + promise.by()
                                    .map(day -> ", by " + Predictions.written(day))
                                    .orElse("")
                            + ", " + since(promise.because()));
        }
        reading.withdrawal()
                .ifPresent(taken -> line("takes back", "\u201c" + taken.words().foldedIn(text) + "\u201d"));
        flag(reading.acknowledgement(), "acknowledges");
        flag(reading.holding(), "says an answer will come");
        flag(reading.takingUp().plans(), "says what comes later");
        flag(reading.takingUp().fulfils(), "says that it is done or handed over");
        flag(reading.takingUp().denies(), "says that the writer has or knows nothing of it");
        flag(reading.takingUp().overtaken(), "says that what was asked for is there already or has fallen away");
        reading.takingUp().thingThere().ifPresent(said -> line("is there", "\u201c" + said.foldedIn(text) + "\u201d"));
        flag(reading.questionBack(), "asks back");
        if (reading.weight() != Weight.NORMAL) {
            line("weight", reading.weight().name().toLowerCase(Locale.ROOT));
        }
        for (Span hint : reading.hints()) {
            line("hint", "\u201c" + hint.foldedIn(text) + "\u201d");
        }
        reading.hintedReplyBy().ifPresent(deadline -> line("hinted date", dated(deadline, message, text)));
        reading.returnsOn().ifPresent(day -> line("back on", day.toString()));
        reading.failedRecipients().forEach(address -> line("not delivered", address));
        flag(reading.cut(), "only its beginning was read: it is overlong");
    }

    private static String dated(Deadline deadline, MessageToRead message, String text) {
        String source = deadline.inSubject() ? message.subject() : text;
        return Predictions.written(deadline) + ", " + (deadline.firm() ? "firm" : "flexible") + ", from \u201c"
                + deadline.words().foldedIn(source) + "\u201d" + (deadline.inSubject() ? " in the subject" : "") + ", "
                + since(deadline.because());
    }

    private void flag(boolean holds, String words) {
        if (holds) {
            lines.add("  " + words);
        }
    }

    private void line(String name, String value) {
        lines.add(String.format(Locale.ROOT, "  %-13s %s", name, value));
    }
}
