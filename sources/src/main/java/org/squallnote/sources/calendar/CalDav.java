package org.squallnote.sources.calendar;

import java.net.URI;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.squallnote.formats.calendar.CalendarReader;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Waits;

/** The requests of CalDAV (RFC 4791) that reading calendars and writing events needs. */
final class CalDav {

    private static final String NAMES =
            "xmlns:d=\"DAV:\" xmlns:c=\"urn:ietf:params:xml:ns:caldav\" xmlns:s=\"http://calendarserver.org/ns/\"";
    private static final String XML = "<?xml version=\"1.0\" encoding=\"utf-8\"?>";
    private static final String CALENDARS = propfind(
            "<d:displayname/><d:resourcetype/><d:sync-token/><s:getctag/><c:supported-calendar-component-set/>");

    private static final int LONGEST_HREF = 1_000;

    private final DavClient client;

    CalDav(CalendarAccess access, Reach reach, Waits waits) {
        client = new DavClient(access, reach, waits);
    }

    private static String propfind(String properties) {
        return XML + "<d:propfind " + NAMES + "><d:prop>" + properties + "</d:prop></d:propfind>";
    }

    /** The address as it was entered. */
    URI start() {
        return client.start();
    }

    /**
     * What is at the address itself.
     *
     * @param conditions by which it is answered only when it has changed
     * @return absent where it has not
     */
    Optional<DavClient.Answer> whole(Map<String, String> conditions) throws CalendarProblem {
        Map<String, String> headers = new HashMap<>(conditions);
        headers.put("Accept", "text/calendar, */*;q=0.1");
        DavClient.Answer answer = client.send("GET", client.start(), headers, "");
        return answer.status() == 304 ? Optional.empty() : Optional.of(answer);
    }

    /** The calendar in one piece at the address, absent where there is none: a collection need not be readable by GET. */
    Optional<DavClient.Answer> firstWhole() throws CalendarProblem {
        try {
            return whole(Map.of()).filter(answer -> CalendarReader.isCalendar(answer.body()));
        } catch (CalendarProblem e) {
            if (e.status() == 0 || e.status() == 401) {
                throw e;
            }
            return Optional.empty();
        }
    }

    /**
     * Where an account's calendars are: at the address itself, or where the user's principal leads from there or from the
     * well-known place (RFC 6764 section 5, RFC 5397, RFC 4791 section 6.2.1).
     */
    URI home() throws CalendarProblem {
        URI start = client.start();
        List<URI> places = List.of(start, start.resolve("/.well-known/caldav"), start.resolve("/"));
        CalendarProblem first = null;
        for (URI place : places) {
            try {
                Optional<URI> home = homeFrom(place);
                if (home.isPresent()) {
                    return home.get();
                }
            } catch (CalendarProblem e) {
                if (e.status() == 401) {
                    throw e;
                }
                first = first == null ? e : first;
            }
        }
        throw first == null ? new CalendarProblem("There is no calendar at this address.") : first;
    }

    private Optional<URI> homeFrom(URI place) throws CalendarProblem {
        String wanted = propfind("<d:resourcetype/><d:current-user-principal/><c:calendar-home-set/>");
        Multistatus.Item here = one(place, wanted);
        if (here.has("resourcetype", "calendar")) {
            return Optional.of(place);
        }
        if (!here.text("calendar-home-set").isEmpty()) {
            return Optional.of(place.resolve(here.text("calendar-home-set")));
        }
        String principal = here.text("current-user-principal");
        if (principal.isEmpty()) {
            return Optional.empty();
        }
        URI user = place.resolve(principal);
        String home = one(user, propfind("<c:calendar-home-set/>")).text("calendar-home-set");
        return home.isEmpty() ? Optional.empty() : Optional.of(user.resolve(home));
    }

    private Multistatus.Item one(URI place, String propfind) throws CalendarProblem {
        DavClient.Answer answer = dav("PROPFIND", place, "0", propfind);
        return Multistatus.read(answer.body()).items().stream()
                .findFirst()
                .orElseThrow(() -> new CalendarProblem("There is no calendar at this address."));
    }

