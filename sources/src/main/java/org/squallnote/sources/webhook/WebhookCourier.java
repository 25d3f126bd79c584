package org.squallnote.sources.webhook;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import org.squallnote.core.event.WebhookSignature;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Reason;

/** Sends one message to one address, signed, and says whether it was taken. Of the answer nothing but its status is read. */
public final class WebhookCourier {

    private static final Duration TIMEOUT = Duration.ofSeconds(10);
    private static final int GONE = 410;

    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(TIMEOUT)
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .build();

    /**
     * What came of it.
     *
     * @param problem empty where it was taken
     * @param forGood whether the other side wants none any more (410)
     */
    public record Outcome(String problem, boolean forGood) {

        /** Whether it was taken. */
        public boolean isTaken() {
            return problem.isEmpty();
        }
    }

    /**
     * Why an address cannot be used; empty where it can. Unencrypted it goes to this machine only.
     *
     * @param address as it was typed
     */
    public static String problemOf(String address) {
        try {
            URI uri = URI.create(address.strip());
            if (uri.getHost() == null || uri.getUserInfo() != null) {
                return "Write an address as https://host/path, without a name or a password in it.";
            }
            boolean plain = "http".equalsIgnoreCase(uri.getScheme()) && Reach.isThisMachine(uri.getHost());
            return plain || "https".equalsIgnoreCase(uri.getScheme())
                    ? ""
                    : "It has to begin with https://; to this machine http:// will do.";
        } catch (IllegalArgumentException e) {
            return "“" + address.strip() + "” is no web address.";
        }
    }

    /**
     * Sends a message.
     *
     * @param secret the bytes of the secret
     * @param id of the message, the same at each try
     * @param body JSON
     */
    public Outcome send(String address, byte[] secret, String id, Instant now, String body, Reach reach) {
        String unusable = problemOf(address);
        if (!unusable.isEmpty()) {
            return new Outcome(unusable, false);
        }
        URI uri = URI.create(address.strip());
        long timestamp = now.getEpochSecond();
        HttpRequest request = HttpRequest.newBuilder(uri)
                .timeout(TIMEOUT)
                .header("User-Agent", "Squallnote")
                .header("Content-Type", "application/json")
                .header("webhook-id", id)
                .header("webhook-timestamp", String.valueOf(timestamp))
                .header("webhook-signature", WebhookSignature.of(secret, id, timestamp, body))
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        try {
            reach.check(uri.getHost());
            HttpResponse<InputStream> response = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            response.body().close();
            int status = response.statusCode();
            return status / 100 == 2
                    ? new Outcome("", false)
                    : new Outcome(uri.getHost() + " answered with the status " + status + ".", status == GONE);
        } catch (IOException e) {
            return new Outcome(uri.getHost() + " could not be reached: " + Reason.of(e) + ".", false);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Outcome("Interrupted.", false);
        }
    }
}
