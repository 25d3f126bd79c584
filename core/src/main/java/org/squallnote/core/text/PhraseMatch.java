package org.squallnote.core.text;

import java.util.List;

/**
 * Where a phrase was found in a sentence.
 *
 * @param label the label of the phrase in its list
 * @param fromInclusive index of its first word
 * @param toExclusive index after its last word
 * @param wantedAt index of the first word that says what is wanted
 * @param origin the phrase, as it stands in its list
 */
public record PhraseMatch(String label, int fromInclusive, int toExclusive, int wantedAt, PhraseOrigin origin) {

    /** No match. */
    static final PhraseMatch NONE = new PhraseMatch("", 0, 0, 0, new PhraseOrigin(".", "", ""));

    /** Whether a phrase of a label begins at a word. */
    public static boolean isAt(List<PhraseMatch> matches, String label, int at) {
        for (PhraseMatch match : matches) {
            if (match.fromInclusive == at && match.label.equals(label)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the word at that place belongs to the match. */
    public boolean covers(int index) {
        return fromInclusive <= index && index < toExclusive;
    }
}
