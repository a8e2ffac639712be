package embercup.server.door;

import embercup.server.platform.Refusals;
import io.micrometer.observation.ObservationRegistry;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;

/**
 * Who may do what. This machine itself needs no pairing ({@link LoopbackFilter}); beyond it nobody gets anything but the page's static
 * parts, the kitchen's certificate, its health, and the one place where a code is said.
 */
@Configuration
class SecurityConfig {

    private static final String POLICY =
            "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; "
                    + "font-src 'self'; connect-src 'self'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, Audit audit) {
        return http.authorizeHttpRequests(SecurityConfig::rules)
                .addFilterBefore(new LoopbackFilter(), AnonymousAuthenticationFilter.class)
                .csrf(c -> c.csrfTokenRepository(CookieCsrfTokenRepository.withHttpOnlyFalse())
                        .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler())
                        .requireCsrfProtectionMatcher(SecurityConfig::needsToken))
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) -> {
                            if (request.getRequestedSessionId() != null) {
                                audit.knock(Audit.What.SESSION_UNKNOWN, request.getRemoteAddr());
                            }
                            Refusals.write(response, HttpStatus.UNAUTHORIZED, "not-paired");
                        })
                        .accessDeniedHandler((request, response, why) -> {
                            audit.knock(Audit.What.NOT_ALLOWED, request.getRemoteAddr());
                            Refusals.write(response, HttpStatus.FORBIDDEN, "not-allowed");
                        }))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .anonymous(Customizer.withDefaults())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.NEVER))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(POLICY))
                        .referrerPolicy(Customizer.withDefaults())
                        .httpStrictTransportSecurity(t -> t.disable())
                        .cacheControl(c -> c.disable()))
                .build();
    }

    /** What a helper may: look at everything that is not the door's, reckon, and take part in brews. */
    private static void rules(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry rules) {
        String[] both = {Role.COOK.name(), Role.HELPER.name()};
        rules.dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR, DispatcherType.FORWARD)
                .permitAll()
                .requestMatchers("/actuator/health")
                .permitAll()
                .requestMatchers(HttpMethod.POST, "/api/door/pair")
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/api/door/me")
                .hasAnyRole(both)
                .requestMatchers("/api/door/**", "/api/household/**")
                .hasRole(Role.COOK.name())
                .requestMatchers(HttpMethod.GET, "/api/**")
                .hasAnyRole(both)
                .requestMatchers(
                        HttpMethod.POST,
                        "/api/plans",
                        "/api/plans/day",
                        "/api/measures/convert",
                        "/api/recipes/read",
                        "/api/shelf/mixes/plan",
                        "/api/brews/*/events",
                        "/api/courses/preview",
                        "/api/courses/*/cups")
                .hasAnyRole(both)
                .requestMatchers(HttpMethod.PUT, "/api/brews/*/photo")
                .hasAnyRole(both)
                .requestMatchers("/api/**", "/v3/**", "/actuator/**")
                .hasRole(Role.COOK.name())
                .anyRequest()
                .permitAll();
    }

    /** Whatever changes something, by a session: its cookie comes along by itself, the token only from the page's own script. */
    private static boolean needsToken(HttpServletRequest request) {
        return !LoopbackFilter.here(request)
                && CsrfFilter.DEFAULT_CSRF_MATCHER.matches(request)
                && !request.getServletPath().equals("/api/door/pair");
    }

    /** Nobody reads metrics of a kitchen; observing every filter of every request cost an eighth of its time. */
    @Bean
    ObservationRegistry unobserved() {
        return ObservationRegistry.NOOP;
    }

    /** No accounts at all; without this bean a default one with a printed password would be made. */
    @Bean
    UserDetailsService nobody() {
        return new InMemoryUserDetailsManager();
    }
}
