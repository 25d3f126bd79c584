package org.squallnote.core.time;

import java.time.LocalDate;
import java.util.Optional;

/** Public holidays of one region. */
@FunctionalInterface
public interface Holidays {

    /** No public holidays at all. */
    Holidays NONE = day -> Optional.empty();

    /** The name of the holiday on that day, absent on other days. */
    Optional<String> on(LocalDate day);
}
