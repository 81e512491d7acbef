package app.velvetcrock.stillroom;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.servlet.AsyncHandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Reads all of a page in one transaction: it shows one state of things, and costs one turn at the database. It is ended
 * by a rollback, since a page writes nothing, before the page is drawn.
 */
@Configuration
class ReadTogether implements WebMvcConfigurer, AsyncHandlerInterceptor {

    private static final String STATUS = ReadTogether.class.getName();

    private final PlatformTransactionManager transactions;

    ReadTogether(PlatformTransactionManager transactions) {
        this.transactions = transactions;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean isFirstPass = request.getDispatcherType() == DispatcherType.REQUEST;
        if (isFirstPass
                && "GET".equals(request.getMethod())
                && Current.signedIn().isPresent()) {
            DefaultTransactionDefinition reading = new DefaultTransactionDefinition();
            reading.setReadOnly(true);
            request.setAttribute(STATUS, transactions.getTransaction(reading));
        }
        return true;
    }

    /** All is read before a page is drawn: the connection is somebody else's while it is, and while it is sent over a thin line. */
    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView view) {
        end(request);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception thrown) {
        end(request);
    }

    /** What goes on without its thread leaves nothing of it behind: the thread answers somebody else next. */
    @Override
    public void afterConcurrentHandlingStarted(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        end(request);
    }

    private void end(HttpServletRequest request) {
        if (request.getAttribute(STATUS) instanceof TransactionStatus status) {
            request.removeAttribute(STATUS);
            transactions.rollback(status);
        }
    }
}
