package app.velvetcrock;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;

/** Notes every statement that goes to the database, but for the session's own. */
@Component
public class StatementCount implements BeanPostProcessor {

    private static final List<String> NOTED = new CopyOnWriteArrayList<>();
    private static volatile boolean noting;

    /** Notes what some work sends. */
    public static List<String> during(Runnable work) {
        NOTED.clear();
        noting = true;
        try {
            work.run();
        } finally {
            noting = false;
        }
        return List.copyOf(NOTED);
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? proxy(DataSource.class, source) : bean;
    }

    private static <T> T proxy(Class<T> type, T real) {
        InvocationHandler handler = (self, method, arguments) -> {
            if (noting && method.getName().startsWith("prepare") && arguments != null) {
                note((String) arguments[0]);
            }
            Object result = call(() -> method.invoke(real, arguments));
            return result instanceof Connection connection && type == DataSource.class
                    ? proxy(Connection.class, connection)
                    : result;
        };
        return type.cast(Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, handler));
    }

    private static void note(String statement) {
        if (!statement.toUpperCase(Locale.ROOT).contains("SPRING_SESSION")) {
            NOTED.add(statement);
        }
    }

    private interface Call {
        @Nullable
        Object run() throws InvocationTargetException, IllegalAccessException;
    }

    private static @Nullable Object call(Call call) throws Throwable {
        try {
            return call.run();
        } catch (InvocationTargetException thrown) {
            throw thrown.getTargetException();
        }
    }
}
