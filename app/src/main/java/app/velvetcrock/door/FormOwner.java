package app.velvetcrock.door;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Writes into every form, beside the token against forgery, whose it is. */
final class FormOwner implements RequestDataValueProcessor {

    private final RequestDataValueProcessor tokens;

    FormOwner(RequestDataValueProcessor tokens) {
        this.tokens = tokens;
    }

    @Override
    public String processAction(HttpServletRequest request, String action, String method) {
        return tokens.processAction(request, action, method);
    }

    @Override
    public String processFormFieldValue(HttpServletRequest request, @Nullable String name, String value, String type) {
        return tokens.processFormFieldValue(request, name, value, type);
    }

    @Override
    public @Nullable Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
        Map<String, String> hidden = tokens.getExtraHiddenFields(request);
        if (hidden == null || hidden.isEmpty() || Current.signedIn().isEmpty()) {
            return hidden;
        }
        Map<String, String> all = new LinkedHashMap<>(hidden);
        all.put(KeptController.BY, Current.signedIn().map(SignedIn::mark).orElseThrow());
        return all;
    }

    @Override
    public String processUrl(HttpServletRequest request, String url) {
        return tokens.processUrl(request, url);
    }
}
