package org.squallnote.standins.calendar;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The requests that the calendar server understands: what RFC 4791, RFC 6578 and RFC 6764 ask of one to be read and written. */
final class DavRequests implements HttpHandler {

    private static final int LARGEST = 4 * 1024 * 1024;
    private static final Pattern HREF = Pattern.compile("<(?:\\w+:)?href[^>]*>([^<]*)</");
    private static final Pattern TOKEN = Pattern.compile("<(?:\\w+:)?sync-token[^>]*>([^<]*)</");

    private final CalendarShelf shelf;

    DavRequests(CalendarShelf shelf) {
        this.shelf = shelf;
    }

    @Override
    public void handle(HttpExchange exchange) throws IOException {
        try (exchange) {
            String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("DAV", "1, 3, calendar-access, sync-collection");
            if (exchange.getRequestMethod().equals("OPTIONS")) {
                exchange.getResponseHeaders().set("Allow", "OPTIONS, GET, PUT, DELETE, PROPFIND, REPORT");
                answer(exchange, 200, "", "");
                return;
            }
            Optional<String> user = user(exchange);
            if (user.isEmpty()) {
                exchange.getResponseHeaders().set("WWW-Authenticate", "Basic realm=\"calendars\"");
                answer(exchange, 401, "text/plain", "Who are you?");
                return;
            }
            respond(exchange, user.get(), body);
        }
    }

    private Optional<String> user(HttpExchange exchange) {
        String header = Optional.ofNullable(exchange.getRequestHeaders().getFirst("Authorization"))
                .orElse("");
        if (!header.startsWith("Basic ")) {
            return Optional.empty();
        }
        String both = new String(Base64.getDecoder().decode(header.substring(6)), StandardCharsets.UTF_8);
        int colon = both.indexOf(':');
        return colon > 0 && shelf.lets(both.substring(0, colon), both.substring(colon + 1))
                ? Optional.of(both.substring(0, colon))
                : Optional.empty();
    }

    private void respond(HttpExchange exchange, String user, String body) throws IOException {
        String path = exchange.getRequestURI().getPath();
        if (path.equals("/.well-known/caldav")) {
            exchange.getResponseHeaders().set("Location", "/");
            answer(exchange, 301, "", "");
            return;
        }
        String parent = path.substring(0, path.lastIndexOf('/') + 1);
        boolean mine = !path.startsWith("/calendars/") || path.startsWith("/calendars/" + user + "/");
        if (!mine) {
            answer(exchange, 403, "text/plain", "Not yours.");
            return;
        }
        switch (exchange.getRequestMethod()) {
            case "PROPFIND" -> propfind(exchange, user, path);
            case "REPORT" -> report(exchange, path, body);
            case "GET" -> get(exchange, parent, path);
            case "PUT" -> put(exchange, parent, path, body);
            case "DELETE" -> delete(exchange, parent, path);
            default -> answer(exchange, 405, "text/plain", "Not understood.");
        }
    }

    private void propfind(HttpExchange exchange, String user, String path) throws IOException {
        boolean deep = "1".equals(exchange.getRequestHeaders().getFirst("Depth"));
        List<String> items = new ArrayList<>();
        String home = "/calendars/" + user + "/";
        Optional<CalendarShelf.Collection> collection = shelf.collection(path);
        if (collection.isPresent()) {
            items.add(calendar(path, collection.get()));
            if (deep) {
                synchronized (shelf) {
                    collection
                            .get()
                            .entries()
                            .forEach((name, entry) -> items.add(item(
                                    path + name,
                                    "<d:getetag>" + escaped(entry.etag()) + "</d:getetag><d:resourcetype/>")));
                }
            }
        } else if (path.equals(home)) {
            items.add(item(path, "<d:resourcetype><d:collection/></d:resourcetype>"));
            if (deep) {
                shelf.of(user).forEach((at, each) -> items.add(calendar(at, each)));
            }
        } else if (path.equals("/") || path.equals("/principals/" + user + "/")) {
            items.add(item(
                    path,
                    "<d:resourcetype><d:collection/></d:resourcetype><d:current-user-principal><d:href>/principals/"
                            + user
                            + "/</d:href></d:current-user-principal>"
                            + (path.equals("/")
                                    ? ""
                                    : "<c:calendar-home-set><d:href>" + home + "</d:href></c:calendar-home-set>")));
        } else {
            answer(exchange, 404, "text/plain", "Not there.");
            return;
        }
        multistatus(exchange, items, "");
    }

    private String calendar(String path, CalendarShelf.Collection collection) {
        String token = shelf.token(collection);
        return item(
                path,
                "<d:displayname>" + escaped(collection.title())
                        + "</d:displayname><d:resourcetype><d:collection/><c:calendar/></d:resourcetype>"
                        + "<c:supported-calendar-component-set><c:comp name=\"" + collection.component()
                        + "\"/></c:supported-calendar-component-set>"
                        + "<d:sync-token>" + token + "</d:sync-token><s:getctag>" + token + "</s:getctag>");
    }

    private void report(HttpExchange exchange, String path, String body) throws IOException {
        Optional<CalendarShelf.Collection> collection = shelf.collection(path);
        if (collection.isEmpty()) {
            answer(exchange, 404, "text/plain", "Not there.");
        } else if (body.contains("sync-collection")) {
            sync(exchange, path, collection.get(), body);
        } else if (body.contains("calendar-multiget") || body.contains("calendar-query")) {
            List<String> items = new ArrayList<>();
            for (String href : body.contains("calendar-query") ? all(path, collection.get()) : hrefs(body)) {
                items.add(object(path, collection.get(), URI.create(href).getPath()));
            }
            multistatus(exchange, items, "");
        } else {
            answer(exchange, 403, "text/plain", "This report is not made.");
        }
    }

