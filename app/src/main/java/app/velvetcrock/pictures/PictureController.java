package app.velvetcrock.pictures;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.pictures.Developing.Developed;
import app.velvetcrock.pictures.Pictures.AtWhat;
import app.velvetcrock.pictures.Pictures.Kept;
import app.velvetcrock.pictures.Pictures.Of;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import app.velvetcrock.web.body.Bodies;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes pictures in, shows one by itself, and compares two spots of it. */
@Controller
class PictureController {

    private static final int MOST_WORDS = 300;
    private static final String SHELF = "/shelf";

    private final Pictures pictures;
    private final Batches batches;
    private final Stores stores;
    private final Reactions reactions;
    private final PictureStrip strips;
    private final Households households;

    PictureController(
            Pictures pictures,
            Batches batches,
            Stores stores,
            Reactions reactions,
            PictureStrip strips,
            Households households) {
        this.pictures = pictures;
        this.batches = batches;
        this.stores = stores;
        this.reactions = reactions;
        this.strips = strips;
        this.households = households;
    }

    /** What it is of is looked for before it is read: another's, or nothing, is not here. Its name. */
    private String here(Of of, UUID about) {
        return switch (of) {
            case BATCH -> batches.sheet(about).name();
            case LOT -> stores.lot(about).name();
            case REACTION -> "how skin took " + reactions.find(about).used().name();
        };
    }

    private static <E extends Enum<E>> E named(E[] all, String name) {
        return Stream.of(all).filter(one -> one.name().equals(name)).findFirst().orElseThrow(() -> new NotHere("that"));
    }

    /** What was photographed of one thing, where its own page has no room for it: of a reaction among others of the same person. */
    @GetMapping(Bodies.PICTURES + "{of}/{about}")
    String all(@PathVariable String of, @PathVariable UUID about, HttpServletRequest request, Model model) {
        Of which = named(Of.values(), of);
        String head = "Pictures of " + here(which, about);
        AtWhat what = which == Of.REACTION ? AtWhat.REACTION : which == Of.LOT ? AtWhat.LABEL : AtWhat.LOOK;
        model.addAttribute("head", head);
        model.addAttribute("strip", strips.strips(request).of(of, about, what.name()));
        model.addAttribute(
                "back",
                which == Of.REACTION
                        ? "/book/reactions?who=" + reactions.find(about).used().person()
                        : SHELF);
        return "pictures/of";
    }

    /** The body is the picture; what else is said of it stands in the address. */
    @PostMapping(Bodies.PICTURES + "{of}/{about}")
    String add(
            @PathVariable String of,
            @PathVariable UUID about,
            @RequestParam(required = false) @Nullable UUID key,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(required = false) @Nullable String back,
            HttpServletRequest request,
            Reply reply) {
        Of which = named(Of.values(), of);
        AtWhat at = named(AtWhat.values(), what);
        here(which, about);
        Fields fields = new Fields(households.current().reader());
        Optional<String> said = words.isBlank() ? Optional.empty() : fields.words("words", words, MOST_WORDS);
        String leadsTo = Reply.inside(back, SHELF);
        if (!PictureStrip.fits(which, at)) {
            throw new NotHere("that");
        }
        if (!Bodies.bringsPicture(request)) {
            fields.trouble("", "No picture came with it: JPEG and PNG are taken, made small by the page.", "");
        }
        return reply.answer(new FormSent("", key, fields, leadsTo), () -> "redirect:" + leadsTo, () -> {
            Developed developed =
                    Developing.of(Bodies.whole(request).orElseThrow(() -> new Refused("No picture came.")));
            UUID id = pictures.add(which, about, at, said.orElse(""), developed);
            return new Done(
                    leadsTo,
                    "The picture is kept, without where and with what it was taken.",
                    which == Of.REACTION ? "/pictures/%s/delete".formatted(id) : "/pictures/%s/drop".formatted(id));
        });
    }

    @GetMapping("/pictures/{id}")
    String one(@PathVariable UUID id, @RequestParam(required = false) @Nullable String back, Spots spots, Model model) {
        Kept kept = pictures.find(id);
        House house = households.current();
        if (kept.dropped()) {
            throw new NotHere("that picture");
        }
        String leadsTo = Reply.inside(back, SHELF);
        model.addAttribute("shown", PictureStrip.shown(kept, house, leadsTo));
        model.addAttribute("picture", kept);
        model.addAttribute("back", leadsTo);
        model.addAttribute("spots", spots);
        model.addAttribute(
                "beside", spots.isSaid() ? spots.of(pictures.bytes(id, false)).words() : "");
        return "pictures/picture";
    }

    @GetMapping("/pictures/{id}/small.jpg")
    ResponseEntity<byte[]> small(@PathVariable UUID id) {
        return bytes(id, true);
    }

    @GetMapping("/pictures/{id}/whole.jpg")
    ResponseEntity<byte[]> whole(@PathVariable UUID id) {
        return bytes(id, false);
    }

    /** It stays in no cache between: whoever may see it is asked each time. */
    private ResponseEntity<byte[]> bytes(UUID id, boolean small) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.noStore())
                .body(pictures.bytes(id, small));
    }

    @PostMapping("/pictures/{id}/words")
    String say(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable UUID key,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(required = false) @Nullable String back,
            Reply reply) {
        pictures.find(id);
        Fields fields = new Fields(households.current().reader());
        Optional<String> said = words.isBlank() ? Optional.empty() : fields.words("words", words, MOST_WORDS);
        String page = "/pictures/%s?back=%s".formatted(id, Reply.inside(back, SHELF));
        return reply.answer(new FormSent("", key, fields, page), () -> "redirect:" + page, () -> {
            pictures.say(id, said.orElse(""));
            return new Done(page, "So it is described.");
        });
    }

    @PostMapping("/pictures/{id}/drop")
    String drop(@PathVariable UUID id, @RequestParam(required = false) @Nullable String back, Reply reply) {
        if (pictures.find(id).isOfSkin()) {
            return delete(id, back, reply);
        }
        return reply.tap(Reply.inside(back, SHELF), () -> {
            pictures.drop(id, true);
            return new Done(
                    Reply.inside(back, SHELF),
                    "The picture is put away; in thirty days it is deleted for good.",
                    "/pictures/%s/back".formatted(id));
        });
    }

    @PostMapping("/pictures/{id}/back")
    String back(@PathVariable UUID id, Reply reply) {
        pictures.find(id);
        String page = "/pictures/" + id;
        return reply.tap(page, () -> {
            pictures.drop(id, false);
            return new Done(page, "It is back.");
        });
    }

    /** For good; the words say so before. */
    @PostMapping("/pictures/{id}/delete")
    String delete(@PathVariable UUID id, @RequestParam(required = false) @Nullable String back, Reply reply) {
        pictures.find(id);
        return reply.tap(Reply.inside(back, SHELF), () -> {
            pictures.delete(id);
            return new Done(Reply.inside(back, SHELF), "The picture is deleted for good.");
        });
    }
}
