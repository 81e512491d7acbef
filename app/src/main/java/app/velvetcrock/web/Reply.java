package app.velvetcrock.web;

import app.velvetcrock.web.Refused.AlreadyDone;
import app.velvetcrock.web.Refused.Overtaken;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.ui.Model;
import org.springframework.web.servlet.support.RequestContextUtils;

/**
 * The one path every form is answered by: what could not be read, or may not be done, is said at the head of the same page with
 * everything typed kept; what was done is done once for its key, said on the page it leads to, and can be undone there.
 */
public final class Reply {

    private static final int LONGEST_PATH = 300;

    /** The name under which a page finds what was refused. */
    public static final String REFUSALS = "refusals";

    private static final int UNREADABLE = 422;
    private static final int CONFLICT = 409;
    private static final String OVERTAKEN =
            "Somebody changed this while you were at it. Nothing of theirs was lost and nothing of yours "
                    + "was written: look how it stands now, and send again.";

    private final Model model;
    private final HttpServletRequest request;
    private final HttpServletResponse response;
    private final OneTime oneTime;
    private final @Nullable UUID stillroom;

    Reply(
            Model model,
            HttpServletRequest request,
            HttpServletResponse response,
            OneTime oneTime,
            @Nullable UUID stillroom) {
        this.model = model;
        this.request = request;
        this.response = response;
        this.oneTime = oneTime;
        this.stillroom = stillroom;
    }

    /** Makes replies for requests of a stillroom; of none where nobody is signed in yet, which keeps no keys. */
    public static Reply of(
            Model model,
            HttpServletRequest request,
            HttpServletResponse response,
            OneTime oneTime,
            @Nullable UUID stillroom) {
        return new Reply(model, request, response, oneTime, stillroom);
    }

    /** One thing that stands against a form: {@code at} is the id of its field, empty for the form as a whole. */
    public record Refusal(String at, String wrong, String instead) {}

    public Model model() {
        return model;
    }

    /**
     * Does what a form asks.
     *
     * @param again shows its page once more, as it was typed
     * @param work does it; not asked where the form is not clear, or was done before
     */
    public String answer(FormSent sent, Supplier<String> again, Supplier<Done> work) {
        if (!sent.fields().isClear()) {
            return before(sent).orElseGet(() -> refuse(sent, UNREADABLE, again));
        }
        try {
            return led(stillroom == null ? work.get() : oneTime.once(stillroom, sent.key(), work));
        } catch (AlreadyDone before) {
            say(new Notice(before.reason(), null));
            return "redirect:" + sent.leadsTo();
        } catch (Refused refused) {
            sent.fields().trouble(refused.field(), refused.reason(), refused.instead());
            boolean unreadable = !refused.field().isEmpty() && !(refused instanceof Overtaken);
            return before(sent).orElseGet(() -> refuse(sent, unreadable ? UNREADABLE : CONFLICT, again));
        } catch (DataIntegrityViolationException | ConcurrencyFailureException overtaken) {
            sent.fields().trouble("", OVERTAKEN, "");
        }
        return before(sent).orElseGet(() -> refuse(sent, CONFLICT, again));
    }

    /** The answer of the first sending, where this is another of the same form. */
    private Optional<String> before(FormSent sent) {
        return stillroom == null
                ? Optional.empty()
                : oneTime.done(stillroom, sent.key()).map(this::led);
    }

    private String led(Done done) {
        if (!done.words().isEmpty()) {
            say(new Notice(done.words(), done.undo()));
        }
        return "redirect:" + done.leadsTo();
    }

    /** Shows a form again with what is wrong in it. */
    public String refuse(FormSent sent, Supplier<String> again) {
        return refuse(sent, UNREADABLE, again);
    }

    private String refuse(FormSent sent, int status, Supplier<String> again) {
        response.setStatus(status);
        List<Refusal> refusals = sent.fields().troubles().entrySet().stream()
                .map(trouble -> new Refusal(
                        trouble.getKey().isEmpty() ? "" : sent.prefix() + trouble.getKey(),
                        trouble.getValue().wrong(),
                        trouble.getValue().instead()))
                .toList();
        model.addAttribute(REFUSALS, refusals);
        String page = again.get();
        if (page.startsWith("redirect:")) {
            // A page that is only led to knows nothing of what was refused here, unless it is told.
            say(Notice.refusal(refusals.stream().map(Refusal::wrong).collect(Collectors.joining(" "))));
        }
        return page;
    }

    /** Does what a button without fields asks, however often it is tapped; a refusal is said on the page it came from. */
    public String tap(String leadsTo, Supplier<Done> work) {
        try {
            Done done = work.get();
            say(new Notice(done.words(), done.undo()));
            return "redirect:" + done.leadsTo();
        } catch (Refused refused) {
            say(Notice.refusal(refused.reason()));
        } catch (DataIntegrityViolationException | ConcurrencyFailureException overtaken) {
            say(Notice.refusal(OVERTAKEN));
        }
        return "redirect:" + leadsTo;
    }

    private void say(Notice notice) {
        RequestContextUtils.getOutputFlashMap(request).put(Notice.NAME, notice);
    }

    /**
     * What a form did.
     *
     * @param leadsTo the page after it
     * @param words what was done, said there
     * @param undo where to send the undoing; null where there is none
     */
    public record Done(String leadsTo, String words, @Nullable String undo) {

        public Done(String leadsTo, String words) {
            this(leadsTo, words, null);
        }
    }

    /**
     * A form as it came.
     *
     * @param prefix before the ids of its fields on the page
     * @param key sent once, so that a repeat is known for one; null where it carries none
     * @param leadsTo where it leads when somebody did the same before
     */
    public record FormSent(String prefix, @Nullable UUID key, Fields fields, String leadsTo) {}

    /** A page of this house that a form named to go back to; another address, or none, is not gone to. */
    public static String inside(@Nullable String path, String otherwise) {
        if (path == null || path.length() < 2 || path.length() > LONGEST_PATH) {
            return otherwise;
        }
        boolean plain = path.chars().allMatch(sign -> sign > ' ' && sign < 0x7f && sign != '\\');
        return plain && path.charAt(0) == '/' && path.charAt(1) != '/' ? path : otherwise;
    }
}
