package org.squallnote.sources.calendar;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.Locale;
import java.util.Map;
import org.squallnote.sources.PatientStream;
import org.squallnote.sources.Reach;
import org.squallnote.sources.Reason;
import org.squallnote.sources.Waits;

/** Requests to one server: as the user says, bounded, and the password to no other machine. */
final class DavClient {

    /** A larger answer is refused, in bytes. */
    private static final int LARGEST_ANSWER = 64 * 1024 * 1024;

    private static final int MOST_REDIRECTS = 5;
    private static final Duration TIMEOUT = Duration.ofSeconds(30);

    /** A server that has begun to answer may be silent for so long. */
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(15))
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private final CalendarAccess access;
    private final URI start;
    private final Reach reach;
    private final Waits waits;

    /** @param waits where it waits for the server */
    DavClient(CalendarAccess access, Reach reach, Waits waits) {
        this.access = access;
        this.start = access.uri();
        this.reach = reach;
        this.waits = waits;
    }

    URI start() {
        return start;
    }

    /**
     * An answer.
     *
     * @param at where it came from in the end
     */
    record Answer(int status, HttpHeaders headers, byte[] body, URI at) {

        String header(String name) {
            return headers.firstValue(name).orElse("");
        }

        String text() {
            return new String(body, StandardCharsets.UTF_8);
        }
    }

    /**
     * Sends a request and follows to where it leads.
     *
     * @param body empty for none
     * @throws CalendarProblem when no usable answer comes; any other status than success and 304 is a problem too
     */
    Answer send(String method, URI to, Map<String, String> headers, String body) throws CalendarProblem {
        URI at = checked(to);
        for (int hop = 0; hop <= MOST_REDIRECTS; hop++) {
            URI here = at;
            Answer answer = waits.on(() -> once(method, here, headers, body));
            int status = answer.status();
            if (status / 100 == 3 && status != 304 && !answer.header("Location").isEmpty()) {
                at = next(at, answer.header("Location"));
            } else if (status / 100 == 2 || status == 304) {
                return answer;
            } else {
                throw problem(answer);
            }
        }
        throw new CalendarProblem(to.getHost() + " sends in circles.");
    }

    private URI next(URI at, String location) throws CalendarProblem {
        URI next;
        try {
            next = at.resolve(location);
        } catch (IllegalArgumentException e) {
            throw new CalendarProblem(at.getHost() + " sends on to what is no address.");
        }
        return checked(next);
    }

    /** The password goes to the machine that it was entered for, whatever that one says. */
    private URI checked(URI to) throws CalendarProblem {
        boolean safe = "https".equals(to.getScheme()) || start.getScheme().equals(to.getScheme());
        if (!safe || !start.getHost().equalsIgnoreCase(to.getHost())) {
            throw new CalendarProblem(start.getHost() + " sends on to " + to.getHost()
                    + ". Nothing was sent there; if that is right, enter that address instead.");
        }
        return to;
    }

    private Answer once(String method, URI at, Map<String, String> headers, String body) throws CalendarProblem {
        HttpRequest.Builder request = HttpRequest.newBuilder(at)
                .timeout(TIMEOUT)
                .header("User-Agent", "Squallnote")
                .method(
                        method,
                        body.isEmpty()
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(body));
        headers.forEach(request::header);
        if (!access.user().isEmpty()) {
            String basic = access.user() + ":" + access.password();
            request.header(
                    "Authorization",
                    "Basic " + Base64.getEncoder().encodeToString(basic.getBytes(StandardCharsets.UTF_8)));
        }
        try {
            reach.check(at.getHost());
            HttpResponse<InputStream> response = http.send(request.build(), HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream in = new PatientStream(response.body(), PATIENCE)) {
                byte[] bytes = in.readNBytes(LARGEST_ANSWER + 1);
                if (bytes.length > LARGEST_ANSWER) {
                    throw new CalendarProblem(at.getHost() + " answered with more than 64 MB, which is refused.");
                }
                return new Answer(response.statusCode(), response.headers(), bytes, at);
            }
        } catch (IOException e) {
            throw new CalendarProblem(at.getHost() + " could not be reached: " + Reason.of(e) + ".");
        } catch (InterruptedException e) {
            throw new CalendarProblem("Interrupted.");
        }
    }

    private static CalendarProblem problem(Answer answer) {
        String host = answer.at().getHost();
        String words = switch (answer.status()) {
            case 401 -> host + " does not accept user and password. Enter them again in the settings of this source.";
            case 403 -> host + " does not let this user read the calendar, or write into it.";
            case 404, 410 -> "There is no calendar at this address of " + host + " any more.";
            case 412 -> host + " has another state of it by now.";
            case 429 -> host + " asks to wait.";
            default -> host + " answered with status " + answer.status() + ".";
        };
        return new CalendarProblem(answer.status(), words, retryAfter(answer.header("Retry-After")));
    }

    private static Duration retryAfter(String seconds) {
        return seconds.toLowerCase(Locale.ROOT).matches("\\d{1,5}")
                ? Duration.ofSeconds(Math.min(3600, Long.parseLong(seconds)))
                : Duration.ZERO;
    }
}
