package app.velvetcrock.phone;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Sending;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;
import tools.jackson.databind.json.JsonMapper;

/**
 * Answers forms that waited on a device: sent to where they always go, with their own key, so that the first sending of one whose answer
 * was lost is known; done at the moment they were tapped; answered by what would have been said on the next page, as JSON.
 */
@Configuration
class WaitedForms implements WebMvcConfigurer, HandlerInterceptor {

    private static final String AT = "Crock-Waited";
    private static final String SENT = "Crock-Sent";
    private static final String REDIRECT = "redirect:";
    private static final String NOT_THERE = "It came without its moment, or from a page whose deeds do not wait.";
    private static final String ASKS = "It asks something first. Open its page and send it from there.";

    /** What was done, in words, and where to send its undoing; empty for none. */
    record Written(String done, String undo) {}

    /** What was not done, and why. */
    record Not(String refused) {}

    private final Clock clock;
    private final JsonMapper json;

    WaitedForms(Clock clock, JsonMapper json) {
        this.clock = clock;
        this.json = json;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    private static boolean isWaited(HttpServletRequest request) {
        return request.getHeader(AT) != null
                && "POST".equals(request.getMethod())
                && Current.signedIn().isPresent();
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (!isWaited(request)) {
            return true;
        }
        Instant now = clock.instant();
        Optional<Instant> at = Waited.moment(request.getHeader(AT), request.getHeader(SENT), now);
        if (at.isEmpty() || !Waited.may(request.getRequestURI())) {
            write(response, HttpStatus.BAD_REQUEST, new Not(NOT_THERE));
            return false;
        }
        if (Waited.isTooLongAgo(at.get(), now)) {
            write(response, HttpStatus.CONFLICT, new Not(Waited.TOO_LONG_AGO));
            return false;
        }
        request.setAttribute(Sending.TAPPED, at.get());
        return true;
    }

    /** Stands before whatever draws pages, and leaves every other request to it. */
    @Bean("viewResolver")
    ViewResolver waitedAnswers() {
        return new Answers();
    }

    private final class Answers implements ViewResolver, Ordered {

        @Override
        public int getOrder() {
            return HIGHEST_PRECEDENCE;
        }

        @Override
        public @Nullable View resolveViewName(String name, Locale locale) {
            return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
                            && isWaited(now.getRequest())
                    ? (model, request, response) -> answer(name, model, request, response)
                    : null;
        }
    }

    private void answer(
            String view, @Nullable Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        Optional<Notice> notice = Optional.ofNullable(
                RequestContextUtils.getOutputFlashMap(request).get(Notice.NAME) instanceof Notice said ? said : null);
        if (view.startsWith(REDIRECT) && notice.filter(Notice::refused).isEmpty()) {
            write(
                    response,
                    HttpStatus.OK,
                    new Written(
                            notice.map(Notice::words).orElse(""),
                            notice.map(Notice::undo).orElse("")));
            return;
        }
        int status = Math.max(response.getStatus(), HttpStatus.BAD_REQUEST.value());
        write(
                response,
                status == HttpStatus.BAD_REQUEST.value() ? HttpStatus.CONFLICT : HttpStatus.valueOf(status),
                new Not(notice.map(Notice::words).orElseGet(() -> why(model == null ? Map.of() : model))));
    }

    private static String why(Map<String, ?> model) {
        if (model.get(Reply.REFUSALS) instanceof List<?> refusals && !refusals.isEmpty()) {
            return refusals.stream()
                    .map(one -> (Reply.Refusal) one)
                    .flatMap(one ->
                            Stream.of(one.wrong(), one.instead().isEmpty() ? "" : "Type %s.".formatted(one.instead())))
                    .filter(words -> !words.isEmpty())
                    .collect(Collectors.joining(" "));
        }
        return Objects.toString(model.get("words"), ASKS);
    }

    private void write(HttpServletResponse response, HttpStatus status, Object said) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.getOutputStream().write(json.writeValueAsBytes(said));
    }
}
