package org.squallnote.core.source;

import org.squallnote.core.message.Channel;

/** What a source is. */
public enum SourceKind {
    /** A mail account, which is read and sent by. */
    MAIL(Channel.MAIL),
    /** A chat account, which is read and sent by. */
    CHAT(Channel.CHAT),
    /** Where imported mail is from; nothing is read there by itself, and nothing sent. */
    FILES(Channel.MAIL);

    private final Channel channel;

    SourceKind(Channel channel) {
        this.channel = channel;
    }

    /** What its messages are. */
    public Channel channel() {
        return channel;
    }
}
