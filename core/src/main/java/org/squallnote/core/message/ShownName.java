package org.squallnote.core.message;

import java.lang.Character.UnicodeScript;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Names from outside as they may be shown. Whoever writes chooses them freely: one may hold another address than its own,
 * turn the direction of text around, or mix letters of several scripts that look alike.
 */
public final class ShownName {

    private static final Pattern ADDRESS = Pattern.compile("[\\w.+-]{1,64}@[\\w-]{1,63}(?:\\.[\\w-]{1,63})++");

    private ShownName() {}

    /** The text with what would turn or hide other text as signs: U+202E becomes {@code ‹RLO›}. */
    public static String visible(String text) {
        StringBuilder shown = null;
        for (int i = 0; i < text.length(); i++) {
            String sign = sign(text.charAt(i));
            if (!sign.isEmpty() && shown == null) {
                shown = new StringBuilder(text.substring(0, i));
            }
            if (shown != null) {
                shown.append(sign.isEmpty() ? text.charAt(i) : sign);
            }
        }
        return shown == null ? text : shown.toString();
    }

    /** Embeddings, overrides, isolates and marks of direction (UAX 9), and what has no width. */
    private static String sign(char c) {
        return switch (c) {
            case '\u202a' -> "‹LRE›";
            case '\u202b' -> "‹RLE›";
            case '\u202c' -> "‹PDF›";
            case '\u202d' -> "‹LRO›";
            case '\u202e' -> "‹RLO›";
            case '\u2066' -> "‹LRI›";
            case '\u2067' -> "‹RLI›";
            case '\u2068' -> "‹FSI›";
            case '\u2069' -> "‹PDI›";
            case '\u200e' -> "‹LRM›";
            case '\u200f' -> "‹RLM›";
            case '\u061c' -> "‹ALM›";
            case '\u200b', '\u2060', '\ufeff' -> "‹ZW›";
            default -> "";
        };
    }

    /** Whether a name is no name to show: the address says better who writes. */
    public static boolean misleads(String name, String address) {
        return holdsOtherAddress(name, address) || mixesScripts(name);
    }

    /** Whether the name looks like an address, and not like its own. */
    public static boolean holdsOtherAddress(String name, String address) {
        Matcher found = ADDRESS.matcher(name);
        while (found.find()) {
            if (!found.group().toLowerCase(Locale.ROOT).equals(address)) {
                return true;
            }
        }
        return false;
    }

    /** Whether one word of it has letters of Latin beside such of Cyrillic, Greek, Armenian or Cherokee. */
    public static boolean mixesScripts(String name) {
        Set<UnicodeScript> inWord = EnumSet.noneOf(UnicodeScript.class);
        for (int i = 0; i < name.length(); i += Character.charCount(name.codePointAt(i))) {
            int c = name.codePointAt(i);
            if (!Character.isLetter(c)) {
                inWord.clear();
                continue;
            }
            UnicodeScript script = UnicodeScript.of(c);
            switch (script) {
                case LATIN, CYRILLIC, GREEK, ARMENIAN, CHEROKEE -> inWord.add(script);
                default -> {
                    // Letters of these do not look like those of others.
                }
            }
            if (inWord.size() > 1) {
                return true;
            }
        }
        return false;
    }

    /** Whether it holds what turns the direction of text. */
    public static boolean turnsText(String name) {
        return !visible(name).equals(name);
    }
}
