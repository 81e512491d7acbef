package app.velvetcrock.stillroom;

import app.velvetcrock.web.OneTime;
import app.velvetcrock.web.Reply;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Hands every form's handler its reply, which knows the stillroom of whoever is signed in. */
@Configuration
class Replies implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final ObjectProvider<OneTime> oneTime;

    Replies(ObjectProvider<OneTime> oneTime) {
        this.oneTime = oneTime;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Reply.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        Model model = container != null && container.getModel() instanceof Model ready ? ready : new ExtendedModelMap();
        return Reply.of(
                model,
                Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class)),
                Objects.requireNonNull(request.getNativeResponse(HttpServletResponse.class)),
                oneTime.getObject(),
                Current.signedIn().map(SignedIn::stillroom).orElse(null));
    }
}
