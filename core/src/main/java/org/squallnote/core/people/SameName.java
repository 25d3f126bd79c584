package org.squallnote.core.people;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.squallnote.core.message.Party;

/** Who may be the same person, since they have the same first and last name. */
public final class SameName {

    private static final Pattern NO_LETTER = Pattern.compile("[^\\p{L}]+");
    private static final Pattern MARK = Pattern.compile("\\p{M}+");

    private SameName() {}

    /** Those among others whose names are that of one of the given, at other addresses. */
    public static List<Party> of(List<Party> person, List<Party> others) {
        List<String> names = person.stream()
                .map(each -> folded(each.name()))
                .filter(name -> name.contains(" "))
                .toList();
        return others.stream()
                .filter(other -> names.contains(folded(other.name()))
                        && person.stream().noneMatch(each -> each.address().equalsIgnoreCase(other.address())))
                .toList();
    }

    /** Without case, accents, order and what is no letter: "Brandt, Tilda" is Tilda Brandt. */
    private static String folded(String name) {
        String plain = MARK.matcher(Normalizer.normalize(name.toLowerCase(Locale.ROOT), Normalizer.Form.NFD))
                .replaceAll("");
        List<String> words = NO_LETTER
                .splitAsStream(plain)
                .filter(word -> !word.isEmpty())
                .sorted()
                .toList();
        return String.join(" ", words);
    }
}
