package org.squallnote.core.reading;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.NatureRules;
import org.squallnote.core.rule.RuleBook;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.SentenceSplitter;
import org.squallnote.core.text.Span;
import org.squallnote.core.time.WorkingTime;

/**
 * Reads messages for one person: who is behind one, what it asks and of whom, by when, what it promises. Pure: the same
 * message read again says the same. See the package documentation for the rules.
 */
public final class Reader {

    /** Raised when a rule changes what is found, so that stored readings are known to be old. */
    public static final int VERSION = 22;

    /** Text beyond this many characters is not read. */
    public static final int LONGEST_TEXT = 5_000_000;

    /** Of overlong own words the beginning is read: nobody asks something new after so many sentences. */
    static final int MOST_SENTENCES = 3_000;

    private static final int LONGEST_SUBJECT = 500;

    /** Of a message that takes too long, this much is read, in characters. */
    private static final int A_PAGE = 4_000;

    private final Me me;
    private final ZoneId zone;
    private final boolean monthFirst;
    private final WorkingTime workingTime;
    private final People onlyMe;
    private final Hearing hearing;

    /**
     * A reader for somebody.
     *
     * @param me whom the messages are read for
     * @param monthFirst whether 3/4 means March 4
     * @param workingTime the working days and hours, by which "end of the week" is known; its zone is the reader's
     */
    public Reader(Me me, boolean monthFirst, WorkingTime workingTime) {
        this(me, monthFirst, workingTime, Hearing.all(ReadingLanguage.ENGLISH));
    }

    /**
     * A reader to whom some ways of asking say nothing.
     *
     * @param unheard their names, as in {@link ReadingRules}
     */
    public Reader(Me me, boolean monthFirst, WorkingTime workingTime, Set<String> unheard) {
        this(me, monthFirst, workingTime, new Hearing(ReadingLanguage.ENGLISH, Set.of(), Set.copyOf(unheard)));
    }

    Reader(Me me, boolean monthFirst, WorkingTime workingTime, Hearing hearing) {
        this.hearing = hearing;
        this.me = me;
        this.zone = workingTime.zone();
        this.monthFirst = monthFirst;
        this.workingTime = workingTime;
        this.onlyMe = new People(me);
    }

    /** Reads a message, incoming or outgoing: one is outgoing when it is from me. */
    public Reading read(MessageToRead message) {
        return read(message, LONGEST_TEXT);
    }

    /**
     * Reads the first page of a message, for one whose whole takes too long. The reading says that it is cut.
     *
     * @see Reading#cut()
     */
    public Reading readBeginning(MessageToRead message) {
        return read(message, A_PAGE);
    }

    /**
     * Reads what stands above the text of a message, for one whose text cannot be read. The reading says that it is cut.
     *
     * @see Reading#cut()
     */
    public Reading readHead(MessageToRead message) {
        return read(message, 0);
    }

    private Reading read(MessageToRead message, int most) {
        boolean cut = message.text().length() > most;
        String text = cut ? message.text().substring(0, most) : message.text();
        NatureRules.Verdict nature = NatureRules.verdictOn(new NatureRules.Input(
                message.channel(),
                message.from(),
                message.subject(),
                message.headers(),
                message.calendarMethod(),
                message.deliveryAction(),
                text.substring(0, Math.min(text.length(), 4_000))));
        OwnWords words = OwnWords.of(text, message.from().name());
        DateContext context = contextOf(message);
        boolean automatic = nature.nature() != Nature.PERSON && nature.nature() != Nature.INVITATION;
        List<Span> lines = words.ownLines();
        List<Sentence> sentences = SentenceSplitter.split(
                text, lines, MOST_SENTENCES, hearing.language().phrases());
        cut |= sentences.size() >= MOST_SENTENCES || SentenceSplitter.isCutOff(sentences);
        People people = onlyMe.and(message);
        boolean answersMe = message.answersMe() || Attributions.quotesMe(words, me);
        MessageToRead known = answersMe && !message.answersMe() ? answering(message) : message;
        List<ReadSentence> read = new SentencesRead(known, me, people, context, hearing).all(sentences);
        return new Findings(known, me, words, read, people, context, hearing, nature, automatic, cut).reading();
    }

    /** What rules make of the dates in a message, one by one, for whoever asks why; of a long one the first page. */
    public List<SeenDate> dates(MessageToRead message) {
        return dates(message, hearing.language().purposes(), hearing.language().besides());
    }

    /** What was seen in the sentences of a message's own words, for whoever asks why; of a long one the first page. */
    public List<SeenSentence> sentences(MessageToRead message) {
        return ownSentences(message, contextOf(message)).stream()
                .map(SeenSentence::of)
                .toList();
    }

    List<SeenDate> dates(MessageToRead message, RuleBook purposes, RuleBook besides) {
        DateContext context = contextOf(message);
        return SeenDates.of(ownSentences(message, context), context, purposes, besides);
    }

    private DateContext contextOf(MessageToRead message) {
        return new DateContext(
                LocalDateTime.ofInstant(message.sentAt(), zone),
                workingTime,
                monthFirst,
                hearing.language().days());
    }

    private List<ReadSentence> ownSentences(MessageToRead message, DateContext context) {
        String text = bounded(message.text(), A_PAGE);
        List<Span> lines = OwnWords.of(text, message.from().name()).ownLines();
        List<Sentence> sentences = SentenceSplitter.split(
                text, lines, MOST_SENTENCES, hearing.language().phrases());
        return new SentencesRead(message, me, onlyMe.and(message), context, hearing).all(sentences);
    }

    private static MessageToRead answering(MessageToRead m) {
        return MessageToReadBuilder.builder(m)
                .subject(bounded(m.subject()))
                .answersMe(true)
                .build();
    }

    static String bounded(String subject) {
        return bounded(subject, LONGEST_SUBJECT);
    }

    private static String bounded(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }
}
