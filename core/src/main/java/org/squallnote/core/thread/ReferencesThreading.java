package org.squallnote.core.thread;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The REFERENCES algorithm of RFC 5256 section 3.
 *
 * <p>The numbers in the comments are the steps of the RFC. Works without recursion, so that a
 * conversation of any depth is threaded.
 */
public final class ReferencesThreading {

    /** How long after a message an unlinked reply with the same subject still belongs to it. */
    public static final Duration SUBJECT_REACH = Duration.ofDays(30);

    /** So many messages with the subject of an unlinked reply are looked at, the newest ones. */
    private static final int MOST_LOOKED_AT = 2_000;

    private ReferencesThreading() {}

    /**
     * The threads of the given messages.
     *
     * @param messages in the order of their arrival, which decides between equal dates
     * @return one node a thread, ordered by the date of the first message
     */
    public static <K> List<ThreadNode<K>> threads(List<Threadable<K>> messages, SubjectStep subjectStep) {
        List<Threadable<K>> linked =
                subjectStep == SubjectStep.UNLINKED_REPLIES ? withSubjectLinks(messages) : messages;
        List<Node<K>> roots = prune(rootsOf(link(linked))); // 1 to 3
        roots.sort(bySentDate()); // 4
        if (subjectStep == SubjectStep.AS_RFC_5256) {
            roots = mergeBySubject(roots); // 5
            roots.forEach(root -> sortBelow(parentsFirst(root))); // 6
            roots.sort(bySentDate());
        }
        List<ThreadNode<K>> threads = new ArrayList<>(roots.size());
        roots.forEach(root -> threads.add(freeze(root)));
        return threads;
    }

    private static final class Node<K> {
        @Nullable
        Threadable<K> message;

        /** Its identifier; empty for a message that has none of its own. */
        String id = "";

        int order = Integer.MAX_VALUE;

        @Nullable
        Node<K> parent;

        List<Node<K>> children = new ArrayList<>(0);

        @Nullable
        ThreadNode<K> frozen;

        boolean isDummy() {
            return message == null;
        }

        /**
         * Whether the references lead to this node and are linked already, each to the one before: then none of them
         * has to be looked up. Most answers only add one to the references of what they answer.
         */
        boolean isReachedBy(List<String> references) {
            Node<K> node = this;
            for (int i = references.size() - 1; i > 0; i--) {
                node = node.parent;
                if (node == null || !references.get(i - 1).equals(node.id)) {
                    return false;
                }
            }
            return true;
        }

        boolean isBelow(Node<K> other) {
            if (other.children.isEmpty()) {
                return this == other;
            }
            for (Node<K> n = this; n != null; n = n.parent) {
                if (n == other) {
                    return true;
                }
            }
            return false;
        }

        void attachTo(@Nullable Node<K> newParent) {
            if (parent != null) {
                parent.children.remove(this);
            }
            parent = newParent;
            if (newParent != null) {
                newParent.children.add(this);
            }
        }
    }

    /** Step 1: a node for each message and each identifier, in the order in which they are first seen. */
    private static <K> List<Node<K>> link(List<Threadable<K>> messages) {
        Map<String, Node<K>> byId = new HashMap<>(messages.size() * 4 / 3 + 1);
        List<Node<K>> all = new ArrayList<>(messages.size());
        int order = 0;
        for (Threadable<K> message : messages) {
            Node<K> node = ownNode(byId, all, message);
            node.message = message;
            node.order = order++;
            Node<K> last = lastReference(byId, all, message.references());
            if (last == null) { // 1.B
                node.attachTo(null);
            } else if (!last.isBelow(node)) {
                node.attachTo(last);
            } else {
                node.attachTo(null);
            }
        }
        return all;
    }

    /** Step 1.A: links the references among each other and answers the node of the last one. */
    private static <K> @Nullable Node<K> lastReference(
            Map<String, Node<K>> byId, List<Node<K>> all, List<String> references) {
        if (references.isEmpty()) {
            return null;
        }
        Node<K> known = byId.get(references.get(references.size() - 1));
        if (known != null && known.isReachedBy(references)) {
            return known;
        }
        Node<K> last = null;
        for (String id : references) {
            Node<K> next = nodeOf(byId, all, id);
            if (last != null && next.parent == null && !last.isBelow(next)) {
                next.attachTo(last);
            }
            last = next;
        }
        return last;
    }

    private static <K> Node<K> nodeOf(Map<String, Node<K>> byId, List<Node<K>> all, String id) {
        Node<K> known = byId.get(id);
        if (known != null) {
            return known;
        }
        Node<K> node = new Node<>();
        node.id = id;
        byId.put(id, node);
        all.add(node);
        return node;
    }

