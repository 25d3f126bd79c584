package org.squallnote.server.command;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.squallnote.server.problem.Refusal;

/** Reads the identifier of a change from its header. */
@Configuration(proxyBeanMethods = false)
class CommandIdConfiguration implements WebMvcConfigurer {

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new HandlerMethodArgumentResolver() {
            @Override
            public boolean supportsParameter(MethodParameter parameter) {
                return parameter.hasParameterAnnotation(CommandId.class);
            }

            @Override
            public Object resolveArgument(
                    MethodParameter parameter,
                    @Nullable ModelAndViewContainer container,
                    NativeWebRequest request,
                    @Nullable WebDataBinderFactory binders) {
                String value = request.getHeader(CommandId.HEADER);
                try {
                    return UUID.fromString(value == null ? "" : value);
                } catch (IllegalArgumentException e) {
                    throw Refusal.invalid("A change needs a UUID in the header " + CommandId.HEADER
                            + ". Send it again with one. Nothing was changed.");
                }
            }
        });
    }
}
