package org.squallnote.search;

import java.time.Instant;
import java.time.ZoneId;
import org.squallnote.core.search.Filter;

/**
 * What is looked for.
 *
 * @param words as typed; "in quotes" is exact
 * @param zone in which the days of the filter are meant
 * @param now newer ones weigh more
 * @param newestFirst whether the time alone orders them
 * @param most how many are wanted, at most {@value #MOST}
 */
public record Wanted(String words, Filter filter, ZoneId zone, Instant now, boolean newestFirst, int most) {

    /** More are not answered at once. */
    public static final int MOST = 500;

    /** Longer words are cut. */
    public static final int LONGEST = 500;

    /** Bounds both. */
    public Wanted {
        words = words.length() > LONGEST ? words.substring(0, LONGEST) : words;
        most = Math.max(1, Math.min(most, MOST));
    }
}
