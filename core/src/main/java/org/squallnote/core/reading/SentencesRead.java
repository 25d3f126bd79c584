package org.squallnote.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.DatePhrase;
import org.squallnote.core.message.Channel;
import org.squallnote.core.text.PhraseMatch;
import org.squallnote.core.text.Sentence;
import org.squallnote.core.text.Span;

/**
 * Goes through the sentences of a message in order and keeps in mind whom they speak to: the one greeted above, until
 * somebody else is called; in a mail a call holds for its paragraph.
 */
final class SentencesRead {

    private final MessageToRead message;
    private final People people;
    private final Vocatives vocatives;
    private final Salutations salutations;
    private final NamedDoers doers;
    private final NamedTasks tasks;
    private final OthersDoings others;
    private final Asked asked;
    private final DateContext context;
    private final Hearing hearing;
    private Addressees greeted = Addressees.UNSAID;
    private Addressees called = Addressees.UNSAID;
    private Optional<LocalDate> named = Optional.empty();
    private int paragraph = -1;
    private boolean hasAsked;
    /** How many lines give somebody who is known a task: "Tom: confirm the room". */
    private long assigned;

    SentencesRead(MessageToRead message, Me me, People people, DateContext context, Hearing hearing) {
        this.hearing = hearing;
        this.message = message;
        this.people = people;
        this.vocatives = new Vocatives(people);
        this.salutations = new Salutations(people);
        this.doers = new NamedDoers(people);
        this.tasks = new NamedTasks(people);
        this.others = new OthersDoings(people);
        this.asked = new Asked(message, me);
        this.context = context;
    }

