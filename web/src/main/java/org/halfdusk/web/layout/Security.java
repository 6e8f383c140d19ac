package org.halfdusk.web.layout;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
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
                    + " font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, @Value("${halfdusk.password:}") String password) throws Exception {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict"));
        http.csrf(csrf ->
                csrf.csrfTokenRepository(tokens).csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler()));
        http.headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(POLICY))
                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=(), payment=()")));
        http.sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.requestCache(c -> c.requestCache(new NullRequestCache()));
        http.logout(l -> l.disable());
        if (password.isBlank()) {
            http.authorizeHttpRequests(a -> a.anyRequest().permitAll());
            http.anonymous(Customizer.withDefaults());
        } else {
            http.httpBasic(Customizer.withDefaults());
            http.authorizeHttpRequests(a -> a.requestMatchers(HttpMethod.GET, "/assets/**")
                    .permitAll()
                    .anyRequest()
                    .authenticated());
        }
        return http.build();
    }

    /** Also where nobody has to log in: without a manager of its own, one password would be made up and printed. */
    @Bean
    UserDetailsService users(@Value("${halfdusk.password:}") String password) {
        InMemoryUserDetailsManager users = new InMemoryUserDetailsManager();
        if (!password.isBlank()) {
            users.createUser(User.withUsername("halfdusk")
                    .password("{noop}" + password)
                    .roles("USER")
                    .build());
        }
        return users;
    }
}
