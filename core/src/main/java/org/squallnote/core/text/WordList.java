package org.squallnote.core.text;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A data file of words or phrases beside a class: one entry a line, {@code #} starts a remark. */
public final class WordList {

    private WordList() {}

    /**
     * The lines that hold something, remarks and white space at both ends removed.
     *
     * @param beside the class whose package the file lies in
     * @throws IllegalStateException when the file does not exist
     */
    public static List<String> lines(Class<?> beside, String file) {
        try (InputStream in = beside.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException(
                        "The word list " + file + " is missing beside " + beside.getSimpleName());
            }
            return new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .lines()
                    .map(WordList::withoutRemark)
                    .filter(line -> !line.isEmpty())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The word list " + file + " cannot be read", e);
        }
    }

    private static String withoutRemark(String line) {
        int remark = line.startsWith("#") ? 0 : line.indexOf(" #");
        return (remark < 0 ? line : line.substring(0, remark)).strip();
    }
}
