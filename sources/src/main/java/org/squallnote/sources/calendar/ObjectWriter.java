package org.squallnote.sources.calendar;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Predicate;
import org.squallnote.core.message.Sha256;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.formats.calendar.CalendarTodo;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Waits;

/**
 * Writes events, or tasks, into calendars of an account (RFC 4791 section 5.3.2). What is written is worked out from what is there at
 * that moment, and only put in the place of that: nothing that somebody else has written meanwhile is lost, and the same
 * done twice, as after a kill, leaves one.
 */
public final class ObjectWriter {

    /** So often somebody else may be faster. */
    private static final int MOST_ATTEMPTS = 5;

    private final CalDav server;
    private final Kind kind;

    /** For an account, which may be asked only where it is allowed to. */
    public ObjectWriter(CalendarAccess access, Reach reach, Kind kind) {
        server = new CalDav(access, reach, new Waits());
        this.kind = kind;
    }

    /** What is written. */
    public enum Kind {
        EVENTS("VEVENT") {
            @Override
            boolean isIn(String body, String uid) {
                return CalendarReader.read(body).objects().stream()
                        .anyMatch(event -> event.uid().equals(uid));
            }
        },
        TASKS("VTODO") {
            @Override
            boolean isIn(String body, String uid) {
                return CalendarTodo.uidOf(body).equals(uid);
            }
        };

        private final String component;

        Kind(String component) {
            this.component = component;
        }

        abstract boolean isIn(String body, String uid);
    }

    /** What it is to become. */
    @FunctionalInterface
    public interface Change {

        /**
         * It as it shall be.
         *
         * @param now what the calendar says of it, absent where it says nothing
         * @return absent where nothing is to be changed
         */
        Optional<String> of(Optional<Written> now);
    }

    /**
     * An event or a task as it stands on the server.
     *
     * @param etag empty where the server does not say; then it is read again
     */
    public record Written(String href, String etag, String body) {}

    /**
     * Writes one, found by its UID wherever it lies in the calendar.
     *
     * @return absent where nothing had to be changed
     * @throws CalendarProblem when it could not be written; the calendar is as it was then, or as it shall be
     */
    public Optional<Written> put(URI calendar, String uid, Change change) throws CalendarProblem {
        CalendarProblem last = new CalendarProblem("Somebody else changes this all the time.");
        for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
            Optional<Written> now = find(calendar, uid);
            Optional<String> body = change.of(now);
            if (body.isEmpty()) {
                return Optional.empty();
            }
            URI place = calendar.resolve(now.map(Written::href).orElseGet(() -> name(uid)));
            try {
                String etag = server.put(place, body.get(), now.map(Written::etag));
                return Optional.of(new Written(place.getRawPath(), etag, body.get()));
            } catch (CalendarProblem e) {
                if (!e.isOvertaken()) {
                    throw e;
                }
                last = e;
            }
        }
        throw last;
    }

    /**
     * Takes one away, where it is still as it is to be taken away; one that is not there is gone already.
     *
     * @return where it was
     */
    public Optional<String> remove(URI calendar, String uid, Predicate<Written> still) throws CalendarProblem {
        CalendarProblem last = new CalendarProblem("Somebody else changes this all the time.");
        for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
            Optional<Written> now = find(calendar, uid);
            if (now.filter(still).isEmpty()) {
                return Optional.empty();
            }
            try {
                server.delete(calendar.resolve(now.get().href()), now.get().etag());
                return now.map(Written::href);
            } catch (CalendarProblem e) {
                if (!e.isOvertaken()) {
                    throw e;
                }
                last = e;
            }
        }
        throw last;
    }

    private Optional<Written> find(URI calendar, String uid) throws CalendarProblem {
        Optional<Written> found = Optional.empty();
        try {
            found = server.withUid(calendar, kind.component, uid).items().stream()
                    .filter(item -> !item.isGone() && kind.isIn(item.text("calendar-data"), uid))
                    .map(item -> new Written(item.href(), item.text("getetag"), item.text("calendar-data")))
                    .findFirst();
        } catch (CalendarProblem e) {
            // A server that makes no such query still answers for the one place where this would have put it.
            if (!e.isRefusal() && e.status() != 501) {
                throw e;
            }
        }
        if (found.isPresent()) {
            return found;
        }
        URI place = calendar.resolve(name(uid));
        return server.object(place)
                .filter(answer -> kind.isIn(answer.text(), uid))
                .map(answer -> new Written(place.getRawPath(), answer.header("ETag"), answer.text()));
    }

    /** The same each time, so that it is never put in twice. */
    private static String name(String uid) {
        return "squallnote-" + Sha256.of(uid.getBytes(StandardCharsets.UTF_8)).substring(0, 40) + ".ics";
    }
}
