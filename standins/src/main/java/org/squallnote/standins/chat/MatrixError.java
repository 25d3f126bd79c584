package org.squallnote.standins.chat;

/** A standard error answer: status, {@code errcode} and a sentence. */
final class MatrixError extends Exception {

    private final int status;
    private final String code;

    MatrixError(int status, String code, String message) {
        super(message);
        this.status = status;
        this.code = code;
    }

    int status() {
        return status;
    }

    String code() {
        return code;
    }
}