    /** The calendars that hold events or tasks, and how each stands. */
    List<FoundCalendar> calendars(URI home) throws CalendarProblem {
        List<FoundCalendar> found = new ArrayList<>();
        Multistatus answer =
                Multistatus.read(dav("PROPFIND", home, "1", CALENDARS).body());
        for (Multistatus.Item item : answer.items()) {
            boolean events = takes(item, "VEVENT");
            boolean tasks = takes(item, "VTODO");
            if (item.has("resourcetype", "calendar")
                    && (events || tasks)
                    && item.href().length() <= LONGEST_HREF) {
                String token = item.text("sync-token");
                String ctag = item.text("getctag");
                found.add(new FoundCalendar(
                        home.resolve(item.href()).toString(),
                        item.text("displayname").isEmpty() ? lastPart(item.href()) : item.text("displayname"),
                        !token.isEmpty() ? "sync:" + token : !ctag.isEmpty() ? "ctag:" + ctag : "",
                        events,
                        tasks));
            }
        }
        return found;
    }

    /** A calendar that does not say what it takes, takes everything (RFC 4791 section 5.2.3). */
    private static boolean takes(Multistatus.Item item, String component) {
        return !item.properties().containsKey("supported-calendar-component-set")
                || item.has("supported-calendar-component-set", component);
    }

    private static String lastPart(String href) {
        String path = href.replaceAll("/+$", "");
        return path.substring(path.lastIndexOf('/') + 1);
    }

    /** What has changed since a token (RFC 6578); fails where the server does not know it any more. */
    Multistatus changesSince(URI calendar, String token) throws CalendarProblem {
        String report = XML + "<d:sync-collection " + NAMES + "><d:sync-token>" + escaped(token)
                + "</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>";
        return Multistatus.read(dav("REPORT", calendar, "0", report).body());
    }

    /** All objects with their states. */
    Multistatus etags(URI calendar) throws CalendarProblem {
        return Multistatus.read(dav("PROPFIND", calendar, "1", propfind("<d:getetag/><d:resourcetype/>"))
                .body());
    }

    /** What some objects say. */
    Multistatus objects(URI calendar, List<String> hrefs) throws CalendarProblem {
        StringBuilder report = new StringBuilder(
                XML + "<c:calendar-multiget " + NAMES + "><d:prop><d:getetag/><c:calendar-data/></d:prop>");
        hrefs.forEach(href -> report.append("<d:href>").append(escaped(href)).append("</d:href>"));
        return Multistatus.read(dav(
                        "REPORT",
                        calendar,
                        "1",
                        report.append("</c:calendar-multiget>").toString())
                .body());
    }

    /** The objects with a UID, and on some servers others too (RFC 4791 section 7.8.6). */
    Multistatus withUid(URI calendar, String component, String uid) throws CalendarProblem {
        String query = XML + "<c:calendar-query " + NAMES + "><d:prop><d:getetag/><c:calendar-data/></d:prop><c:filter>"
                + "<c:comp-filter name=\"VCALENDAR\"><c:comp-filter name=\"" + component
                + "\"><c:prop-filter name=\"UID\">"
                + "<c:text-match collation=\"i;octet\">" + escaped(uid)
                + "</c:text-match></c:prop-filter></c:comp-filter></c:comp-filter></c:filter></c:calendar-query>";
        return Multistatus.read(dav("REPORT", calendar, "1", query).body());
    }

    /** An object at a place; absent where there is none. */
    Optional<DavClient.Answer> object(URI place) throws CalendarProblem {
        try {
            return Optional.of(client.send("GET", place, Map.of("Accept", "text/calendar"), ""));
        } catch (CalendarProblem e) {
            if (e.status() == 404 || e.status() == 410) {
                return Optional.empty();
            }
            throw e;
        }
    }

    /**
     * Puts an object in.
     *
     * @param before the state that it takes the place of; absent where there must be none yet
     * @return its state now, empty where the server does not say
     */
    String put(URI place, String body, Optional<String> before) throws CalendarProblem {
        Map<String, String> headers = new HashMap<>(condition(before));
        headers.put("Content-Type", "text/calendar; charset=utf-8");
        return client.send("PUT", place, headers, body).header("ETag");
    }

    /** Takes an object away in the state that was seen. */
    void delete(URI place, String etag) throws CalendarProblem {
        client.send("DELETE", place, condition(Optional.of(etag)), "");
    }

    private static Map<String, String> condition(Optional<String> before) {
        if (before.isEmpty()) {
            return Map.of("If-None-Match", "*");
        }
        return before.get().isEmpty() ? Map.of() : Map.of("If-Match", before.get());
    }

    private DavClient.Answer dav(String method, URI at, String depth, String body) throws CalendarProblem {
        return client.send(method, at, Map.of("Depth", depth, "Content-Type", "application/xml; charset=utf-8"), body);
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
