package org.squallnote.standins.calendar;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** The calendar server on a socket of this machine. */
public final class CalendarServer implements AutoCloseable {

    private final HttpServer server;
    private final ExecutorService workers;
    private final CalendarShelf shelf;

    private CalendarServer(HttpServer server, ExecutorService workers, CalendarShelf shelf) {
        this.server = server;
        this.workers = workers;
        this.shelf = shelf;
    }

    /** @param port zero for any free one */
    public static CalendarServer start(int port) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 64);
        CalendarShelf shelf = new CalendarShelf();
        ExecutorService workers = Executors.newCachedThreadPool(work -> {
            Thread thread = new Thread(work, "calendar-server");
            thread.setDaemon(true);
            return thread;
        });
        server.setExecutor(workers);
        server.createContext("/", new DavRequests(shelf));
        server.start();
        return new CalendarServer(server, workers, shelf);
    }

    /** Its address. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** What it holds. */
    public CalendarShelf shelf() {
        return shelf;
    }

    @Override
    public void close() {
        server.stop(0);
        workers.shutdownNow();
    }
}
