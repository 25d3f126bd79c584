package org.squallnote.server.category;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.StaleVersionException;
import org.squallnote.core.category.Category;
import org.squallnote.core.category.Hue;
import org.squallnote.core.category.Monogram;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.Restorer;
import org.squallnote.server.followup.Recategorising;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.category.CategoryStore;
import tools.jackson.databind.json.JsonMapper;

/** Adds, changes, orders, merges and retires categories. */
@Component
public class Categories implements Restorer {

    static final int LONGEST_NAME = 60;

    private static final int MOST = 60;

    private final CategoryStore store;
    private final Recategorising recategorising;
    private final Commands commands;
    private final Clock clock;
    private final JsonMapper json;

    Categories(CategoryStore store, Recategorising recategorising, Commands commands, Clock clock, JsonMapper json) {
        this.store = store;
        this.recategorising = recategorising;
        this.commands = commands;
        this.clock = clock;
        this.json = json;
    }

    /** A category as it stands in the history. */
    record State(
            String name,
            Hue hue,
            String monogram,
            @Nullable String letter,
            int place,
            @Nullable Integer replyDays,
            @Nullable Integer effortMinutes,
            @Nullable Instant retiredAt) {

        static State of(Category c) {
            return new State(
                    c.name(),
                    c.hue(),
                    c.monogram(),
                    c.letter(),
                    c.place(),
                    c.replyDays(),
                    c.effortMinutes(),
                    c.retiredAt());
        }

        Category toRow(UUID id, UUID owner, int version) {
            return new Category(
                    id, owner, name, hue, monogram, letter, place, replyDays, effortMinutes, retiredAt, version);
        }
    }

    /** What the user says about a category. */
    record Content(
            String name,
            Hue hue,
            @Nullable String letter,
            @Nullable Integer replyDays,
            @Nullable Integer effortMinutes) {}

    List<Category> all(SignedIn me) {
        return store.of(me.accountId());
    }

    Done add(SignedIn me, UUID commandId, UUID id, Content content) {
        return commands.run(me, commandId, "category-added", changes -> {
            add(me, id, content, changes);
            changes.label("Added category " + content.name());
        });
    }

    /** Makes one of a name in the hue that fewest have, as part of a command. */
    public void addWithin(SignedIn me, UUID id, String name, Changes changes) {
        if (name.length() > LONGEST_NAME) {
            throw Refusal.invalid("The name of a category has at most " + LONGEST_NAME
                    + " characters: choose one that there is" + " for “" + name + "”. Nothing was changed.");
        }
        Hue hue = Hue.leastOf(all(me).stream().map(Category::hue).toList());
        add(me, id, new Content(name, hue, null, null, null), changes);
    }

    private void add(SignedIn me, UUID id, Content content, Changes changes) {
        List<Category> others = all(me);
        if (others.size() >= MOST) {
            throw Refusal.invalid("There are " + MOST + " categories already. Merge or retire some first.");
        }
        String name = name(content, others, id);
        List<String> taken = others.stream().map(Category::monogram).toList();
        int place = others.stream().mapToInt(Category::place).max().orElse(-1) + 1;
        Category category = new Category(
                id,
                me.accountId(),
                name,
                content.hue(),
                Monogram.propose(name, taken),
                letter(content, others, id),
                place,
                content.replyDays(),
                content.effortMinutes(),
                null,
                0);
        store.insert(category);
        changes.record(SubjectType.CATEGORY, id, null, State.of(category)).touch(Topic.CATEGORIES);
    }

    Done change(SignedIn me, UUID commandId, UUID id, int version, Content content) {
        return commands.run(me, commandId, "category-changed", changes -> {
            List<Category> others = all(me);
            String name = name(content, others, id);
            update(
                    me,
                    id,
                    version,
                    changes,
                    old -> new Category(
                            id,
                            old.owner(),
                            name,
                            content.hue(),
                            old.name().equals(name) ? old.monogram() : Monogram.propose(name, monogramsBut(others, id)),
                            letter(content, others, id),
                            old.place(),
                            content.replyDays(),
                            content.effortMinutes(),
                            old.retiredAt(),
                            version));
            changes.label("Changed category " + name);
        });
    }

    Done retire(SignedIn me, UUID commandId, UUID id, int version, boolean retired) {
        return commands.run(me, commandId, "category-retired", changes -> {
            update(me, id, version, changes, old -> with(old, old.place(), retired ? clock.instant() : null));
            changes.label((retired ? "Retired category " : "Back in use: ")
                    + get(me, id).name());
        });
    }

