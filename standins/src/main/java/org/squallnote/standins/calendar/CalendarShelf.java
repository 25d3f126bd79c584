package org.squallnote.standins.calendar;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The calendars of the server with what is in them. */
public final class CalendarShelf {

    /** What one object says, and which state of it that is. */
    record Entry(String etag, String body) {}

    private record Change(long revision, String name) {}

    /** A calendar. */
    static final class Collection {

        private final String title;
        private final String component;
        private final Map<String, Entry> entries = new TreeMap<>();
        private final List<Change> changes = new ArrayList<>();
        private long firstKnown;

        Collection(String title, String component) {
            this.title = title;
            this.component = component;
        }

        /** What it takes: events or tasks. */
        String component() {
            return component;
        }

        String title() {
            return title;
        }

        Map<String, Entry> entries() {
            return entries;
        }
    }

    private final Map<String, String> passwords = new LinkedHashMap<>();
    private final Map<String, Collection> collections = new LinkedHashMap<>();
    private long revision;

    /** Adds somebody. */
    public synchronized void addUser(String user, String password) {
        passwords.put(user, password);
    }

    /** Adds a calendar; answers its path. */
    public String addCalendar(String user, String name, String title) {
        return add(user, name, new Collection(title, "VEVENT"));
    }

    /** Adds a task list; answers its path. */
    public String addTaskList(String user, String name, String title) {
        return add(user, name, new Collection(title, "VTODO"));
    }

    private synchronized String add(String user, String name, Collection collection) {
        String path = "/calendars/" + user + "/" + name + "/";
        collections.put(path, collection);
        return path;
    }

    /** Takes a calendar away. */
    public synchronized void removeCalendar(String path) {
        collections.remove(path);
    }

    synchronized boolean lets(String user, String password) {
        return password.equals(passwords.get(user));
    }

    synchronized Map<String, Collection> of(String user) {
        Map<String, Collection> own = new LinkedHashMap<>(collections);
        own.keySet().removeIf(path -> !path.startsWith("/calendars/" + user + "/"));
        return own;
    }

    synchronized Optional<Collection> collection(String path) {
        return Optional.ofNullable(collections.get(path));
    }

    /** Puts an object in, or in the place of what it was; answers its entity tag. */
    public synchronized String put(String calendar, String name, String body) {
        Collection collection = get(calendar);
        String etag = "\"" + ++revision + "\"";
        collection.entries.put(name, new Entry(etag, body));
        collection.changes.add(new Change(revision, name));
        return etag;
    }

    /** Takes an object away. */
    public synchronized void delete(String calendar, String name) {
        Collection collection = get(calendar);
        if (collection.entries.remove(name) != null) {
            collection.changes.add(new Change(++revision, name));
        }
    }

    /** Takes everything away at once: nobody who looks meanwhile sees a part of it. */
    public synchronized void empty(String calendar) {
        names(calendar).forEach(name -> delete(calendar, name));
    }

    /** The server no longer knows what happened up to now. */
    public synchronized void forgetChanges(String calendar) {
        get(calendar).firstKnown = revision + 1;
        revision++;
    }

    /** What an object says. */
    public synchronized Optional<String> body(String calendar, String name) {
        return Optional.ofNullable(get(calendar).entries.get(name)).map(Entry::body);
    }

    /** The names of the objects that a calendar holds. */
    public synchronized List<String> names(String calendar) {
        return List.copyOf(get(calendar).entries.keySet());
    }

    /** How many objects a calendar holds. */
    public synchronized int size(String calendar) {
        return get(calendar).entries.size();
    }

    private Collection get(String calendar) {
        return collection(calendar).orElseThrow(() -> new IllegalArgumentException("No calendar " + calendar));
    }

    synchronized String token(Collection collection) {
        long last = collection.changes.isEmpty()
                ? 0
                : collection.changes.get(collection.changes.size() - 1).revision();
        return "urn:squallnote:sync:" + Math.max(last, collection.firstKnown);
    }

    /** The names of what has changed since a token; absent where it is not known any more. */
    synchronized Optional<List<String>> changedSince(Collection collection, String token) {
        if (token.isEmpty()) {
            return Optional.of(List.copyOf(collection.entries.keySet()));
        }
        if (!token.matches("urn:squallnote:sync:\\d{1,18}")) {
            return Optional.empty();
        }
        long since = Long.parseLong(token.substring(token.lastIndexOf(':') + 1));
        if (since < collection.firstKnown) {
            return Optional.empty();
        }
        return Optional.of(collection.changes.stream()
                .filter(change -> change.revision() > since)
                .map(Change::name)
                .distinct()
                .toList());
    }
}
