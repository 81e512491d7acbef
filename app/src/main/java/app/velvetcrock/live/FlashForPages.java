package app.velvetcrock.live;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.support.SessionFlashMapManager;

/** What a deed has to say waits for the page it leads to; a page that fetches its parts meanwhile does not take it away. */
@Component("flashMapManager")
class FlashForPages extends SessionFlashMapManager {

    /** What says that a page asks for its parts by itself. */
    private static final String BY_ITSELF = "X-Live";

    @Override
    protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
        return request.getHeader(BY_ITSELF) == null || !"GET".equals(request.getMethod())
                ? super.retrieveFlashMaps(request)
                : null;
    }
}
