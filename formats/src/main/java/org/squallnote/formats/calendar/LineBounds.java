package org.squallnote.formats.calendar;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** Cuts lines, folded ones as a whole, so that no single one takes much memory: inline files are of no use here. */
final class LineBounds extends FilterReader {

    private static final int LONGEST_LINE = 65_536;

    private int length;
    private int last = '\n';

    LineBounds(Reader in) {
        super(in);
    }

    @Override
    public int read() throws IOException {
        int c = in.read();
        while (c >= 0) {
            if (last == '\n' && c != ' ' && c != '\t') {
                length = 0;
            }
            last = c;
            if (c == '\n' || c == '\r' || length++ < LONGEST_LINE) {
                return c;
            }
            c = in.read();
        }
        return c;
    }

    @Override
    public int read(char[] into, int from, int most) throws IOException {
        int count = 0;
        while (count < most) {
            int c = read();
            if (c < 0) {
                return count == 0 ? -1 : count;
            }
            into[from + count++] = (char) c;
        }
        return count;
    }
}
