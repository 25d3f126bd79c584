package org.squallnote.server.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.core.reading.OwnPlaces;
import org.squallnote.core.reading.OwnWords;
import org.squallnote.core.text.Span;
import org.squallnote.server.message.ReadingView.Mark;
import org.squallnote.server.message.ReadingView.MarkKind;

/**
 * What is marked in a message as it is shown, in the order in which it counts. A date may stand inside an ask; of two
 * things of one kind in a place the first one counts.
 */
final class Marks {

    /** More than anybody reads. A page with thousands would be slow, and so would be comparing each with all. */
    static final int MOST = 500;

    private final Optional<OwnPlaces> places;
    private final List<Mark> marks = new ArrayList<>();

    /** Of a message that holds nothing but what it carries along, the whole text is shown. */
    Marks(OwnWords words) {
        places = words.own().isEmpty() ? Optional.empty() : Optional.of(words.places());
    }

    void add(Span span, MarkKind kind, String why) {
        if (marks.size() < MOST) {
            places.map(shown -> shown.of(span))
                    .orElse(Optional.of(span))
                    .map(place -> new Mark(place.fromInclusive(), place.toExclusive(), kind, why))
                    .filter(mark -> marks.stream().noneMatch(other -> overlaps(mark, other)))
                    .ifPresent(marks::add);
        }
    }

    List<Mark> inOrder() {
        return List.copyOf(marks);
    }

    private static boolean overlaps(Mark one, Mark other) {
        boolean dateInSentence = (one.kind() == MarkKind.DATE) != (other.kind() == MarkKind.DATE);
        return !dateInSentence && one.from() < other.to() && other.from() < one.to();
    }
}
