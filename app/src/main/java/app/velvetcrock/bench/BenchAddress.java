package app.velvetcrock.bench;

import app.velvetcrock.core.method.Method;
import app.velvetcrock.sentence.WishForm;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/** The Bench's sentence as an address: every field of it once, of which what differs from the usual is said. */
final class BenchAddress {

    private BenchAddress() {}

    /**
     * Every field of the sentence by its name, in its order. What is weighed and poured at the start, and the form's key, belong
     * to a start alone.
     */
    static Map<String, String> said(BenchForm form) {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("herb", text(form.herb()));
        said.put("amount", text(form.amount()));
        said.put("cut", text(form.cut()));
        List<SentencePart.HerbRow> more = form.more() == null ? List.of() : form.more();
        for (int i = 0; i < more.size(); i++) {
            said.put("more[%d].herb".formatted(i), text(more.get(i).herb()));
            said.put("more[%d].amount".formatted(i), text(more.get(i).amount()));
        }
        said.put("total", text(form.total()));
        said.put("carrier", text(form.carrier()));
        SentencePart.Mix mix = Objects.requireNonNullElse(form.mix(), SentencePart.Mix.NONE);
        said.put("mix.first", text(mix.first()));
        for (int i = 0; i < mix.others().size(); i++) {
            said.put(
                    "mix.more[%d].carrier".formatted(i),
                    text(mix.others().get(i).carrier()));
            said.put("mix.more[%d].share".formatted(i), text(mix.others().get(i).share()));
        }
        said.put("oil", text(form.oil()));
        said.put("jar", text(form.jar()));
        said.put("method", text(form.method()));
        said.put("length", text(form.length()));
        said.put("then", text(form.then()));
        said.put("start", text(form.start()));
        said.put("use", text(form.use()));
        said.put("pressing", text(form.pressing()));
        said.put("storage", text(form.storage()));
        said.put("knowingly", text(form.knowingly()));
        SentencePart.Numbers numbers = Objects.requireNonNullElse(form.numbers(), SentencePart.Numbers.NONE);
        said.put("numbers.band", text(numbers.band()));
        said.put("numbers.ceiling", text(numbers.ceiling()));
        said.put("numbers.thenBand", text(numbers.thenBand()));
        said.put("numbers.thenCeiling", text(numbers.thenCeiling()));
        said.put("numbers.shake", text(numbers.shake()));
        said.put("numbers.look", text(numbers.look()));
        said.put("numbers.read", text(numbers.read()));
        SentencePart.SpiritForm spirit = Objects.requireNonNullElse(form.spirit(), SentencePart.SpiritForm.NONE);
        said.put("spirit.lot", text(spirit.lot()));
        said.put("spirit.perGram", text(spirit.perGram()));
        said.put("spirit.thin", text(spirit.thin()));
        SentencePart.Time time = Objects.requireNonNullElse(form.time(), SentencePart.Time.NONE);
        said.put("time.by", text(time.by()));
        said.put("time.at", text(time.at()));
        List<String> holds = time.hold() == null ? List.of() : time.hold();
        for (int i = 0; i < holds.size(); i++) {
            said.put("time.hold[%d]".formatted(i), text(holds.get(i)));
        }
        SentencePart.Want want = Objects.requireNonNullElse(form.want(), SentencePart.Want.NONE);
        said.put("want.amount", text(want.amount()));
        said.put("want.container", text(want.container()));
        said.put("want.firmness", text(want.firmness()));
        said.put(
                "want.kind",
                BenchForm.isBlank(want.amount()) || WantSentence.USUAL.equals(want.kind()) ? "" : text(want.kind()));
        WishForm.put(said, "want.wish.", want.wish());
        return said;
    }

    /**
     * The address of a sentence.
     *
     * @param usual what stands there where nothing is said
     */
    static String of(BenchForm form, BenchForm usual) {
        return of(form, said(usual));
    }

    /**
     * The address of a sentence.
     *
     * @param otherwise what stands in its fields where nothing is said; nothing where all is to be said
     */
    static String of(BenchForm form, Map<String, String> otherwise) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/bench");
        said(form).forEach((name, value) -> {
            // Which way is the fittest may be another tomorrow, so the way is always said.
            if (name.equals("method") || !value.equals(otherwise.getOrDefault(name, ""))) {
                address.queryParam(
                        name.replace("[", "%5B").replace("]", "%5D"), UriUtils.encode(value, StandardCharsets.UTF_8));
            }
        });
        return address.build(true).toUriString();
    }

    /** What stands on the Bench where nothing is said, by a way. */
    static BenchForm usual(Method way, String amount, String today) {
        return BenchForm.of("", amount, "", "").withDefaults(way, amount, today);
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }
}
