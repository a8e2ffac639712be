package embercup.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Whoever sits at this machine is the cook: what comes in by loopback on the plain port, which listens on nothing else, needs no
 * pairing. The port of the house's network is never here, from wherever it is asked.
 */
final class LoopbackFilter extends OncePerRequestFilter {

    static final String HERE = "here";
    private static final String COOK = "ROLE_COOK";

    /** Whether a request comes from this machine itself. */
    static boolean here(HttpServletRequest request) {
        return !request.isSecure() && loopback(request.getRemoteAddr()) && loopback(request.getLocalAddr());
    }

    static Role role(Authentication who) {
        return who.getAuthorities().stream().anyMatch(a -> COOK.equals(a.getAuthority())) ? Role.COOK : Role.HELPER;
    }

    private static boolean loopback(String address) {
        try {
            // A literal address: nothing is looked up.
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (here(request)) {
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                    HERE, null, AuthorityUtils.createAuthorityList(COOK)));
            SecurityContextHolder.setContext(context);
        }
        chain.doFilter(request, response);
    }
}
