package org.squallnote.core.text;

/**
 * One form of a rule, as it stands in its list.
 *
 * @param name the rule, label and all: {@code request.modal-you}
 * @param written the pattern of the form
 * @param example a sentence in which it stands
 */
public record PhraseOrigin(String name, String written, String example) {

    /** What kind of thing it marks: the name of its rule up to the dot. */
    public String label() {
        return name.substring(0, name.indexOf('.'));
    }
}
