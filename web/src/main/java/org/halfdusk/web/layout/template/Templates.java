package org.halfdusk.web.layout.template;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.dialect.SpringStandardDialect;
import org.thymeleaf.standard.expression.IStandardVariableExpressionEvaluator;
import org.thymeleaf.templateresolver.ITemplateResolver;

/** The engine of all templates: the usual one, but that plain paths are read by {@link PathEvaluator}. */
@Configuration(proxyBeanMethods = false)
class Templates {
    @Bean
    SpringTemplateEngine templateEngine(ObjectProvider<ITemplateResolver> resolvers) {
        SpringTemplateEngine engine = new SpringTemplateEngine();
        engine.setDialect(new Dialect());
        engine.setEnableSpringELCompiler(true);
        resolvers.orderedStream().forEach(engine::addTemplateResolver);
        return engine;
    }

    /** Links are not looked through for files whose names change: {@code AssetLinks} is asked for those. */
    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> linksAsTheyAre() {
        FilterRegistrationBean<ResourceUrlEncodingFilter> left =
                new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
        left.setEnabled(false);
        return left;
    }

    /** The usual dialect with another reader of variables. */
    static final class Dialect extends SpringStandardDialect {
        private final IStandardVariableExpressionEvaluator paths =
                new PathEvaluator(super.getVariableExpressionEvaluator());

        @Override
        public IStandardVariableExpressionEvaluator getVariableExpressionEvaluator() {
            return paths;
        }
    }
}
