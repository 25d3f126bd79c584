package org.squallnote.core.rule;

/**
 * Why something was found.
 *
 * @param rule the name of the rule that says so
 * @param example a sentence for which it says the same
 */
public record Reason(String rule, String example) {

    /** As it is shown to people: {@code as in “Please send it by Friday.”}. */
    public String inWords() {
        return "as in “" + example + "”";
    }
}