    private static <K> Node<K> ownNode(Map<String, Node<K>> byId, List<Node<K>> all, Threadable<K> message) {
        if (message.messageId().isPresent()) {
            Node<K> known = nodeOf(byId, all, message.messageId().get());
            if (known.isDummy()) {
                return known;
            }
        }
        // Without an identifier, or with one that another message has: unique to this message.
        Node<K> own = new Node<>();
        all.add(own);
        return own;
    }

    private static <K> List<Node<K>> rootsOf(List<Node<K>> nodes) {
        List<Node<K>> roots = new ArrayList<>();
        for (Node<K> node : nodes) {
            if (node.parent == null) {
                roots.add(node);
            }
        }
        return roots;
    }

    /**
     * Steps 2 and 3: the roots, without missing messages that hold nothing together; what is below a root is sorted at
     * the same time (4), one thread after the other, since its nodes are at hand then.
     */
    private static <K> List<Node<K>> prune(List<Node<K>> roots) {
        List<Node<K>> keptRoots = new ArrayList<>(roots.size());
        for (Node<K> root : roots) {
            List<Node<K>> thread = parentsFirst(root);
            for (int i = thread.size() - 1; i >= 0; i--) {
                if (hasDummyChild(thread.get(i))) {
                    removeDummiesBelow(thread.get(i));
                }
            }
            sortBelow(thread);
            if (!root.isDummy() || root.children.size() > 1) {
                keptRoots.add(root);
            } else if (root.children.size() == 1) {
                Node<K> only = root.children.get(0);
                only.parent = null;
                keptRoots.add(only);
            }
        }
        return keptRoots;
    }

    private static <K> void removeDummiesBelow(Node<K> node) {
        List<Node<K>> kept = new ArrayList<>();
        for (Node<K> child : node.children) {
            if (child.isDummy()) {
                kept.addAll(child.children); // 3.A where it has none, 3.B
            } else {
                kept.add(child);
            }
        }
        kept.forEach(child -> child.parent = node);
        node.children = kept;
    }

    private static <K> List<Node<K>> parentsFirst(Node<K> root) {
        List<Node<K>> thread = new ArrayList<>();
        thread.add(root);
        for (int i = 0; i < thread.size(); i++) {
            thread.addAll(thread.get(i).children);
        }
        return thread;
    }

    private static <K> boolean hasDummyChild(Node<K> node) {
        for (Node<K> child : node.children) {
            if (child.isDummy()) {
                return true;
            }
        }
        return false;
    }

    private static <K> Instant dateOf(Node<K> node) {
        Node<K> n = node;
        while (n.message == null && !n.children.isEmpty()) {
            n = n.children.get(0);
        }
        return n.message == null ? Instant.MAX : n.message.sentAt();
    }

    private static <K> int orderOf(Node<K> node) {
        Node<K> n = node;
        while (n.message == null && !n.children.isEmpty()) {
            n = n.children.get(0);
        }
        return n.order;
    }

    private static <K> Comparator<Node<K>> bySentDate() {
        return Comparator.<Node<K>, Instant>comparing(ReferencesThreading::dateOf)
                .thenComparingInt(ReferencesThreading::orderOf);
    }

    /** A missing message is dated by its first child, so children are sorted before their parents. */
    private static <K> void sortBelow(List<Node<K>> parentsFirst) {
        for (int i = parentsFirst.size() - 1; i >= 0; i--) {
            if (parentsFirst.get(i).children.size() > 1) {
                parentsFirst.get(i).children.sort(bySentDate());
            }
        }
    }

    private static <K> BaseSubject subjectOf(Node<K> node) {
        Node<K> n = node;
        while (n.message == null && !n.children.isEmpty()) {
            n = n.children.get(0);
        }
        return BaseSubject.of(n.message == null ? "" : n.message.subject());
    }

    private static <K> List<Node<K>> mergeBySubject(List<Node<K>> roots) {
        Map<String, Node<K>> table = new HashMap<>();
        Map<Node<K>, BaseSubject> subjects = new HashMap<>();
        for (Node<K> root : roots) { // 5.B
            BaseSubject subject = subjectOf(root);
            subjects.put(root, subject);
            if (subject.text().isEmpty()) {
                continue;
            }
            Node<K> held = table.get(subject.text());
            if (held == null
                    || (root.isDummy() && !held.isDummy())
                    || (!held.isDummy() && isReply(subjects, held) && !subject.replyOrForward())) {
                table.put(subject.text(), root);
            }
        }
        List<Node<K>> merged = new ArrayList<>();
        Map<Node<K>, Node<K>> groupOf = new HashMap<>();
        for (Node<K> root : roots) { // 5.C
            BaseSubject subject = subjects.getOrDefault(root, new BaseSubject("", false));
            Node<K> held = subject.text().isEmpty() ? root : table.getOrDefault(subject.text(), root);
            if (held == root) {
                if (!groupOf.containsKey(root)) {
                    merged.add(root);
                }
                continue;
            }
            Node<K> into = groupOf.getOrDefault(held, held);
            if (root.isDummy() && into.isDummy()) {
                for (Node<K> child : List.copyOf(root.children)) {
                    child.attachTo(into);
                }
            } else if (into.isDummy() || (subject.replyOrForward() && !isReply(subjects, held))) {
                root.attachTo(into);
            } else {
                Node<K> group = new Node<>();
                merged.remove(held);
                held.attachTo(group);
                root.attachTo(group);
                groupOf.put(held, group);
                merged.add(group);
            }
        }
        return merged;
    }

