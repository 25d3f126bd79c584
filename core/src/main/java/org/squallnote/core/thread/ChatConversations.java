package org.squallnote.core.thread;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Cuts the messages of one room into conversations.
 *
 * <p>What belongs to a thread of the protocol, its root included, is a conversation of its own, apart from the room's
 * other talk and however long it is quiet. Any other message belongs to what it replies to. Without a reply it goes on
 * with the conversation that was last added to in the room, unless four quiet hours have passed: then it starts a new
 * one. An answer to an older conversation does not draw the next plain message into it, unless the room was quiet before.
 */
public final class ChatConversations {

    /** How long a room has to be quiet before the next message starts a new conversation. */
    public static final Duration QUIET = Duration.ofHours(4);

    /**
     * What threading needs to know of a chat message.
     *
     * @param id the event id
     * @param sentAt the moment it was sent
     * @param thread the event id of the root of the thread that it belongs to
     * @param answers the event id of the message it replies to
     */
    public record ChatMessage(String id, Instant sentAt, Optional<String> thread, Optional<String> answers) {}

    private ChatConversations() {}

    /**
     * The conversations of one room.
     *
     * @param messages the room's messages in any order
     * @return ids grouped into conversations, both in the order sent
     */
    public static List<List<String>> of(List<ChatMessage> messages) {
        List<ChatMessage> inOrder = new ArrayList<>(messages);
        inOrder.sort(Comparator.comparing(ChatMessage::sentAt).thenComparing(ChatMessage::id));
        Set<String> roots = new HashSet<>();
        inOrder.forEach(message -> message.thread().ifPresent(roots::add));
        List<List<String>> conversations = new ArrayList<>();
        Map<String, List<String>> threads = new HashMap<>();
        Map<String, List<String>> conversationOf = new HashMap<>();
        List<String> running = null;
        Instant lastAt = Instant.MIN;
        for (ChatMessage message : inOrder) {
            if (message.thread().isPresent() || roots.contains(message.id())) {
                List<String> thread = threads.computeIfAbsent(
                        message.thread().orElse(message.id()), root -> newConversation(conversations));
                thread.add(message.id());
                conversationOf.put(message.id(), thread);
                continue;
            }
            List<String> answered = message.answers().map(conversationOf::get).orElse(null);
            List<String> conversation = answered;
            if (conversation == null && running != null && !isQuiet(lastAt, message.sentAt())) {
                conversation = running;
            }
            if (conversation == null) {
                conversation = newConversation(conversations);
            }
            conversation.add(message.id());
            conversationOf.put(message.id(), conversation);
            boolean goesOn = running != null && !isQuiet(lastAt, message.sentAt());
            running = answered != null && goesOn ? running : conversation;
            lastAt = message.sentAt();
        }
        return conversations.stream().map(List::copyOf).toList();
    }

    private static List<String> newConversation(List<List<String>> conversations) {
        List<String> conversation = new ArrayList<>();
        conversations.add(conversation);
        return conversation;
    }

    /** Whether a room in which nothing was said between two moments was quiet. */
    public static boolean isQuiet(Instant lastAt, Instant sentAt) {
        return Duration.between(lastAt, sentAt).compareTo(QUIET) >= 0;
    }
}
