package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.NatureRules;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;

/** Puts together what was found in the sentences of a message to its reading. */
final class Findings {

    private static final int MOST_HINTS = 5;
    /** More asks than this in one message are nobody's separate tasks. */
    private static final int MOST_EACH = 12;
    /** In a text of more sentences the asks are not told apart. */
    private static final int LONGEST_LETTER = 200;

    private final MessageToRead message;
    private final Me me;
    private final OwnWords words;
    private final List<ReadSentence> sentences;
    private final People people;
    private final DateContext context;
    private final Hearing hearing;
    private final NatureRules.Verdict nature;
    private final boolean automatic;
    private final boolean cut;

    Findings(
            MessageToRead message,
            Me me,
            OwnWords words,
            List<ReadSentence> sentences,
            People people,
            DateContext context,
            Hearing hearing,
            NatureRules.Verdict nature,
            boolean automatic,
            boolean cut) {
        this.message = message;
        this.me = me;
        this.words = words;
        this.sentences = sentences;
        this.people = people;
        this.context = context;
        this.hearing = hearing;
        this.nature = nature;
        this.automatic = automatic;
        this.cut = cut;
    }

    Reading reading() {
        SpeechActs acts = new SpeechActs(sentences, context, people);
        Optional<Withdrawal> withdrawal = automatic ? Optional.empty() : withdrawal(acts);
        boolean takenBack = withdrawal
                .filter(words -> Withdrawals.takesBackAtOnce(words, sentences))
                .isPresent();
        List<Ask> asks = automatic || takenBack ? List.of() : asks();
        boolean outgoing = me.is(message.from());
        boolean asked = asksMe(asks);
        boolean asksMe = !outgoing && !automatic && (asked || invitesMe() || countersMe());
        Deadlines deadlines = new Deadlines(hearing.language(), sentences, context, outgoing ? any -> true : Ask::ofMe);
        boolean dated = !automatic && (outgoing || asked);
        Optional<Deadline> replyBy = dated ? deadlines.explicit(Reader.bounded(message.subject())) : Optional.empty();
        Hints hints = automatic || replyBy.isEmpty() ? hints(asksMe) : new Hints(List.of(), Optional.empty());
        boolean says = !automatic;
        boolean nods = says && sentences.isEmpty() && words.areOnlyPictures();
        return ReadingBuilder.builder()
                .nature(nature.nature())
                .why(nature.why())
                .words(words)
                .asks(asks)
                .each(outgoing ? List.of() : each(asks))
                .asksMe(asksMe)
                .replyBy(replyBy)
                .events(dated ? deadlines.events() : List.of())
                .acknowledgement(nods || (says && acts.acknowledges()))
                .opensWithThanks(nods || (says && acts.opensWithThanks()))
                .thanksOnly(nods || (says && acts.onlyThanks()))
                .holding(says && acts.holds())
                .promises(says ? acts.promises() : List.of())
                .inReturn(says ? acts.inReturn() : Optional.empty())
                .withdrawal(withdrawal)
                .questionBack(says && acts.onlyAsksBack())
                .solved(says && (acts.solves() || withdrawal.isPresent()))
                .weight(weight(acts))
                .hints(hints.sentences())
                .hintedReplyBy(hints.replyBy())
                .returnsOn(
                        nature.nature() == Nature.AUTO_REPLY
                                ? AutomaticWords.returnsOn(sentences, context)
                                : Optional.empty())
                .failedRecipients(
                        nature.nature() == Nature.BOUNCE
                                ? AutomaticWords.failedRecipients(message.text(), me)
                                : List.of())
                .takingUp(automatic ? TakingUp.NOTHING : TakingUp.in(sentences, context, people))
                .cut(cut)
                .build();
    }

    private static boolean asksMe(List<Ask> asks) {
        for (Ask ask : asks) {
            if (ask.ofMe()) {
                return true;
            }
        }
        return false;
    }

    private Optional<Withdrawal> withdrawal(SpeechActs acts) {
        if (isCancellation()) {
            return Optional.of(new Withdrawal(new Span(0, 0), false, new Span(0, 0)));
        }
        return acts.withdrawal();
    }

