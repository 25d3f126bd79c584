package org.squallnote.standins.chat;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;

/** Takes files in and hands them out to those who are signed in (section "Content repository"). */
final class Media {

    private static final String UPLOAD = "/_matrix/media/v3/upload";
    private static final String DOWNLOAD = "/_matrix/client/v1/media/download/";
    private static final String CONFIG = "/_matrix/client/v1/media/config";
    private static final int LARGEST = 20 * 1024 * 1024;

    private final HomeserverState state;

    Media(HomeserverState state) {
        this.state = state;
    }

    static boolean concerns(HttpExchange exchange) {
        String path = exchange.getRequestURI().getPath();
        return path.equals(UPLOAD) || path.equals(CONFIG) || path.startsWith(DOWNLOAD);
    }

    void handle(HttpExchange exchange) throws IOException, MatrixError {
        String token = Optional.ofNullable(exchange.getRequestHeaders().getFirst("Authorization"))
                .orElse("")
                .replaceFirst("^Bearer ", "");
        if (state.session(token).isEmpty()) {
            throw new MatrixError(401, token.isEmpty() ? "M_MISSING_TOKEN" : "M_UNKNOWN_TOKEN", "Sign in first");
        }
        String path = exchange.getRequestURI().getPath();
        if (path.equals(CONFIG)) {
            Requests.write(
                    exchange, 200, HomeserverState.JSON.createObjectNode().put("m.upload.size", LARGEST));
        } else if (path.equals(UPLOAD)) {
            upload(exchange);
        } else {
            String[] parts = path.substring(DOWNLOAD.length()).split("/");
            HomeserverState.MediaFile file = state.media(parts.length > 1 ? parts[1] : "")
                    .orElseThrow(() -> new MatrixError(404, "M_NOT_FOUND", "No such media"));
            exchange.getResponseHeaders().set("Content-Type", file.type());
            exchange.sendResponseHeaders(200, file.bytes().length == 0 ? -1 : file.bytes().length);
            exchange.getResponseBody().write(file.bytes());
        }
    }

    private void upload(HttpExchange exchange) throws IOException, MatrixError {
        try (InputStream in = exchange.getRequestBody()) {
            byte[] bytes = in.readNBytes(LARGEST + 1);
            if (bytes.length > LARGEST) {
                throw new MatrixError(413, "M_TOO_LARGE", "The file is too large");
            }
            String type = Optional.ofNullable(exchange.getRequestHeaders().getFirst("Content-Type"))
                    .orElse("application/octet-stream");
            Requests.write(
                    exchange,
                    200,
                    HomeserverState.JSON.createObjectNode().put("content_uri", state.addMedia(type, bytes)));
        }
    }
}
