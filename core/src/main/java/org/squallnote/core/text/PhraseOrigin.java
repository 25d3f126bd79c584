package org.squallnote.core.text;

/**
 * A phrase as it stands in its list.
 *
 * @param name its name, label and all: {@code request.modal-you}; only the label in lists that give no names
 * @param written its pattern
 * @param example a sentence in which it stands, empty in lists that give none
 */
public record PhraseOrigin(String name, String written, String example) {

    /** What kind of thing it marks: its name up to the first dot. */
    public String label() {
        int dot = name.indexOf('.');
        return dot < 0 ? name : name.substring(0, dot);
    }
}
