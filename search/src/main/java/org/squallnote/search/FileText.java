package org.squallnote.search;

import java.io.InputStream;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.apache.tika.exception.WriteLimitReachedException;
import org.apache.tika.metadata.Metadata;
import org.apache.tika.metadata.TikaCoreProperties;
import org.apache.tika.parser.AutoDetectParser;
import org.apache.tika.parser.EmptyParser;
import org.apache.tika.parser.ParseContext;
import org.apache.tika.parser.Parser;
import org.apache.tika.sax.BodyContentHandler;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.xml.sax.SAXException;

/**
 * The text in a file: plain, HTML, PDF and office documents. What takes too long, is damaged or locked has none; what
 * lies in it as a file of its own is left alone.
 */
public final class FileText implements AutoCloseable {

    /** Larger files are found by their names only, in bytes. */
    public static final int LARGEST = 20_000_000;

    /** More of a text is not looked at, in characters. */
    public static final int LONGEST = 200_000;

    private static final Logger LOG = LoggerFactory.getLogger(FileText.class);
    private static final int SECONDS = 20;

    /** What reads all kinds of files takes a second to be there: it is made with the first file. */
    private static final class Parsers {

        private static final AutoDetectParser ALL = new AutoDetectParser();
    }

    private ExecutorService reading = thread();

    private static ExecutorService thread() {
        return Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, "file-text");
            thread.setDaemon(true);
            return thread;
        });
    }

    /** @param name with its ending, which says what it is where its bytes do not */
    public synchronized String of(String name, InputStream content) throws InterruptedException {
        Future<String> text = reading.submit(work(name, content));
        try {
            return text.get(SECONDS, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            // Whoever reads it may never come back: it is left behind, and the next file gets a thread of its own.
            reading.shutdownNow();
            reading = thread();
            LOG.info("A file took more than {} s to be read; it is found by its name only", SECONDS);
            return "";
        } catch (ExecutionException e) {
            LOG.debug("A file has no text that can be read", e);
            return "";
        }
    }

    private Callable<String> work(String name, InputStream content) {
        return () -> {
            BodyContentHandler text = new BodyContentHandler(LONGEST);
            Metadata metadata = new Metadata();
            metadata.set(TikaCoreProperties.RESOURCE_NAME_KEY, name);
            ParseContext context = new ParseContext();
            context.set(Parser.class, EmptyParser.INSTANCE);
            try (InputStream in = content) {
                Parsers.ALL.parse(in, text, metadata, context);
            } catch (SAXException e) {
                if (!WriteLimitReachedException.isWriteLimitReached(e)) {
                    throw e;
                }
            }
            return text.toString().strip();
        };
    }

    @Override
    public synchronized void close() {
        reading.shutdownNow();
    }
}
