package org.squallnote.server.problem;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What the container refuses before the application sees it is said as a problem too (RFC 9457), and tells nothing else. */
@Configuration(proxyBeanMethods = false)
class ContainerProblems {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> problemsOfTheContainer() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(Valve.class.getName());
            }
        });
    }

    /** Writes the answer that the container would write as a page. */
    public static final class Valve extends ErrorReportValve {

        @Override
        protected void report(Request request, Response response, @Nullable Throwable thrown) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            HttpStatus known = HttpStatus.resolve(status);
            String detail = status < 500
                    ? "This request cannot be understood. Nothing was changed."
                    : "Something went wrong here. Nothing was changed. Try again.";
            String problem = "{\"type\":\"about:blank\",\"title\":\""
                    + (known == null ? "Error" : known.getReasonPhrase()) + "\",\"status\":" + status + ",\"detail\":\""
                    + detail + "\"}";
            try {
                response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                response.getOutputStream().write(problem.getBytes(StandardCharsets.UTF_8));
                response.finishResponse();
            } catch (IOException e) {
                // Whoever sent it has gone.
                container.getLogger().debug("No problem could be reported", e);
            }
        }
    }
}