    private void sync(HttpExchange exchange, String path, CalendarShelf.Collection collection, String body)
            throws IOException {
        Matcher token = TOKEN.matcher(body);
        Optional<List<String>> changed = shelf.changedSince(collection, token.find() ? token.group(1) : "");
        if (changed.isEmpty()) {
            answer(exchange, 403, "application/xml", "<d:error xmlns:d=\"DAV:\"><d:valid-sync-token/></d:error>");
            return;
        }
        List<String> items = new ArrayList<>();
        synchronized (shelf) {
            for (String name : changed.get()) {
                CalendarShelf.Entry entry = collection.entries().get(name);
                items.add(
                        entry == null
                                ? gone(path + name)
                                : item(path + name, "<d:getetag>" + escaped(entry.etag()) + "</d:getetag>"));
            }
        }
        multistatus(exchange, items, "<d:sync-token>" + shelf.token(collection) + "</d:sync-token>");
    }

    private List<String> all(String path, CalendarShelf.Collection collection) {
        synchronized (shelf) {
            return collection.entries().keySet().stream()
                    .map(name -> path + name)
                    .toList();
        }
    }

    private static List<String> hrefs(String body) {
        return HREF.matcher(body).results().map(found -> found.group(1)).toList();
    }

    private String object(String path, CalendarShelf.Collection collection, String href) {
        synchronized (shelf) {
            CalendarShelf.Entry entry =
                    href.startsWith(path) ? collection.entries().get(href.substring(path.length())) : null;
            return entry == null
                    ? gone(href)
                    : item(
                            href,
                            "<d:getetag>" + escaped(entry.etag()) + "</d:getetag><c:calendar-data>"
                                    + escaped(entry.body()) + "</c:calendar-data>");
        }
    }

    private void get(HttpExchange exchange, String parent, String path) throws IOException {
        Optional<CalendarShelf.Entry> entry = entry(parent, path);
        if (entry.isEmpty()) {
            answer(exchange, shelf.collection(path).isPresent() ? 405 : 404, "text/plain", "Not there.");
        } else {
            exchange.getResponseHeaders().set("ETag", entry.get().etag());
            answer(exchange, 200, "text/calendar; charset=utf-8", entry.get().body());
        }
    }

    private Optional<CalendarShelf.Entry> entry(String parent, String path) {
        synchronized (shelf) {
            return shelf.collection(parent)
                    .map(collection -> collection.entries().get(path.substring(parent.length())));
        }
    }

    private void put(HttpExchange exchange, String parent, String path, String body) throws IOException {
        if (shelf.collection(parent).isEmpty()) {
            answer(exchange, 409, "text/plain", "There is no such calendar.");
            return;
        }
        synchronized (shelf) {
            Optional<String> before = entry(parent, path).map(CalendarShelf.Entry::etag);
            if (!allowed(exchange, before)) {
                answer(exchange, 412, "text/plain", "It is another one by now.");
                return;
            }
            String name = URLDecoder.decode(path.substring(parent.length()), StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("ETag", shelf.put(parent, name, body));
            answer(exchange, before.isPresent() ? 204 : 201, "", "");
        }
    }

    private void delete(HttpExchange exchange, String parent, String path) throws IOException {
        synchronized (shelf) {
            Optional<String> before = entry(parent, path).map(CalendarShelf.Entry::etag);
            if (before.isEmpty()) {
                answer(exchange, 404, "text/plain", "Not there.");
            } else if (!allowed(exchange, before)) {
                answer(exchange, 412, "text/plain", "It is another one by now.");
            } else {
                shelf.delete(parent, path.substring(parent.length()));
                answer(exchange, 204, "", "");
            }
        }
    }

    /** Whether a change is made of the state that it was meant for (RFC 9110 section 13.1). */
    private static boolean allowed(HttpExchange exchange, Optional<String> etag) {
        String wanted = exchange.getRequestHeaders().getFirst("If-Match");
        boolean fresh = "*".equals(exchange.getRequestHeaders().getFirst("If-None-Match"));
        return (wanted == null || etag.filter(wanted::equals).isPresent()) && !(fresh && etag.isPresent());
    }

    private static String item(String href, String properties) {
        return "<d:response><d:href>" + escaped(href) + "</d:href><d:propstat><d:prop>" + properties
                + "</d:prop><d:status>HTTP/1.1 200 OK</d:status></d:propstat></d:response>";
    }

    private static String gone(String href) {
        return "<d:response><d:href>" + escaped(href)
                + "</d:href><d:status>HTTP/1.1 404 Not Found</d:status></d:response>";
    }

    private static void multistatus(HttpExchange exchange, List<String> items, String more) throws IOException {
        answer(
                exchange,
                207,
                "application/xml; charset=utf-8",
                "<?xml version=\"1.0\" encoding=\"utf-8\"?><d:multistatus xmlns:d=\"DAV:\""
                        + " xmlns:c=\"urn:ietf:params:xml:ns:caldav\" xmlns:s=\"http://calendarserver.org/ns/\">"
                        + String.join("", items) + more + "</d:multistatus>");
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static void answer(HttpExchange exchange, int status, String type, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        if (!type.isEmpty()) {
            exchange.getResponseHeaders().set("Content-Type", type);
        }
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        if (bytes.length > 0) {
            exchange.getResponseBody().write(bytes);
        }
    }
}
