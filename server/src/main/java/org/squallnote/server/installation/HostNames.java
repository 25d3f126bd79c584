package org.squallnote.server.installation;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.squallnote.server.problem.ProblemWriter;

/** Answers only by its own names, so that no page elsewhere can point a name of its own at this application. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostNames extends OncePerRequestFilter {

    private final Installation installation;
    private final ProblemWriter problems;

    HostNames(Installation installation, ProblemWriter problems) {
        this.installation = installation;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (installation.answersBy(request.getServerName())) {
            chain.doFilter(request, response);
        } else {
            problems.write(
                    response,
                    HttpStatus.MISDIRECTED_REQUEST,
                    "This installation is not known by the name in the address. An administrator can add it under"
                            + " Settings, Account, opened by a name that is known.");
        }
    }
}
