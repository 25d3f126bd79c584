package org.squallnote.sources;

import java.io.EOFException;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.net.http.HttpTimeoutException;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.UnresolvedAddressException;
import java.util.Locale;
import javax.net.ssl.SSLException;

/** Says what was the matter, in words, also where an exception says nothing. */
public final class Reason {

    private Reason() {}

    /** The reason of a failure: what is known by its kind, else the first message in its chain, else its kind's name. */
    public static String of(Throwable problem) {
        for (Throwable each = problem; each != null; each = each.getCause()) {
            String known = known(each);
            if (!known.isEmpty()) {
                return known;
            }
        }
        for (Throwable each = problem; each != null; each = each.getCause()) {
            String message = each.getMessage();
            if (message != null && !message.isBlank()) {
                return message.strip();
            }
        }
        return words(problem.getClass().getSimpleName());
    }

    private static String known(Throwable problem) {
        if (problem instanceof UnknownHostException || problem instanceof UnresolvedAddressException) {
            return "there is no server of this name";
        }
        if (problem instanceof HttpTimeoutException || problem instanceof SocketTimeoutException) {
            return "no answer in time";
        }
        if (problem instanceof SSLException) {
            return "no encrypted connection came about";
        }
        if (problem instanceof ClosedChannelException || problem instanceof EOFException) {
            return "the connection was closed";
        }
        if (problem instanceof ConnectException) {
            return "nothing answers there";
        }
        return "";
    }

    /** "SomeOddException" as "some odd exception". */
    private static String words(String name) {
        return name.isEmpty()
                ? "no reason was given"
                : name.replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase(Locale.ROOT);
    }
}
