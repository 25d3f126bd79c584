package org.squallnote.server.source.chat;

import java.io.IOException;
import java.io.InputStream;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.RawMail;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.source.Source;
import org.squallnote.server.message.ChatFiles;
import org.squallnote.server.problem.Refusal;
import org.squallnote.sources.chat.ChatProblem;
import org.squallnote.sources.chat.MediaAddress;
import org.squallnote.store.source.SourceStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Hands the files of chat messages on from the homeserver, which wants to know who asks. */
@Component
class HomeserverFiles implements ChatFiles {

    private final SourceStore sources;
    private final ChatSignIns signIns;
    private final JsonMapper json;

    HomeserverFiles(SourceStore sources, ChatSignIns signIns, JsonMapper json) {
        this.sources = sources;
        this.signIns = signIns;
        this.json = json;
    }

    @Override
    public InputStream open(StoredMessage message, RawMail raw) throws IOException {
        JsonNode content = json.readTree(raw.inMemory().orElse(new byte[0])).path("content");
        if (content.has("file")) {
            throw Refusal.invalid("This file is encrypted and cannot be opened here."
                    + " A chat program that has the keys of the room opens it.");
        }
        MediaAddress address = MediaAddress.of(content.path("url").asString(""))
                .orElseThrow(() -> Refusal.invalid(
                        "This message names no file that could be fetched. Ask its writer to send it again."));
        Source source = sources.byId(message.owner(), message.sourceId())
                .orElseThrow(
                        () -> Refusal.invalid(
                                "The chat account of this message is not connected any more. Connect it under Settings, Sources, to see the file."));
        try {
            return signIns.of(source).client().media(address);
        } catch (ChatProblem e) {
            throw Refusal.invalid(e.getMessage() + " The message itself is kept.");
        }
    }
}
