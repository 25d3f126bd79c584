package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A message text cut into what the writer wrote now and what is only carried along.
 *
 * @param own the writer's own words, answers between quoted lines included
 * @param carried quoted lines, attribution lines, a forwarded block and the signature, in their order
 */
public record OwnWords(String own, String carried) {

    private static final Pattern QUOTED = Pattern.compile("^\\s{0,3}>.*");
    private static final Pattern ATTRIBUTION =
            Pattern.compile("^(on|am|le|el) .{5,200}(wrote|schrieb|a écrit|escribió)\\s*:$", Pattern.CASE_INSENSITIVE);
    private static final Pattern FORWARD = Pattern.compile(
            "^(-{2,}\\s*(forwarded message|original message|original appointment)\\s*-{2,}|begin forwarded message:|_{20,})$",
            Pattern.CASE_INSENSITIVE);

    /** The longest attribution that is looked for, so that a long line costs nothing. */
    private static final int LONGEST_ATTRIBUTION = 240;

    /** Cuts a plain text. */
    public static OwnWords of(String text) {
        List<String> own = new ArrayList<>();
        List<String> carried = new ArrayList<>();
        String[] lines = text.split("\r?\n", -1);
        boolean rest = false;
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i];
            String bare = line.strip();
            // RFC 3676 section 4.3: a signature follows a line of two dashes and a space, often without the space.
            rest |= line.equals("-- ")
                    || line.equals("--")
                    || FORWARD.matcher(bare).matches();
            int attributionLines = rest ? 0 : attributionAt(lines, i);
            if (attributionLines > 0) {
                for (int j = 0; j < attributionLines; j++) {
                    carried.add(lines[i + j]);
                }
                i += attributionLines - 1;
            } else if (rest || QUOTED.matcher(line).matches()) {
                carried.add(line);
            } else {
                own.add(line);
            }
        }
        return new OwnWords(
                String.join("\n", own).strip(), String.join("\n", carried).strip());
    }

    /** How many lines the attribution ("On … wrote:", which mailers wrap) starting here has; zero when there is none. */
    private static int attributionAt(String[] lines, int start) {
        String joined = "";
        for (int n = 0; n < 3 && start + n < lines.length; n++) {
            joined = (joined + " " + lines[start + n].strip()).strip();
            if (joined.length() > LONGEST_ATTRIBUTION || joined.isEmpty()) {
                return 0;
            }
            if (ATTRIBUTION.matcher(joined).matches()) {
                return n + 1;
            }
        }
        return 0;
    }
}
