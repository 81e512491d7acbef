package app.velvetcrock.live;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * A way to let go of a browser that takes nothing any more. To end its answer as any other, the container would wait until all of it
 * is taken, on a thread for each; so its connection is cut.
 */
@Component
class Cutting implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {

    private static final String CUT = Cutting.class.getName();

    @Override
    public void customize(ConfigurableTomcatWebServerFactory container) {
        container.addEngineValves(new Handing());
    }

    /** What cuts the connection a request came over. */
    static Runnable of(HttpServletRequest request) {
        return request.getAttribute(CUT) instanceof Runnable cut ? cut : () -> {};
    }

    private static final class Handing extends ValveBase {

        Handing() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            if (String.valueOf(request.getRequestURI()).endsWith("/live")) {
                Runnable cut = () -> response.getCoyoteResponse()
                        .action(ActionCode.CLOSE_NOW, new IOException("nobody takes what is sent"));
                request.setAttribute(CUT, cut);
            }
            getNext().invoke(request, response);
        }
    }
}
