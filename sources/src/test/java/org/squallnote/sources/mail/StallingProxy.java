package org.squallnote.sources.mail;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** Passes on what client and server say, until it keeps everything to itself, with the connections open. */
final class StallingProxy implements AutoCloseable {

    private final ServerSocket listening;
    private final int server;
    private final List<Socket> sockets = new CopyOnWriteArrayList<>();
    private volatile boolean stalled;

    StallingProxy(int server) throws IOException {
        this.server = server;
        this.listening = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        start(this::accept);
    }

    int port() {
        return listening.getLocalPort();
    }

    void stall() {
        stalled = true;
    }

    /** Answers again, as a server that was started anew: what was open is gone. */
    void goOn() throws IOException {
        stalled = false;
        for (Socket socket : sockets) {
            socket.close();
        }
    }

    private void accept() {
        try {
            while (!listening.isClosed()) {
                Socket client = listening.accept();
                Socket behind = new Socket(InetAddress.getLoopbackAddress(), server);
                sockets.addAll(List.of(client, behind));
                start(() -> pass(client, behind));
                start(() -> pass(behind, client));
            }
        } catch (IOException closed) {
            // The test is over.
        }
    }

    private void pass(Socket from, Socket to) {
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            byte[] buffer = new byte[8192];
            int got = in.read(buffer);
            while (got >= 0) {
                if (!stalled) {
                    out.write(buffer, 0, got);
                    out.flush();
                }
                got = in.read(buffer);
            }
        } catch (IOException closed) {
            // One of the two has gone.
        }
    }

    private static void start(Runnable work) {
        Thread thread = new Thread(work, "stalling proxy");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() throws IOException {
        listening.close();
        for (Socket socket : sockets) {
            socket.close();
        }
    }
}
