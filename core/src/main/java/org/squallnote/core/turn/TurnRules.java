package org.squallnote.core.turn;

import java.util.List;
import org.squallnote.core.text.PhraseOrigin;

/** By what it is told what an ask is after, for whoever wants to look it up. */
public final class TurnRules {

    private TurnRules() {}

    /** The forms of the rules, in the order of their list. */
    public static List<PhraseOrigin> ofWords() {
        return Wanted.RULES.origins();
    }
}
