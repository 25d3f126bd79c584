package org.squallnote.server.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.server.calendar.CalendarContents;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.problem.Refusal;

/** Takes in a calendar file (RFC 5545). Another file of the same calendar brings what has changed. */
@Component
class CalendarFile {

    /** No calendar is larger; a file that is gets refused as a whole. */
    private static final int MOST_BYTES = 64 * 1024 * 1024;

    private static final String NAMELESS = "Calendar file";

    private final CalendarContents contents;
    private final OwnerLocks locks;

    CalendarFile(CalendarContents contents, OwnerLocks locks) {
        this.contents = contents;
        this.locks = locks;
    }

    FileImport.Result take(UUID owner, UUID sourceId, InputStream file) throws IOException {
        byte[] bytes = file.readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw Refusal.invalid("This calendar is larger than 64 MB. Nothing was changed.");
        }
        CalendarReader.Result read = CalendarReader.read(bytes);
        if (read.objects().isEmpty() && read.unreadable() > 0) {
            throw Refusal.invalid("No event of this calendar can be read: "
                    + String.join(
                            "; ",
                            read.problems()
                                    .subList(0, Math.min(3, read.problems().size())))
                    + ". Nothing was changed.");
        }
        CalendarContents.Outcome outcome = locks.write(owner, () -> {
            String name = read.name().isBlank() ? NAMELESS : read.name();
            Calendar calendar = contents.calendar(owner, sourceId, name, name);
            return contents.put(calendar, read.objects(), false);
        });
        return new FileImport.Result(
                FileImport.Kind.EVENTS,
                read.objects().size() + read.unreadable(),
                outcome.put(),
                outcome.known(),
                read.unreadable());
    }
}
