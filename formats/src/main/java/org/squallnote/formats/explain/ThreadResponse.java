package org.squallnote.formats.explain;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.squallnote.core.thread.ThreadNode;

/** Writes threads as a mail server answers {@code THREAD REFERENCES} (RFC 5256 section 4): {@code (1 2)((3)(4 5))}. */
final class ThreadResponse {

    private ThreadResponse() {}

    /** The threads of numbered messages on one line, without the leading {@code * THREAD}. */
    static String of(List<ThreadNode<Integer>> threads) {
        StringBuilder line = new StringBuilder();
        Deque<Object> open = new ArrayDeque<>();
        pushAll(open, threads);
        while (!open.isEmpty()) {
            Object next = open.pop();
            if (next instanceof ThreadNode<?> thread) {
                open.push(')');
                line.append('(');
                members(thread, line, open);
            } else {
                line.append(next);
            }
        }
        return line.toString();
    }

    /** A message and those below it as long as each has one answer, then the several answers as threads of their own. */
    private static void members(ThreadNode<?> thread, StringBuilder line, Deque<Object> open) {
        ThreadNode<?> node = thread;
        node.key().ifPresent(line::append);
        while (node.children().size() == 1) {
            node = node.children().get(0);
            line.append(line.charAt(line.length() - 1) == '(' ? "" : " ");
            node.key().ifPresent(line::append);
        }
        if (!node.children().isEmpty()) {
            line.append(line.charAt(line.length() - 1) == '(' ? "" : " ");
            pushAll(open, node.children());
        }
    }

    private static void pushAll(Deque<Object> open, List<? extends ThreadNode<?>> threads) {
        for (int i = threads.size() - 1; i >= 0; i--) {
            open.push(threads.get(i));
        }
    }
}
