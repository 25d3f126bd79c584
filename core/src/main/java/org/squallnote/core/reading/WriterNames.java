package org.squallnote.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.squallnote.core.text.Letters;

/** The names with which a writer may sign. */
final class WriterNames {

    private WriterNames() {}

    /** Words without a name of the writer at their end. */
    static String withoutName(String words, List<String> names) {
        for (String name : names) {
            if (words.endsWith(" " + name)) {
                return words.substring(0, words.length() - name.length() - 1);
            }
        }
        return words;
    }

    /** A line in lower case, without anything but letters and single spaces. */
    static String wordsOf(String line) {
        char[] words = new char[line.length()];
        int length = 0;
        for (int i = 0; i < line.length(); i++) {
            char c = Letters.folded(line.charAt(i));
            if (Letters.isLetter(c) || c == '\'') {
                words[length++] = c;
            } else if (length > 0 && words[length - 1] != ' ') {
                words[length++] = ' ';
            }
        }
        return new String(words, 0, length).strip();
    }

    /** The writer's whole name first, then its parts and initials. */
    static List<String> namesOf(String writer) {
        List<String> names = new ArrayList<>();
        String whole = wordsOf(writer);
        if (whole.isEmpty()) {
            return names;
        }
        names.add(whole);
        String[] parts = whole.split(" ");
        StringBuilder initials = new StringBuilder();
        for (String part : parts) {
            if (part.length() > 1) {
                names.add(part);
            }
            initials.append(part.charAt(0));
        }
        names.add(parts[0].substring(0, 1));
        names.add(initials.toString());
        return names;
    }

    /** Whether the line holds only the writer's name, a short form of it, or initials, with a cross or a dash at most. */
    static boolean isName(String line, String words, List<String> names) {
        if (words.isEmpty() || names.isEmpty()) {
            return false;
        }
        String kept =
                words.endsWith(" x") || words.endsWith(" xx") ? words.substring(0, words.lastIndexOf(' ')) : words;
        if (names.contains(kept) || names.contains(kept.replace(" ", ""))) {
            return !line.endsWith("?") && (line.length() > 2 || !line.endsWith("!"));
        }
        // "Thad" under a letter of Thaddeus, "Lou" under one of Louise.
        boolean oneWord = kept.indexOf(' ') < 0;
        boolean bare = line.length() <= kept.length() + 2;
        if (oneWord && bare && kept.length() >= 2 && Character.isUpperCase(firstLetter(line))) {
            return names.stream().anyMatch(name -> name.length() > kept.length() && name.startsWith(kept));
        }
        if (isInitialsAndName(line, kept, names)) {
            return true;
        }
        // "Dr Niamh Costigan-Hale": every name of hers, with a title.
        return names.get(0).contains(" ")
                && kept.endsWith(names.get(0))
                && kept.length() <= names.get(0).length() + 6;
    }

    /** "A. Roche", "Mrs Pole", "Anselm R." under a letter of Anselm Roche. */
    private static boolean isInitialsAndName(String line, String kept, List<String> names) {
        String[] said = kept.split(" ");
        boolean named = false;
        for (String word : said) {
            boolean part = word.length() > 1 && names.contains(word);
            boolean initial = word.length() == 1
                    && names.stream().anyMatch(name -> name.length() > 1 && name.charAt(0) == word.charAt(0));
            if (!part && !initial && !People.isTitle(word)) {
                return false;
            }
            named |= part;
        }
        return named && Character.isUpperCase(firstLetter(line)) && !line.endsWith("?") && !line.endsWith("!");
    }

    private static char firstLetter(String line) {
        for (int i = 0; i < line.length(); i++) {
            if (Character.isLetter(line.charAt(i))) {
                return line.charAt(i);
            }
        }
        return ' ';
    }
}
