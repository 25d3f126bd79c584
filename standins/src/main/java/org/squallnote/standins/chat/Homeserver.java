package org.squallnote.standins.chat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** The homeserver on a socket of this machine. */
public final class Homeserver implements AutoCloseable {

    private final HttpServer server;
    private final ExecutorService workers;
    private final HomeserverState state;

    private Homeserver(HttpServer server, ExecutorService workers, HomeserverState state) {
        this.server = server;
        this.workers = workers;
        this.state = state;
    }

    /**
     * Starts it.
     *
     * @param port zero for any free one
     * @param serverName the part of user and room ids behind the colon
     * @param clock by which what clients send is stamped
     */
    public static Homeserver start(int port, String serverName, Clock clock) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 64);
        HomeserverState state = new HomeserverState(serverName, clock);
        ExecutorService workers = Executors.newCachedThreadPool(work -> {
            Thread thread = new Thread(work, "homeserver");
            thread.setDaemon(true);
            return thread;
        });
        server.setExecutor(workers);
        server.createContext("/", new Requests(state));
        server.start();
        return new Homeserver(server, workers, state);
    }

    /** Its address. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Users, rooms and events. */
    public HomeserverState state() {
        return state;
    }

    @Override
    public void close() {
        server.stop(0);
        workers.shutdownNow();
    }
}
