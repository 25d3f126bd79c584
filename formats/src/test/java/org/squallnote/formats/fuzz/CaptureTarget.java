package org.squallnote.formats.fuzz;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.squallnote.core.dates.DateContext;
import org.squallnote.core.dates.TypedDate;
import org.squallnote.core.time.WorkingTime;

/** Any text, as a date or a line that somebody types. */
public final class CaptureTarget {

    private static final DateContext NOW = new DateContext(
            LocalDateTime.of(2026, 3, 4, 10, 40), WorkingTime.officeHours(ZoneId.of("Europe/London")), false);

    private CaptureTarget() {}

    /** What the fuzzer calls. */
    public static void fuzzerTestOneInput(byte[] data) {
        String typed = new String(data, StandardCharsets.UTF_8);
        TypedDate.read(typed, NOW);
        Targets.capture(typed, NOW);
    }
}
