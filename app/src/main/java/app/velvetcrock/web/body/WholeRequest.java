package app.velvetcrock.web.body;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.tomcat.util.http.Parameters;
import org.jspecify.annotations.Nullable;

/**
 * A request whose body is all there. It passes every filter once, as one that has just come would: who may do what is asked of it
 * like of any other.
 */
final class WholeRequest extends HttpServletRequestWrapper {

    private static final int MOST_FIELDS = 1_000;

    private final byte[] body;
    private @Nullable Map<String, String[]> fields;

    WholeRequest(HttpServletRequest request, byte[] body) {
        super(request);
        this.body = body;
    }

    @Override
    public DispatcherType getDispatcherType() {
        return DispatcherType.REQUEST;
    }

    @Override
    public ServletInputStream getInputStream() {
        ByteArrayInputStream in = new ByteArrayInputStream(body);
        return new ServletInputStream() {
            @Override
            public int read() {
                return in.read();
            }

            @Override
            public int read(byte[] into, int from, int most) {
                return in.read(into, from, most);
            }

            @Override
            public boolean isFinished() {
                return in.available() == 0;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new IllegalStateException("it is all there");
            }
        };
    }

    @Override
    public BufferedReader getReader() {
        return new BufferedReader(new InputStreamReader(getInputStream(), charset()));
    }

    @Override
    public @Nullable String getParameter(String name) {
        String[] values = fields().get(name);
        return values == null ? null : values[0];
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(fields().keySet());
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
        String[] values = fields().get(name);
        return values == null ? null : values.clone();
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        return Collections.unmodifiableMap(fields());
    }

    /** Those of the address first, then the form's: as the container reads them. */
    private Map<String, String[]> fields() {
        Map<String, String[]> read = fields;
        if (read == null) {
            read = read();
            fields = read;
        }
        return read;
    }

    private Map<String, String[]> read() {
        Parameters parameters = new Parameters();
        parameters.setLimit(MOST_FIELDS);
        parameters.setCharset(charset());
        if (getQueryString() != null) {
            byte[] query = getQueryString().getBytes(StandardCharsets.UTF_8);
            parameters.processParameters(query, 0, query.length);
        }
        if (isForm()) {
            parameters.processParameters(body, 0, body.length);
        }
        Map<String, String[]> read = new LinkedHashMap<>();
        for (String name : Collections.list(parameters.getParameterNames())) {
            read.put(name, parameters.getParameterValues(name));
        }
        return read;
    }

    private boolean isForm() {
        String type = getContentType();
        return getMethod().equals("POST")
                && type != null
                && type.toLowerCase(Locale.ROOT).startsWith("application/x-www-form-urlencoded");
    }

    /** An unknown one is an {@link IllegalArgumentException}, like text that cannot be decoded. */
    private Charset charset() {
        String named = getCharacterEncoding();
        return named == null ? StandardCharsets.UTF_8 : Charset.forName(named);
    }
}
