package app.velvetcrock.stillroom;

import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.ModelAndViewDefiningException;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;

/** Looks at a form's one-time key before anything else: a repeat is answered as the first time, whatever has become of the stock since. */
@Configuration
class Repeats implements WebMvcConfigurer, HandlerInterceptor {

    private static final String REDIRECT = "redirect:";

    private final OneTime oneTime;

    Repeats(OneTime oneTime) {
        this.oneTime = oneTime;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws Exception {
        if (!isForm(request)) {
            return true;
        }
        Optional<OneTime.Answer> before = oneTime.answered(Current.stillroom(), request);
        if (before.isEmpty()) {
            return true;
        }
        if (before.get().notice() != null) {
            RequestContextUtils.getOutputFlashMap(request)
                    .put(Notice.NAME, before.get().notice());
        }
        throw new ModelAndViewDefiningException(
                new ModelAndView(REDIRECT + before.get().leadsTo()));
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView view) {
        if (!isForm(request)
                || view == null
                || view.getViewName() == null
                || !view.getViewName().startsWith(REDIRECT)) {
            return;
        }
        Notice notice =
                RequestContextUtils.getOutputFlashMap(request).get(Notice.NAME) instanceof Notice said ? said : null;
        oneTime.answer(
                Current.stillroom(),
                request,
                new OneTime.Answer(view.getViewName().substring(REDIRECT.length()), notice));
    }

    private static boolean isForm(HttpServletRequest request) {
        return "POST".equals(request.getMethod()) && Current.signedIn().isPresent();
    }
}
