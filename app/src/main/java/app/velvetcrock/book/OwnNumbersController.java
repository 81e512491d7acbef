package app.velvetcrock.book;

import app.velvetcrock.batch.Retentions;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** What one's own measurements changed against the shipped figures, and the way back to these. */
@Controller
class OwnNumbersController {

    private static final String PLACE = "/book/own-numbers";

    /** So much herb is told of. */
    private static final Mass TOLD_OF = Mass.ofGrams(30);

    private final Retentions retentions;
    private final Catalogue catalogue;
    private final Materia materia;

    OwnNumbersController(Retentions retentions, Catalogue catalogue, Materia materia) {
        this.retentions = retentions;
        this.catalogue = catalogue;
        this.materia = materia;
    }

    /** A figure: what it is of, as the form sends it back, and in words. */
    record Row(
            Retentions.Of of, String name, String shipped, String own, String now, String change, boolean isSetAside) {

        /** The way back, or forth again. */
        public List<Way> ways() {
            return List.of(
                    isSetAside
                            ? new Way(PLACE + "/own", "My own again")
                            : new Way(PLACE + "/shipped", "Back to shipped"));
        }
    }

    record Way(String action, String words) {}

    @GetMapping(PLACE)
    @Transactional(readOnly = true)
    public String page(Model model) {
        Map<String, String> names =
                catalogue.herbs().stream().collect(Collectors.toMap(HerbKind::key, HerbKind::common));
        model.addAttribute(
                "rows",
                retentions.all().stream()
                        .map(own -> row(
                                own,
                                names.getOrDefault(own.of().herb(), own.of().herb())))
                        .toList());
        return "book/own-numbers";
    }

    private Row row(Retentions.Own own, String name) {
        Retentions.Of of = own.of();
        Retention shipped = Retention.shipped(materia.texture(of.part(), of.cut()), of.moisture(), of.pressing());
        Retention now = own.isSetAside() ? shipped : shipped.learning(own.kept(), of.moisture());
        double mean =
                own.kept().stream().mapToDouble(Double::doubleValue).average().orElse(shipped.mean());
        long more = Math.round(now.moreThan(shipped, TOLD_OF));
        return new Row(
                of,
                "%s, %s %s, %s, %s"
                        .formatted(
                                name,
                                of.moisture().word(),
                                of.part().word(),
                                of.cut().word(),
                                of.pressing().word()),
                figure(shipped.mean()),
                "%s (n = %d)".formatted(figure(mean), own.kept().size()),
                figure(now.mean()),
                more == 0
                        ? "no difference to speak of"
                        : "of 30 g %d mL %s comes back than shipped figures foretell"
                                .formatted(Math.abs(more), more > 0 ? "more" : "less"),
                own.isSetAside());
    }

    private static String figure(double millilitres) {
        return Decimals.upTo(millilitres, 2);
    }

    @PostMapping(PLACE + "/shipped")
    String shipped(Sent sent, Reply reply) {
        return set(sent, true, reply);
    }

    @PostMapping(PLACE + "/own")
    String own(Sent sent, Reply reply) {
        return set(sent, false, reply);
    }

    /** Which figure is meant; all of it, or it is none. */
    record Sent(
            @Nullable String herb,
            @Nullable Part part,
            @Nullable Cut cut,
            @Nullable Moisture moisture,
            @Nullable Pressing pressing) {

        Retentions.Of of() {
            if (herb == null || part == null || cut == null || moisture == null || pressing == null) {
                throw new NotHere("that figure");
            }
            return new Retentions.Of(herb, part, cut, moisture, pressing);
        }
    }

    private String set(Sent sent, boolean aside, Reply reply) {
        return reply.tap(PLACE, () -> {
            retentions.setAside(sent.of(), aside);
            return new Done(
                    PLACE,
                    aside
                            ? "Plans go by the shipped figure, until something is measured anew."
                            : "Plans go by what was measured here.");
        });
    }
}