    private static <K> boolean isReply(Map<Node<K>, BaseSubject> subjects, Node<K> node) {
        BaseSubject subject = subjects.get(node);
        return subject != null && subject.replyOrForward();
    }

    /** Gives every unlinked reply the message it most likely answers as its only reference. */
    private static <K> List<Threadable<K>> withSubjectLinks(List<Threadable<K>> messages) {
        if (messages.stream().noneMatch(Threadable::isUnlinkedReply)) {
            return messages;
        }
        Map<String, List<Threadable<K>>> bySubject = new HashMap<>();
        for (Threadable<K> message : messages) {
            if (message.messageId().isPresent()) {
                bySubject
                        .computeIfAbsent(BaseSubject.of(message.subject()).text(), key -> new ArrayList<>())
                        .add(message);
            }
        }
        bySubject.values().forEach(same -> same.sort(Comparator.comparing(Threadable::sentAt)));
        return messages.stream()
                .map(message -> message.isUnlinkedReply() ? withSubjectLink(message, bySubject) : message)
                .toList();
    }

    private static <K> Threadable<K> withSubjectLink(Threadable<K> reply, Map<String, List<Threadable<K>>> bySubject) {
        String subject = BaseSubject.of(reply.subject()).text();
        if (subject.isEmpty()) {
            return reply;
        }
        return lastBefore(reply, bySubject.getOrDefault(subject, List.of()))
                .flatMap(Threadable::messageId)
                .map(id -> new Threadable<>(
                        reply.key(), reply.messageId(), List.of(id), reply.subject(), reply.sentAt(), reply.parties()))
                .orElse(reply);
    }

    /** The newest message before the reply that shares its parties; of several at one moment the first to arrive. */
    private static <K> Optional<Threadable<K>> lastBefore(Threadable<K> reply, List<Threadable<K>> bySentDate) {
        Instant earliest = reply.sentAt().minus(SUBJECT_REACH);
        int i = firstNotBefore(reply.sentAt(), bySentDate) - 1;
        Optional<Threadable<K>> found = Optional.empty();
        for (int looked = 0; i >= 0 && looked < MOST_LOOKED_AT; i--, looked++) {
            Threadable<K> earlier = bySentDate.get(i);
            boolean past = found.filter(best -> !best.sentAt().equals(earlier.sentAt()))
                    .isPresent();
            if (past || earlier.sentAt().isBefore(earliest)) {
                return found;
            }
            if (sharesParties(earlier, reply)) {
                found = Optional.of(earlier);
            }
        }
        return found;
    }

    private static <K> int firstNotBefore(Instant moment, List<Threadable<K>> bySentDate) {
        int from = 0;
        int to = bySentDate.size();
        while (from < to) {
            int middle = (from + to) >>> 1;
            if (bySentDate.get(middle).sentAt().isBefore(moment)) {
                from = middle + 1;
            } else {
                to = middle;
            }
        }
        return from;
    }

    /** Whether at least two parties are common: the two who talk to each other. */
    private static <K> boolean sharesParties(Threadable<K> one, Threadable<K> other) {
        long common = one.parties().stream()
                .filter(other.parties()::contains)
                .limit(2)
                .count();
        return common >= 2;
    }

    private static <K> ThreadNode<K> freeze(Node<K> root) {
        List<Node<K>> parentsFirst = parentsFirst(root);
        ThreadNode<K> frozen = new ThreadNode<>(Optional.empty(), List.of());
        for (int i = parentsFirst.size() - 1; i >= 0; i--) {
            Node<K> node = parentsFirst.get(i);
            List<ThreadNode<K>> children = new ArrayList<>(node.children.size());
            for (Node<K> child : node.children) {
                if (child.frozen != null) {
                    children.add(child.frozen);
                }
            }
            frozen = new ThreadNode<>(Optional.ofNullable(node.message).map(Threadable::key), children);
            node.frozen = frozen;
        }
        return frozen;
    }
}
