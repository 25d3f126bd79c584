package org.squallnote.server.todo;

import java.time.Clock;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.StoredObject;
import org.squallnote.core.category.Category;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.todo.Merged;
import org.squallnote.core.todo.Todo;
import org.squallnote.core.todo.TodoLink;
import org.squallnote.core.todo.TodoStep;
import org.squallnote.formats.calendar.CalendarTodo;
import org.squallnote.server.command.Commands;
import org.squallnote.server.followup.FollowUps;
import org.squallnote.server.outbox.Outbox;
import org.squallnote.server.outbox.Payloads;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.calendar.CalendarStore;
import org.squallnote.store.category.CategoryStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.todo.TodoStore;

/** Compares follow-ups with their tasks, and lets both say the same. */
@Component
class TaskComparison {

    /** More at once are not told of one by one. */
    private static final int TOLD_SINGLY = 3;

    private final TodoStore todos;
    private final CalendarStore calendars;
    private final FollowUpStore store;
    private final CategoryStore categories;
    private final FollowUps followUps;
    private final WorkingTimes workingTimes;
    private final Commands commands;
    private final Outbox outbox;
    private final UuidV7 ids;
    private final Clock clock;

    TaskComparison(
            TodoStore todos,
            CalendarStore calendars,
            FollowUpStore store,
            CategoryStore categories,
            FollowUps followUps,
            WorkingTimes workingTimes,
            Commands commands,
            Outbox outbox,
            UuidV7 ids,
            Clock clock) {
        this.todos = todos;
        this.calendars = calendars;
        this.store = store;
        this.categories = categories;
        this.followUps = followUps;
        this.workingTimes = workingTimes;
        this.commands = commands;
        this.outbox = outbox;
        this.ids = ids;
        this.clock = clock;
    }

    /** Sees to some tasks, within a transaction. */
    void settle(Calendar list, List<String> uids) {
        Comparing comparing = new Comparing(list);
        uids.forEach(comparing::look);
        comparing.finish();
    }

    /** Both sides of one task. */
    private record Pair(
            String uid,
            Optional<TodoLink> link,
            Optional<FollowUp> followUp,
            Optional<StoredObject> object,
            Optional<CalendarTodo> task) {

        Optional<Todo> theirs() {
            return task.map(CalendarTodo::todo);
        }

        String seen() {
            return object.map(StoredObject::etag).orElse("");
        }

        int version() {
            return followUp.map(FollowUp::version)
                    .or(() -> link.map(TodoLink::version))
                    .orElse(0);
        }
    }

    private final class Comparing {

        private final Calendar list;
        private final UUID owner;
        private final ZoneId zone;
        private final List<Category> known;
        private final List<Pair> fresh = new ArrayList<>();
        private final List<Pair> gone = new ArrayList<>();
        private int told;

        Comparing(Calendar list) {
            this.list = list;
            this.owner = list.owner();
            this.zone = workingTimes.of(owner).zone();
            this.known = categories.of(owner);
        }

        void look(String uid) {
            Pair pair = pair(uid);
            if (pair.object().isPresent()
                    && pair.task().filter(task -> !task.repeats()).isEmpty()) {
                // What comes back by itself there is left to whoever made it.
                leave(pair);
                return;
            }
            Optional<Todo> mine = pair.followUp().map(this::said);
            switch (TodoStep.of(pair.link(), mine, pair.theirs())) {
                case MERGE -> merge(pair, mine.orElseThrow(), pair.theirs().orElseThrow());
                case WRITE -> write(pair, mine.orElseThrow());
                case REMOVE -> {
                    send(pair.uid(), pair.theirs().orElse(null), null);
                    leave(pair);
                }
                case DROP -> gone.add(pair);
                case TAKE_IN -> fresh.add(pair);
                case LEAVE -> leave(pair);
                case PART -> todos.delete(owner, uid);
            }
        }

        private Pair pair(String uid) {
            Optional<TodoLink> link = todos.byUid(owner, uid).map(this::here);
            Optional<FollowUp> followUp = link.map(it -> Optional.ofNullable(it.followUpId()))
                    .orElseGet(() -> Todo.followUpOf(uid))
                    .flatMap(id -> store.byId(owner, id));
            Optional<StoredObject> object =
                    calendars.withUid(owner, list.id(), uid).stream().findFirst();
            Optional<CalendarTodo> task = object.flatMap(it -> CalendarTodo.read(it.body(), zone, names(link)));
            return new Pair(uid, link, followUp, object, task);
        }

        /** What stood in another list leaves that one, where it was made here. */
        private TodoLink here(TodoLink link) {
            if (link.calendarId().equals(list.id())) {
                return link;
            }
            if (link.isOwn() && link.wasThere()) {
                calendars
                        .byId(owner, link.calendarId())
                        .ifPresent(before -> outbox.addTask(
                                owner,
                                before.sourceId(),
                                new Payloads.Task(before.id(), link.uid(), link.base(), null)));
            }
            TodoLink moved = link.movedTo(list.id());
            todos.update(moved);
            return moved;
        }

        /** The names of the categories, and that which a renamed one had. */
        private Collection<String> names(Optional<TodoLink> link) {
            Set<String> names = known.stream().map(Category::name).collect(Collectors.toCollection(HashSet::new));
            link.flatMap(TodoLink::agreed).map(Todo::category).ifPresent(names::add);
            names.remove("");
            return names;
        }

