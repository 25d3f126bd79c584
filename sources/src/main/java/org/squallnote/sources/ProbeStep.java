package org.squallnote.sources;

/**
 * One step of trying a connection.
 *
 * @param name what was tried
 * @param passed whether it worked
 * @param detail what was found, or what went wrong and what to do
 */
public record ProbeStep(String name, boolean passed, String detail) {

    /** A step that worked. */
    public static ProbeStep passed(String name, String detail) {
        return new ProbeStep(name, true, detail);
    }

    /** A step that did not work. */
    public static ProbeStep failed(String name, String detail) {
        return new ProbeStep(name, false, detail);
    }
}
