package org.halfdusk.web.door;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.SentAgain;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;

/**
 * One person's application on their own machine: no log-in on the loopback address; elsewhere a password is asked for.
 * Every change carries a token, every page forbids what it does not need.
 */
@Configuration(proxyBeanMethods = false)
class Security {
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:;"
                    + " font-src 'self'; connect-src 'self'; form-action 'self'; worker-src 'self';"
                    + " manifest-src 'self'; base-uri 'none'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, Clock clock, OtherDoor other, @Value("${halfdusk.password:}") String password)
            throws Exception {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict"));
        http.csrf(csrf -> csrf.csrfTokenRepository(tokens)
                .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler())
                // Changes nothing, and asks for a header that no foreign page can send.
                .ignoringRequestMatchers("/api/v1/frames/read"));
        // Who has once trusted this machine over HTTPS must still reach it without: at home it speaks plainly.
        http.headers(h -> h.httpStrictTransportSecurity(t -> t.disable())
                .contentSecurityPolicy(p -> p.policyDirectives(POLICY))
                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=(), payment=()")));
        http.sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.requestCache(c -> c.requestCache(new NullRequestCache()));
        http.logout(l -> l.disable());
        http.anonymous(Customizer.withDefaults());
        http.authorizeHttpRequests(a -> {
            a.dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.FORWARD)
                    .permitAll();
            a.anyRequest().permitAll();
        });
        http.exceptionHandling(e -> e.accessDeniedHandler((request, response, denied) -> {
            SentAgain.offer(request);
            response.sendError(HttpStatus.FORBIDDEN.value(), stale(request));
        }));
        // The token stands in the body: nobody's body is read before it is known who they are and how long it is.
        http.addFilterBefore(new PasswordCheck(password, other, new Knocks(clock)), CsrfFilter.class);
        http.addFilterBefore(new Intake(), CsrfFilter.class);
        return http.build();
    }

    private static String stale(HttpServletRequest request) {
        return "This page was open before Half Dusk was started, or its token was lost, so " + request.getMethod() + " "
                + TypedNumber.shown(request.getRequestURI())
                + " was not done; a token of this run is needed. Nothing was changed.";
    }

    /** Without a manager of its own, one password would be made up and printed. */
    @Bean
    UserDetailsService users() {
        return new InMemoryUserDetailsManager();
    }
}
