package org.squallnote.core.reading;

import java.util.List;
import java.util.Optional;
import org.squallnote.core.rule.Reason;
import org.squallnote.core.rule.Rule;
import org.squallnote.core.text.Span;

/**
 * A date of a message and what was made of it, for whoever asks why.
 *
 * @param words where it stands in the text
 * @param named the rule that found its day; absent where only a time stands there
 * @param purpose the rule that says what it is for
 * @param passed rules that held before that one and sent on to others
 * @param otherwise the rule that would say it without that one; absent where it takes whatever is left
 * @param beside the rule that says whether it sets the day of an ask in another sentence; absent in a sentence that
 *     asks itself, and where no rule speaks of it
 */
public record SeenDate(
        Span words,
        Optional<Reason> named,
        Rule purpose,
        List<Rule> passed,
        Optional<Rule> otherwise,
        Optional<Rule> beside) {}
