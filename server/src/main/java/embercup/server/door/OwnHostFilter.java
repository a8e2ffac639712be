package embercup.server.door;

import embercup.server.platform.Refusals;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses requests whose Host is not ours (a name that was bent to this address) or whose Origin is foreign (another page
 * in the same browser). Names besides the loopback ones are given as {@code EMBER_HOSTS}, separated by commas.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OwnHostFilter extends OncePerRequestFilter {

    private final Set<String> hosts = new HashSet<>(List.of("localhost", "127.0.0.1", "[::1]"));

    private final HouseNetwork network;
    private final Audit audit;

    OwnHostFilter(@Value("${ember.hosts:}") String more, HouseNetwork network, @Lazy Audit audit) {
        this.network = network;
        this.audit = audit;
        Arrays.stream(more.split(","))
                .map(String::strip)
                .filter(h -> !h.isEmpty())
                .map(h -> h.toLowerCase(Locale.ROOT))
                .forEach(hosts::add);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        String origin = request.getHeader("Origin");
        if (!ours(host, request) || origin != null && !sameAs(origin, host)) {
            audit.knock(Audit.What.FOREIGN, request.getRemoteAddr());
            Refusals.write(response, HttpStatus.FORBIDDEN, "not-ours");
            return;
        }
        chain.doFilter(request, response);
    }

    private boolean ours(@Nullable String host, HttpServletRequest request) {
        if (host == null) {
            return false;
        }
        String name = host.replaceFirst(":\\d+$", "").toLowerCase(Locale.ROOT);
        return hosts.contains(name) || request.isSecure() && network.called(name);
    }

    private static boolean sameAs(String origin, @Nullable String host) {
        try {
            String authority = URI.create(origin).getAuthority();
            return authority != null && authority.equalsIgnoreCase(host);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