        private Todo said(FollowUp followUp) {
            String category = known.stream()
                    .filter(each -> each.id().equals(followUp.categoryId()))
                    .map(Category::name)
                    .findFirst()
                    .orElse("");
            return Todo.of(followUp, category, zone);
        }

        private @Nullable UUID category(Todo todo) {
            return known.stream()
                    .filter(each -> each.name().equals(todo.category()))
                    .map(Category::id)
                    .findFirst()
                    .orElse(null);
        }

        private void merge(Pair pair, Todo mine, Todo theirs) {
            FollowUp followUp = pair.followUp().orElseThrow();
            Merged merged = Merged.of(pair.link().flatMap(TodoLink::agreed), mine, theirs, list.name(), zone);
            if (!merged.todo().equals(mine)) {
                changeHere(followUp, mine, merged.todo());
            }
            if (!merged.todo().equals(theirs)) {
                send(pair.uid(), theirs, merged.todo());
            }
            // That it was taken back may still be on its way there; then it is written again.
            boolean left = pair.link().filter(TodoLink::isLeft).isPresent();
            save(pair, followUp.id(), left ? null : theirs, pair.seen());
        }

        private void changeHere(FollowUp followUp, Todo mine, Todo merged) {
            commands.runWithin(owner, "task-list", changes -> {
                String beside = followUps.changeWithin(
                        owner,
                        followUp.id(),
                        each -> merged.onto(each, mine, zone, category(merged), clock.instant()),
                        changes);
                changes.label(verb(mine, merged) + merged.title() + beside);
                if (++told <= TOLD_SINGLY) {
                    changes.announce();
                }
            });
        }

        private String verb(Todo mine, Todo merged) {
            if (mine.state() == merged.state()) {
                return "Changed in " + list.name() + ": ";
            }
            return switch (merged.state()) {
                case OPEN -> "Open again in " + list.name() + ": ";
                case DONE -> "Done in " + list.name() + ": ";
                case DROPPED -> "Called off in " + list.name() + ": ";
            };
        }

        private void write(Pair pair, Todo mine) {
            send(pair.uid(), null, mine);
            // As long as it is not there, nobody has agreed on anything.
            UUID id = pair.followUp().map(FollowUp::id).orElse(null);
            save(pair, id, pair.link().flatMap(TodoLink::agreed).orElse(null), "");
        }

        private void leave(Pair pair) {
            UUID followUpId = pair.link().map(TodoLink::followUpId).orElse(null);
            Todo base = pair.link().flatMap(TodoLink::agreed).orElse(null);
            boolean takenBack = followUpId != null && pair.followUp().isEmpty();
            save(
                    pair.link(),
                    new TodoLink(
                            owner,
                            list.id(),
                            pair.uid(),
                            followUpId,
                            base,
                            takenBack ? TodoLink.LEFT : pair.version(),
                            pair.seen()));
        }

        private void save(Pair pair, @Nullable UUID followUpId, @Nullable Todo base, String seen) {
            int version = Optional.ofNullable(followUpId)
                    .flatMap(id -> store.byId(owner, id))
                    .map(FollowUp::version)
                    .orElse(0);
            save(pair.link(), new TodoLink(owner, list.id(), pair.uid(), followUpId, base, version, seen));
        }

        private void save(Optional<TodoLink> before, TodoLink link) {
            if (before.isPresent()) {
                todos.update(link);
            } else {
                todos.insert(link);
            }
        }

        private void send(String uid, @Nullable Todo expects, @Nullable Todo become) {
            outbox.addTask(owner, list.sourceId(), new Payloads.Task(list.id(), uid, expects, become));
        }

        /** Sees to what is told of together. */
        void finish() {
            takeIn();
            if (gone.isEmpty()) {
                return;
            }
            int left = calendars.states(owner, list.id()).size();
            if (TodoStep.isMishap(gone.size(), left)) {
                gone.forEach(pair -> write(pair, said(pair.followUp().orElseThrow())));
                commands.runWithin(
                        owner,
                        "task-list",
                        changes -> changes.label(gone.size()
                                        + " tasks were gone from " + list.name()
                                        + " at once: they are put there again, nothing was"
                                        + " dropped")
                                .announce());
                return;
            }
            gone.forEach(this::drop);
        }

        private void takeIn() {
            if (fresh.isEmpty()) {
                return;
            }
            commands.runWithin(owner, "task-list", changes -> {
                for (Pair pair : fresh) {
                    Todo theirs = pair.theirs().orElseThrow();
                    UUID id = ids.next();
                    followUps.takenIn(owner, id, theirs.asContent(zone, category(theirs)), "", changes);
                    save(pair, id, theirs, pair.seen());
                }
                changes.label(
                                fresh.size() == 1
                                        ? "From " + list.name() + ": "
                                                + fresh.get(0)
                                                        .theirs()
                                                        .orElseThrow()
                                                        .title()
                                        : "From " + list.name() + ": " + fresh.size() + " follow-ups")
                        .announce();
            });
        }

        private void drop(Pair pair) {
            FollowUp followUp = pair.followUp().orElseThrow();
            todos.delete(owner, pair.uid());
            commands.runWithin(owner, "task-list", changes -> {
                String beside = followUps.changeWithin(
                        owner, followUp.id(), each -> each.ended(FollowUpState.DROPPED, clock.instant()), changes);
                changes.label("Dropped, since it was taken out of " + list.name() + ": " + followUp.title() + beside);
                if (++told <= TOLD_SINGLY) {
                    changes.announce();
                }
            });
        }
    }
}