    private List<Ask> asks() {
        List<Ask> asks = new ArrayList<>();
        if (isCancellation()) {
            return asks;
        }
        sentences.forEach(read -> asks.addAll(read.asks()));
        return asks;
    }

    /** The first ask of each sentence that asks me, where there are several. */
    private List<Reading.DatedAsk> each(List<Ask> asks) {
        if (sentences.size() > LONGEST_LETTER || asks.size() < 2) {
            return List.of();
        }
        Map<Span, Ask> firsts = new LinkedHashMap<>();
        for (Ask ask : asks) {
            if (ask.ofMe() && !isInOneOf(firsts.keySet(), ask.sentence())) {
                firsts.put(ask.sentence(), ask);
            }
        }
        if (firsts.size() < 2) {
            return List.of();
        }
        String subject = Reader.bounded(message.subject());
        List<Reading.DatedAsk> each = new ArrayList<>();
        for (Ask ask : firsts.values()) {
            if (each.size() < MOST_EACH) {
                Deadlines its = new Deadlines(
                        hearing.language(),
                        sentences,
                        context,
                        other -> other.ofMe() && other.sentence().equals(ask.sentence()));
                each.add(new Reading.DatedAsk(ask, its.explicit(subject)));
            }
        }
        return each;
    }

    private static boolean isInOneOf(Set<Span> sentences, Span ask) {
        for (Span sentence : sentences) {
            if (sentence.contains(ask)) {
                return true;
            }
        }
        return false;
    }

    private boolean isCancellation() {
        return message.calendarMethod().filter("CANCEL"::equals).isPresent();
    }

    private boolean invitesMe() {
        if (nature.nature() != Nature.INVITATION) {
            return false;
        }
        return me.isAmong(message.to())
                || message.to().isEmpty()
                || (!me.name().isBlank() && message.text().contains(me.name()))
                || me.addresses().stream()
                        .anyMatch(address ->
                                message.text().toLowerCase(Locale.ROOT).contains(address));
    }

    /** A counter-proposal to my invitation wants an answer (RFC 5546 section 3.2.7). */
    private boolean countersMe() {
        return message.calendarMethod().filter("COUNTER"::equals).isPresent() && me.isAmong(message.to());
    }

    private Weight weight(SpeechActs acts) {
        String importance = message.headers().lowerValue("Importance");
        String priority = message.headers().lowerValue("X-Priority");
        if (importance.equals("high") || priority.startsWith("1") || priority.startsWith("2") || acts.says("high")) {
            return Weight.HIGH;
        }
        return acts.says("low") || importance.equals("low") ? Weight.LOW : Weight.NORMAL;
    }

    private record Hints(List<Span> sentences, Optional<Deadline> replyBy) {}

    /** What an automatic message seems to ask, or a forwarded block under my "can you deal with this?". */
    private Hints hints(boolean asksMe) {
        if (automatic) {
            List<Span> spans = asking(sentences);
            boolean any = !spans.isEmpty() && nature.nature() == Nature.BULK;
            return new Hints(
                    spans,
                    any
                            ? new Deadlines(hearing.language(), sentences, context, ask -> true)
                                    .explicit(Reader.bounded(message.subject()))
                            : Optional.empty());
        }
        List<Span> forwarded = words.linesOf(OwnWords.Kind.FORWARDED);
        if (!asksMe || forwarded.isEmpty()) {
            return new Hints(List.of(), Optional.empty());
        }
        List<Sentence> inside = SentenceSplitter.split(
                words.text(), forwarded, 200, hearing.language().phrases());
        List<ReadSentence> read =
                new SentencesRead(message, me, people, context, Hearing.all(hearing.language())).all(inside);
        return new Hints(asking(read), new Deadlines(hearing.language(), read, context, ask -> true).explicit(""));
    }

    private static List<Span> asking(List<ReadSentence> all) {
        List<Span> spans = new ArrayList<>();
        for (ReadSentence read : all) {
            if (!read.found().isEmpty() && spans.size() < MOST_HINTS) {
                spans.add(read.sentence().span());
            }
        }
        return spans;
    }
}
