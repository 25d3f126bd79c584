package org.squallnote.sources.chat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.squallnote.sources.ProbeStep;
import tools.jackson.databind.JsonNode;

/** Tries a chat account step by step. Signing in makes a device on the server; nothing else is changed. */
public final class ChatProbe {

    /** What the attempt found. */
    public record Result(List<ProbeStep> steps, Optional<ChatClient.SignedIn> signedIn) {

        /** Whether everything worked. */
        public boolean passed() {
            return steps.stream().allMatch(ProbeStep::passed);
        }
    }

    private ChatProbe() {}

    /**
     * Runs the test.
     *
     * @param user the user name, empty when there is a token
     * @param password the password, empty when there is a token
     * @param accessToken the token, empty when there is a password
     */
    public static Result run(String homeserver, String user, String password, String accessToken, String deviceId) {
        List<ProbeStep> steps = new ArrayList<>();
        String step = "Reach the homeserver";
        try {
            ChatClient client = new ChatClient(homeserver);
            JsonNode versions = client.versions().path("versions");
            steps.add(ProbeStep.passed(step, "It speaks " + versions.size() + " versions of the protocol."));
            step = "Sign in";
            ChatClient.SignedIn signedIn;
            if (accessToken.isEmpty()) {
                signedIn = client.login(user, password, deviceId);
            } else {
                client.useToken(accessToken);
                signedIn = client.whoami();
            }
            steps.add(ProbeStep.passed(step, "Signed in as " + signedIn.userId() + "."));
            return new Result(List.copyOf(steps), Optional.of(signedIn));
        } catch (ChatProblem | IllegalArgumentException e) {
            steps.add(ProbeStep.failed(step, String.valueOf(e.getMessage())));
            return new Result(List.copyOf(steps), Optional.empty());
        }
    }
}
