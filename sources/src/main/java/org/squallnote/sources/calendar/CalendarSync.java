package org.squallnote.sources.calendar;

import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.sources.Backoff;
import org.squallnote.sources.Ending;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Reason;
import org.squallnote.sources.SyncStatus;
import org.squallnote.sources.Waits;

/**
 * Keeps the calendars of an address in step. It may end at any instruction: a calendar counts as read only with what was
 * read of it. When nothing comes, what was there last stays.
 */
public final class CalendarSync implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(CalendarSync.class);

    /** So many objects are asked for at once. */
    private static final int BATCH = 50;

    /** By this name a calendar in one piece is known: its address may be a secret. */
    private static final String WHOLE = "whole";

    private static final String ETAG = "etag:";
    private static final String DATE = "date:";

    /** A calendar in one piece is asked for so many times more seldom than an account. */
    private static final int SELDOMER = 10;

    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final CalendarAccess access;
    private final Reach reach;
    private final Duration every;
    private final CalendarJournal journal;
    private final SyncStatus status;
    private final Waits waits = new Waits();
    private @Nullable CalDav client;
    private @Nullable URI home;
    private volatile @Nullable Thread thread;

    /** @param every how long to wait between two looks at an account; a calendar in one piece is looked at less often */
    public CalendarSync(
            CalendarAccess access, Reach reach, Duration every, CalendarJournal journal, SyncStatus status) {
        this.access = access;
        this.reach = reach;
        this.every = every;
        this.journal = journal;
        this.status = status;
    }

    /** Starts in the background. */
    public void start() {
        Thread worker = new Thread(this::run, "calendar-sync");
        worker.setDaemon(true);
        thread = worker;
        worker.start();
    }

    @Override
    public void close() {
        waits.stop();
        Thread worker = thread;
        if (worker != null) {
            Ending.await(List.of(worker), PATIENCE);
        }
    }

    /** Whether the thread is over. */
    boolean hasEnded() {
        Thread worker = thread;
        return worker == null || !worker.isAlive();
    }

    private void run() {
        Backoff backoff = new Backoff();
        boolean live = false;
        while (!waits.isStopped()) {
            Duration wait = every;
            try {
                look();
                backoff.reset();
                wait = home == null ? every.multipliedBy(SELDOMER) : every;
                if (!live) {
                    status.live();
                    live = true;
                }
            } catch (CalendarProblem e) {
                live = false;
                if (!waits.isStopped()) {
                    status.trouble(e.getMessage() + " What was read last stays.");
                }
                wait = e.retryAfter().orElseGet(backoff::next);
            } catch (RuntimeException e) {
                live = false;
                LOG.warn("Reading calendars failed", e);
                status.trouble("Something went wrong here: " + Reason.of(e));
                wait = backoff.next();
            }
            waits.pause(wait);
        }
    }

    /** Looks once at everything. */
    void look() throws CalendarProblem {
        CalDav dav = client;
        if (dav == null) {
            dav = new CalDav(access, reach, waits);
            client = dav;
        }
        if (home == null && lookAtWhole(dav)) {
            return;
        }
        if (home == null) {
            home = dav.home();
        }
        lookAtAccount(dav, home);
    }

    /** Whether there is a calendar in one piece at the address. */
    private boolean lookAtWhole(CalDav dav) throws CalendarProblem {
        String state = journal.state(WHOLE);
        Optional<DavClient.Answer> answer = state.isEmpty() ? dav.firstWhole() : dav.whole(conditions(state));
        if (answer.isEmpty()) {
            if (!state.isEmpty()) {
                journal.unchanged(WHOLE);
            }
            return !state.isEmpty();
        }
        if (!CalendarReader.isCalendar(answer.get().body())) {
            throw new CalendarProblem(dav.start().getHost() + " answers with something that is no calendar.");
        }
        String etag = answer.get().header("ETag");
        String date = answer.get().header("Last-Modified");
        journal.replace(
                WHOLE,
                dav.start().getHost(),
                answer.get().body(),
                !etag.isEmpty() ? ETAG + etag : !date.isEmpty() ? DATE + date : "whole");
        return true;
    }

    private static Map<String, String> conditions(String state) {
        if (state.startsWith(ETAG)) {
            return Map.of("If-None-Match", state.substring(ETAG.length()));
        }
        return state.startsWith(DATE) ? Map.of("If-Modified-Since", state.substring(DATE.length())) : Map.of();
    }

    private void lookAtAccount(CalDav dav, URI place) throws CalendarProblem {
        List<FoundCalendar> calendars = dav.calendars(place);
        if (calendars.isEmpty()) {
            throw new CalendarProblem("This account has no calendar that could be read.");
        }
        journal.calendars(calendars);
        int done = 0;
        for (FoundCalendar calendar : calendars) {
            String known = journal.state(calendar.href());
            if (waits.isStopped()) {
                return;
            }
            if (!known.isEmpty() && known.equals(calendar.state())) {
                journal.unchanged(calendar.href());
            } else {
                if (known.isEmpty()) {
                    status.reading(done, calendars.size());
                }
                read(dav, calendar, known);
            }
            done++;
        }
    }

    private void read(CalDav dav, FoundCalendar calendar, String known) throws CalendarProblem {
        URI at = URI.create(calendar.href());
        Map<String, String> etags = journal.etags(calendar.href());
        List<String> changed = new ArrayList<>();
        List<String> gone = new ArrayList<>();
        String state = calendar.state();
        if (known.startsWith("sync:") && state.startsWith("sync:")) {
            try {
                state = "sync:" + changesSince(dav, at, known.substring("sync:".length()), etags, changed, gone);
            } catch (CalendarProblem e) {
                if (e.status() == 0 || e.status() == 401 || e.status() >= 500) {
                    throw e;
                }
                // The server does not know the token any more: everything is compared.
                changed.clear();
                gone.clear();
                compare(dav, at, etags, changed, gone);
            }
        } else {
            compare(dav, at, etags, changed, gone);
        }
        fetch(dav, at, calendar.href(), changed, gone, state);
    }

    private static String changesSince(
            CalDav dav, URI at, String since, Map<String, String> etags, List<String> changed, List<String> gone)
            throws CalendarProblem {
        String token = since;
        for (int page = 0; page < 1_000; page++) {
            Multistatus answer = dav.changesSince(at, token);
            boolean more = false;
            for (Multistatus.Item item : answer.items()) {
                if (item.status() == 507) {
                    more = true;
                } else if (item.isGone()) {
                    gone.add(item.href());
                } else if (!isItself(at, item.href()) && isNew(etags, item)) {
                    changed.add(item.href());
                }
            }
            if (answer.syncToken().isEmpty()) {
                throw new CalendarProblem(at.getHost() + " answers without saying how far.");
            }
            token = answer.syncToken();
            if (!more) {
                break;
            }
        }
        return token;
    }

    private static void compare(CalDav dav, URI at, Map<String, String> etags, List<String> changed, List<String> gone)
            throws CalendarProblem {
        Map<String, String> left = new HashMap<>(etags);
        for (Multistatus.Item item : dav.etags(at).items()) {
            left.remove(item.href());
            if (!item.has("resourcetype", "collection") && !isItself(at, item.href()) && isNew(etags, item)) {
                changed.add(item.href());
            }
        }
        gone.addAll(left.keySet());
    }

    private static boolean isItself(URI at, String href) {
        return at.resolve(href)
                .getPath()
                .replaceAll("/+$", "")
                .equals(at.getPath().replaceAll("/+$", ""));
    }

    private static boolean isNew(Map<String, String> etags, Multistatus.Item item) {
        String etag = item.text("getetag");
        return etag.isEmpty() || !etag.equals(etags.get(item.href()));
    }

    /** Only with the last batch the calendar counts as read. */
    private void fetch(CalDav dav, URI at, String href, List<String> changed, List<String> gone, String state)
            throws CalendarProblem {
        for (int from = 0; from < changed.size(); from += BATCH) {
            List<String> some = changed.subList(from, Math.min(changed.size(), from + BATCH));
            List<CalendarJournal.Changed> fetched = new ArrayList<>();
            for (Multistatus.Item item : dav.objects(at, some).items()) {
                String body = item.text("calendar-data");
                if (item.isGone()) {
                    gone.add(item.href());
                } else if (!body.isEmpty()) {
                    fetched.add(new CalendarJournal.Changed(item.href(), item.text("getetag"), body));
                }
            }
            if (waits.isStopped()) {
                return;
            }
            journal.save(href, fetched, List.of(), "");
        }
        journal.save(href, List.of(), gone, state.isEmpty() ? "seen" : state);
    }
}