    List<ReadSentence> all(List<Sentence> sentences) {
        for (Sentence sentence : sentences) {
            assigned += tasks.isAssigned(sentence) ? 1 : 0;
        }
        List<PhraseMatch> next = sentences.isEmpty() ? List.of() : hearing.in(sentences.get(0));
        List<ReadSentence> read = new ArrayList<>(sentences.size());
        boolean said = false;
        for (int i = 0; i < sentences.size(); i++) {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException("Reading was given up at sentence " + i + " of " + sentences.size());
            }
            Sentence sentence = sentences.get(i);
            List<PhraseMatch> matches = next;
            next = i + 1 < sentences.size() ? hearing.in(sentences.get(i + 1)) : List.of();
            boolean goesOn = i + 1 < sentences.size() && sentences.get(i + 1).paragraph() == sentence.paragraph();
            List<Sentence> following = sentences.subList(i + 1, goesOn ? Math.min(sentences.size(), i + 4) : i + 1);
            Set<Ask.Kind> settled = goesOn ? SelfAnswers.settles(sentence, following, next) : Set.of();
            if (i + 1 < sentences.size()) {
                // "Pizza or curry? @Nell @Roy": those who are called behind it are asked.
                Vocatives.Call behind = vocatives.mentionsAlone(sentences.get(i + 1));
                called = behind.isOne() ? behind.who() : called;
            }
            ReadSentence one = read(sentence, new SentenceAsks(sentence, matches, goesOn), !said, settled);
            read.add(one);
            for (DatePhrase phrase : one.dates()) {
                named = phrase.form() == DatePhrase.Form.DAY ? Optional.of(phrase.day()) : named;
            }
            said |= !one.isSalutation();
        }
        return read;
    }

    private ReadSentence read(Sentence sentence, SentenceAsks asks, boolean first, Set<Ask.Kind> settled) {
        if (sentence.paragraph() != paragraph) {
            paragraph = sentence.paragraph();
            if (message.channel() == Channel.MAIL) {
                called = Addressees.UNSAID;
            }
        }
        if (first && salutations.isOne(sentence)) {
            Vocatives.Call greeting =
                    vocatives.greeting(sentence, message.from().address());
            // "Dear all" on a list calls nobody.
            if (greeting.isOne() && !(greeting.who().everybody() && asked.isToList())) {
                greeted = greeting.who();
            }
            return new ReadSentence(
                    hearing.language(), sentence, asks, List.of(), List.of(), greeted, true, true, context, named);
        }
        List<SentenceAsks.FoundAsk> found = asks.all();
        if (assigned > 0 && tasks.isAssignedToUnknown(sentence)) {
            found.clear();
        }
        if (assigned > 1 && found.isEmpty() && !sentence.isExclamation()) {
            // In a list of tasks a line needs no verb: "Ines: raffle prizes".
            tasks.task(sentence).ifPresent(found::add);
        }
        Optional<SentenceAsks.FoundAsk> toBeDone = tasks.toBeDoneBy(sentence);
        toBeDone.ifPresent(found::add);
        found.removeIf(ask -> others.isOne(sentence, asks.parts(), ask));
        found.removeIf(ask -> settled.contains(ask.kind()));
        Addressees before = called.areSaid() ? called : greeted;
        Addressees spokenTo = before;
        Vocatives.Call opening = vocatives.leading(sentence, 0);
        if (opening.isOne()) {
            spokenTo = opening.who();
            called = opening.who();
            if (first) {
                greeted = opening.who();
            }
        }
        tasks.told(sentence, opening).ifPresent(found::add);
        if (found.isEmpty() && hasAsked) {
            SameAgain.of(sentence, opening, vocatives.trailing(sentence)).ifPresent(found::add);
        }
        hearing.drop(found);
        hasAsked |= !found.isEmpty();
        if (found.size() > 1) {
            found.sort(Comparator.comparingInt(SentenceAsks.FoundAsk::from));
        }
        List<Ask> told = new ArrayList<>();
        for (SentenceAsks.FoundAsk ask : found) {
            told.add(toldTo(sentence, asks, ask, opening, before));
        }
        if (told.stream().anyMatch(Ask::named)) {
            SameAgain.withoutVerb(sentence, people)
                    .filter(other -> hearing.hears(other.ask()))
                    .ifPresent(other -> told.add(told(sentence, other.ask(), Vocatives.Call.NONE, other.who())));
        }
        return new ReadSentence(
                hearing.language(),
                sentence,
                asks,
                found,
                told,
                spokenTo,
                false,
                asked.isToReader(spokenTo),
                context,
                named);
    }

    private Ask toldTo(
            Sentence sentence,
            SentenceAsks asks,
            SentenceAsks.FoundAsk ask,
            Vocatives.Call opening,
            Addressees before) {
        Addressees who = whom(sentence, asks, ask, opening, before);
        boolean open = who.everybody() && AskedOfAll.isOpenInRoom(message, sentence);
        return told(sentence, ask, opening, open ? Addressees.ANYBODY : who);
    }

    private Ask told(Sentence sentence, SentenceAsks.FoundAsk ask, Vocatives.Call opening, Addressees who) {
        Asked.Answer answer = asked.of(who);
        int wantedEnd = sentence.size();
        Span wanted = ask.wanted() < wantedEnd
                ? sentence.spanOf(ask.wanted(), wantedEnd)
                : new Span(sentence.span().toExclusive(), sentence.span().toExclusive());
        // "@Ines Calloway could you": the ask begins behind the whole name.
        int from = opening.isOne() && opening.toExclusive() < ask.to()
                ? Math.max(ask.from(), opening.toExclusive())
                : ask.from();
        return new Ask(
                withoutCall(sentence, opening, from),
                sentence.spanOf(from, Math.max(ask.to(), from + 1)),
                wanted,
                ask.kind(),
                answer.asked(),
                answer.ofMe(),
                answer.openToAll(),
                answer.named(),
                ask.because());
    }

    /** The ask as it is shown: without the greeting or the name in front of it. */
    private static Span withoutCall(Sentence sentence, Vocatives.Call opening, int askFrom) {
        boolean called = opening.isOne() && opening.toExclusive() <= askFrom && opening.toExclusive() < sentence.size();
        return called
                ? new Span(
                        sentence.at(opening.toExclusive()).span().fromInclusive(),
                        sentence.span().toExclusive())
                : sentence.span();
    }

    private Addressees whom(
            Sentence sentence,
            SentenceAsks asks,
            SentenceAsks.FoundAsk ask,
            Vocatives.Call opening,
            Addressees before) {
        // "Could Tom please send it": the name stands before the word that asks.
        boolean please = sentence.at(ask.from()).is("please", "kindly", "be");
        int clause = asks.parts().firstOfClause(asks.parts().clauseOf(ask.from()));
        int subjectFrom = please ? Math.max(clause, ask.from() - 3) : ask.from();
        Addressees subject = doers.in(sentence, subjectFrom, ask.kind() == Ask.Kind.NEED);
        if (!subject.addresses().isEmpty() && NamedDoers.mayStandIn(sentence, ask)) {
            return subject;
        }
        Vocatives.Call trailing = vocatives.trailing(sentence);
        boolean calledByName = (opening.isOne() && !opening.who().everybody()) || trailing.isOne();
        boolean who = sentence.at(ask.from()).is("who", "who's")
                && !sentence.norm(ask.from() + 1).equals("of")
                && !before.addresses().isEmpty();
        // "Can one of you cover the desk? @ines @tom": either of the two.
        boolean ofThose = message.inRoom()
                && !message.mentions().isEmpty()
                && asks.matches().stream().anyMatch(match -> match.label().equals("of-any"));
        if (!calledByName && !who && !ofThose && AskedOfAll.isOfAnybody(sentence, asks, ask)) {
            return Addressees.ANYBODY;
        }
        if (AskedOfAll.isOfEverybody(asks, ask)) {
            return opening.isOne() && !opening.who().addresses().isEmpty() ? opening.who() : Addressees.EVERYBODY;
        }
        // The call that stands nearest before the ask, in its own clause or the one that opens the sentence.
        for (int at = asks.parts().clauseOf(ask.from()); at >= 0; at--) {
            int begin = asks.parts().firstOfClause(at);
            // "Hi Ines, hi Tom, …" is one call.
            Vocatives.Call call =
                    opening.isOne() && begin < opening.toExclusive() ? opening : vocatives.leading(sentence, begin);
            if (call.isOne() && call.toExclusive() <= Math.max(ask.from(), 1) + 1) {
                called = call.who();
                return call.who();
            }
        }
        if (trailing.isOne()) {
            return trailing.who();
        }
        Vocatives.Call between = vocatives.between(sentence);
        if (between.isOne()) {
            return between.who();
        }
        if (opening.isOne()) {
            return opening.who();
        }
        return before;
    }
}