    /** Puts the categories into the given order; those that are not named follow behind. */
    Done order(SignedIn me, UUID commandId, List<UUID> ids) {
        return commands.run(me, commandId, "categories-ordered", changes -> {
            for (Category category : all(me)) {
                int place = ids.indexOf(category.id());
                int wanted = place < 0 ? ids.size() + category.place() : place;
                if (category.place() != wanted) {
                    update(me, category.id(), category.version(), changes, old -> with(old, wanted, old.retiredAt()));
                }
            }
            changes.label("Ordered the categories").touch(Topic.CATEGORIES);
        });
    }

    /** Moves the follow-ups of one category to another one and retires it. */
    Done merge(SignedIn me, UUID commandId, UUID id, UUID into) {
        if (id.equals(into)) {
            throw Refusal.invalid("A category cannot be merged with itself. Choose another one.");
        }
        return commands.run(me, commandId, "categories-merged", changes -> {
            Category from = get(me, id);
            Category target = get(me, into);
            int moved = recategorising.move(me.accountId(), id, into, changes);
            update(me, id, from.version(), changes, old -> with(old, old.place(), clock.instant()));
            changes.label("Merged " + from.name() + " into " + target.name() + " (" + moved + " follow-ups)");
        });
    }

    private void update(SignedIn me, UUID id, int version, Changes changes, UnaryOperator<Category> changed) {
        Category old = get(me, id);
        if (old.version() != version || store.update(changed.apply(old)) == 0) {
            throw new StaleVersionException(id);
        }
        changes.record(SubjectType.CATEGORY, id, State.of(old), State.of(get(me, id)))
                .touch(Topic.CATEGORIES);
    }

    private static Category with(Category c, int place, @Nullable Instant retiredAt) {
        return new Category(
                c.id(),
                c.owner(),
                c.name(),
                c.hue(),
                c.monogram(),
                c.letter(),
                place,
                c.replyDays(),
                c.effortMinutes(),
                retiredAt,
                c.version());
    }

    private Category get(SignedIn me, UUID id) {
        return store.byId(me.accountId(), id).orElseThrow(() -> Refusal.notFound("category"));
    }

    private static List<String> monogramsBut(List<Category> all, UUID id) {
        return all.stream()
                .filter(c -> !c.id().equals(id))
                .map(Category::monogram)
                .toList();
    }

    private static String name(Content content, List<Category> others, UUID id) {
        String name = content.name().replaceAll("\\s+", " ").strip();
        boolean taken =
                others.stream().anyMatch(c -> !c.id().equals(id) && c.name().equalsIgnoreCase(name));
        if (taken) {
            throw Refusal.invalid("There is a category " + name + " already. Choose another name, or merge the two.");
        }
        return name;
    }

    private static @Nullable String letter(Content content, List<Category> others, UUID id) {
        String letter = Optional.ofNullable(content.letter()).orElse("").strip().toLowerCase(Locale.ROOT);
        if (letter.isEmpty()) {
            return null;
        }
        if (!letter.matches("[a-z0-9]")) {
            throw Refusal.invalid("The key of a category is one letter or digit. Choose one, or leave it empty.");
        }
        Optional<Category> holder = others.stream()
                .filter(c -> !c.id().equals(id) && letter.equals(c.letter()) && c.retiredAt() == null)
                .findFirst();
        if (holder.isPresent()) {
            throw Refusal.invalid(
                    "The key " + letter + " belongs to " + holder.get().name() + ". Choose another one.");
        }
        return letter;
    }

    @Override
    public SubjectType type() {
        return SubjectType.CATEGORY;
    }

    @Override
    public @Nullable Object current(UUID owner, HistoryEntry entry) {
        return store.byId(owner, entry.subjectId()).map(State::of).orElse(null);
    }

    @Override
    public void restore(UUID owner, HistoryEntry entry, Changes changes) {
        UUID id = entry.subjectId();
        if (entry.before() == null) {
            if (recategorising.isUsed(owner, id)) {
                throw Refusal.conflict("Follow-ups use this category by now. Retire it instead.");
            }
            store.delete(owner, id);
        } else {
            State before = json.readValue(entry.before(), State.class);
            Optional<Category> now = store.byId(owner, id);
            if (now.isPresent()) {
                store.update(before.toRow(id, owner, now.get().version()));
            } else {
                store.insert(before.toRow(id, owner, 0));
            }
        }
        changes.touch(Topic.CATEGORIES);
    }
}
