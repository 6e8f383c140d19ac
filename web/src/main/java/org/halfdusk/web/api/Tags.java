package org.halfdusk.web.api;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.filter.ShallowEtagHeaderFilter;

/** Answers of the interface carry tags by their content: who asks again for what has not changed is told so, without the answer. */
@Configuration(proxyBeanMethods = false)
class Tags {
    @Bean
    FilterRegistrationBean<ShallowEtagHeaderFilter> apiTags() {
        FilterRegistrationBean<ShallowEtagHeaderFilter> tags =
                new FilterRegistrationBean<>(new ShallowEtagHeaderFilter());
        tags.addUrlPatterns("/api/v1/*");
        return tags;
    }
}
