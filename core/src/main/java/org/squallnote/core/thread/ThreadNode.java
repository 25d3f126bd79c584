package org.squallnote.core.thread;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * A message in a thread with the messages below it.
 *
 * @param key the message's key; absent for a message that is referred to but missing, or a group joined by subject
 * @param children the answers, in the order in which they were sent
 */
public record ThreadNode<K>(Optional<K> key, List<ThreadNode<K>> children) {

    /** Copies the children. */
    public ThreadNode {
        children = List.copyOf(children);
    }

    /** The keys of all messages in this thread, a message before its answers. */
    public List<K> keys() {
        List<K> keys = new ArrayList<>();
        Deque<ThreadNode<K>> open = new ArrayDeque<>();
        open.push(this);
        while (!open.isEmpty()) {
            ThreadNode<K> node = open.pop();
            node.key().ifPresent(keys::add);
            for (int i = node.children().size() - 1; i >= 0; i--) {
                open.push(node.children().get(i));
            }
        }
        return keys;
    }
}
