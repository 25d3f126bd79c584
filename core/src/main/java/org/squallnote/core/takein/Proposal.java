package org.squallnote.core.takein;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.Content;

/**
 * What one line of a file would become.
 *
 * @param line the line of the file, or the number of the task in it, from 1
 * @param title as it stands there, also of one that cannot be taken in
 * @param content null for one that cannot be taken in
 * @param repeats how it comes back, in words; empty for once
 * @param category the name of a category that there is none of; empty otherwise
 * @param taken whether it is taken in unless somebody says otherwise
 * @param problems why it cannot be taken in
 * @param remarks what was understood otherwise than it stands there, and why one is not taken
 */
public record Proposal(
        int line,
        String title,
        @Nullable Content content,
        String repeats,
        String category,
        boolean taken,
        List<String> problems,
        List<String> remarks) {

    /** Copies the lists. */
    public Proposal {
        problems = List.copyOf(problems);
        remarks = List.copyOf(remarks);
    }

    /** One that cannot be taken in. */
    public static Proposal refused(int line, String title, String problem) {
        return new Proposal(line, title, null, "", "", false, List.of(problem), List.of());
    }

    /** By what two are the same: their words and their day. */
    public static String key(String title, @Nullable LocalDate day) {
        return title.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT) + "\n" + (day == null ? "" : day);
    }

    /** Whether what it would become is of a category. */
    public boolean isOf(UUID categoryId) {
        return content != null && categoryId.equals(content.categoryId());
    }

    Proposal notTaken(String why) {
        List<String> more = new ArrayList<>(remarks);
        more.add(why);
        return new Proposal(line, title, content, repeats, category, false, problems, more);
    }
}
