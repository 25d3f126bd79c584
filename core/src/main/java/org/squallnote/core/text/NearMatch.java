package org.squallnote.core.text;

/**
 * A form of a rule that would stand in a sentence, were one word another one.
 *
 * @param origin the form
 * @param fromInclusive index of the first word of where it would stand
 * @param toExclusive index after its last word
 * @param stands index of the word that it does not take, inside these
 * @param wanted how the form writes what should stand there: {@code could|can}
 * @param letters of the words that it takes: the more, the nearer it was
 */
public record NearMatch(
        PhraseOrigin origin, int fromInclusive, int toExclusive, int stands, String wanted, int letters) {}
