package org.halfdusk.web.door;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.EnumSet;
import java.util.List;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.SentAgain;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.servlet.filter.OrderedFilter;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.web.DefaultSecurityFilterChain;
import org.springframework.security.web.FilterChainProxy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.CacheControlHeadersWriter;
import org.springframework.security.web.header.writers.ContentSecurityPolicyHeaderWriter;
import org.springframework.security.web.header.writers.PermissionsPolicyHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.XContentTypeOptionsHeaderWriter;
import org.springframework.security.web.header.writers.XXssProtectionHeaderWriter;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter;
import org.springframework.security.web.servlet.support.csrf.CsrfRequestDataValueProcessor;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.session.DisableEncodeUrlFilter;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

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

    /** Where a chain of filters like this one usually stands: after those that wrap a request, before all others. */
    private static final int ORDER = OrderedFilter.REQUEST_WRAPPER_FILTER_MAX_ORDER - 100;

    /** Put together filter by filter: the language in which such chains are usually described is larger than all that it describes. */
    @Bean
    FilterRegistrationBean<FilterChainProxy> chain(
            Clock clock, OtherDoor other, @Value("${halfdusk.password:}") String password) {
        // The token stands in the body: nobody's body is read before it is known who they are and how long it is.
        FilterChainProxy chain = new FilterChainProxy(new DefaultSecurityFilterChain(
                AnyRequestMatcher.INSTANCE,
                headers(),
                // No session is known by what stands in a link, so links are written as they are.
                new DisableEncodeUrlFilter(),
                new PasswordCheck(password, other, new Knocks(clock)),
                new Intake(),
                tokens()));
        FilterRegistrationBean<FilterChainProxy> registered = new FilterRegistrationBean<>(chain);
        registered.setOrder(ORDER);
        registered.setDispatcherTypes(EnumSet.allOf(DispatcherType.class));
        return registered;
    }

    /** Who has once trusted this machine over HTTPS must still reach it without: at home it speaks plainly. */
    private static HeaderWriterFilter headers() {
        return new HeaderWriterFilter(List.of(
                new XContentTypeOptionsHeaderWriter(),
                new XXssProtectionHeaderWriter(),
                new CacheControlHeadersWriter(),
                new XFrameOptionsHeaderWriter(XFrameOptionsHeaderWriter.XFrameOptionsMode.DENY),
                new ContentSecurityPolicyHeaderWriter(POLICY),
                new ReferrerPolicyHeaderWriter(ReferrerPolicy.SAME_ORIGIN),
                new PermissionsPolicyHeaderWriter("camera=(), microphone=(), geolocation=(), payment=()")));
    }

    private static CsrfFilter tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict"));
        CsrfFilter filter = new CsrfFilter(tokens);
        filter.setRequestHandler(new CsrfTokenRequestAttributeHandler());
        // Changes nothing, and asks for a header that no foreign page can send.
        RequestMatcher reading = PathPatternRequestMatcher.withDefaults().matcher("/api/v1/frames/read");
        filter.setRequireCsrfProtectionMatcher(r -> CsrfFilter.DEFAULT_CSRF_MATCHER.matches(r) && !reading.matches(r));
        filter.setAccessDeniedHandler((request, response, denied) -> {
            SentAgain.offer(request);
            response.sendError(HttpStatus.FORBIDDEN.value(), stale(request));
        });
        return filter;
    }

    /** Forms carry the token without naming it. */
    @Bean
    RequestDataValueProcessor requestDataValueProcessor() {
        return new CsrfRequestDataValueProcessor();
    }

    private static String stale(HttpServletRequest request) {
        return "This page was open before Half Dusk was started, or its token was lost, so " + request.getMethod() + " "
                + TypedNumber.shown(request.getRequestURI())
                + " was not done; a token of this run is needed. Nothing was changed.";
    }
}
