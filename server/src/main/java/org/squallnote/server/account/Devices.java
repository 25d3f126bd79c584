package org.squallnote.server.account;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Says in a few words what a browser says of itself, so that its owner recognises it. */
final class Devices {

    /** Looked for in this order: most name others as well. */
    private static final Map<String, String> BROWSERS = ordered(
            "Firefox/",
            "Firefox",
            "Edg/",
            "Edge",
            "OPR/",
            "Opera",
            "Chrome/",
            "Chrome",
            "Safari/",
            "Safari",
            "curl/",
            "curl",
            "Java",
            "a program in Java");

    private static final Map<String, String> SYSTEMS = ordered(
            "iPhone",
            "iPhone",
            "iPad",
            "iPad",
            "Android",
            "Android",
            "Windows",
            "Windows",
            "Mac OS X",
            "macOS",
            "CrOS",
            "ChromeOS",
            "Linux",
            "Linux");

    private Devices() {}

    static String named(@Nullable String userAgent) {
        String agent = userAgent == null ? "" : userAgent;
        String browser = first(BROWSERS, agent, "");
        String system = first(SYSTEMS, agent, "");
        if (browser.isEmpty() || system.isEmpty()) {
            return browser + system + (browser.isEmpty() && system.isEmpty() ? "unknown device" : "");
        }
        return browser + " on " + system;
    }

    private static String first(Map<String, String> names, String agent, String otherwise) {
        return names.entrySet().stream()
                .filter(entry -> agent.contains(entry.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(otherwise);
    }

    private static Map<String, String> ordered(String... marksAndNames) {
        Map<String, String> ordered = new LinkedHashMap<>();
        for (int i = 0; i < marksAndNames.length; i += 2) {
            ordered.put(marksAndNames[i], marksAndNames[i + 1]);
        }
        return ordered;
    }
}
