package org.squallnote.formats.mail;

/**
 * Text whose lines flow (RFC 3676): a line that ends in a space goes on in the next one, as long as both are quoted as
 * deeply; a signature's mark never flows.
 */
final class FlowedText {

    private static final String SIGNATURE = "-- ";

    private FlowedText() {}

    /**
     * The text in lines as they were written.
     *
     * @param deleteSpace whether the space at the end of a flowed line is not part of the text ({@code delsp=yes})
     */
    static String unwrapped(String text, boolean deleteSpace) {
        StringBuilder out = new StringBuilder(text.length());
        int openDepth = -1;
        for (String line : text.split("\n", -1)) {
            int depth = depthOf(line);
            String words = line.substring(depth);
            boolean stuffed = words.startsWith(" ");
            if (stuffed) {
                words = words.substring(1);
            }
            boolean signature = words.equals(SIGNATURE);
            boolean goesOn = openDepth == depth && !signature;
            if (!goesOn) {
                endLine(out, openDepth >= 0);
                out.append(">".repeat(depth)).append(depth > 0 ? " " : "");
            }
            boolean flows = words.endsWith(" ") && !signature;
            out.append(flows && deleteSpace ? words.substring(0, words.length() - 1) : words);
            openDepth = flows ? depth : -1;
            if (!flows) {
                out.append('\n');
            }
        }
        return out.toString();
    }

    /** A line that should have gone on, and does not, ends here. */
    private static void endLine(StringBuilder out, boolean open) {
        if (open) {
            while (out.length() > 0 && out.charAt(out.length() - 1) == ' ') {
                out.setLength(out.length() - 1);
            }
            out.append('\n');
        }
    }

    private static int depthOf(String line) {
        int depth = 0;
        while (depth < line.length() && line.charAt(depth) == '>') {
            depth++;
        }
        return depth;
    }
}
