package app.velvetcrock.stillroom;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its household, today there, the places and a fresh one-time key. */
@ControllerAdvice(annotations = Controller.class)
class PageAdvice {

    private static final List<Place> PLACES = List.of(
            new Place("shelf", "Shelf", "what stands here today", "s"),
            new Place("stores", "Stores", "what I have to work with", "t"),
            new Place("bench", "Bench", "plan a batch", "b"),
            new Place("press", "Press", "strain and measure", "p"),
            new Place("cupboard", "Cupboard", "finished oils and goods", "c"),
            new Place("pan", "Pan", "make something of an oil", "n"),
            new Place("book", "Book", "what I learned", "k"));

    /** A demo's dates are relative to its loading; after this it no longer shows what it is meant to show. */
    private static final Duration DEMO_KEEPS = Duration.ofDays(2);

    private final Households households;
    private final Clock clock;

    PageAdvice(Households households, Clock clock) {
        this.households = households;
        this.clock = clock;
    }

    /** A place in the navigation, with the key that leads there. */
    record Place(String key, String name, String about, String accessKey) {}

    /** Reads the household once for both, so that a page costs one look. */
    @ModelAttribute
    void household(Model model) {
        if (Current.signedIn().isEmpty()) {
            return;
        }
        House house = households.current();
        model.addAttribute("house", house);
        model.addAttribute("today", house.dayOf(clock.instant()));
        model.addAttribute(
                "demoIsOld",
                house.demoSince() != null
                        && house.demoSince().isBefore(clock.instant().minus(DEMO_KEEPS)));
        model.addAttribute("person", Current.person());
    }

    @ModelAttribute("places")
    List<Place> places() {
        return PLACES;
    }

    @ModelAttribute("formKey")
    UUID formKey() {
        return UUID.randomUUID();
    }

    /** One-time keys for a page with many forms. */
    @ModelAttribute("keys")
    Keys keys() {
        return UUID::randomUUID;
    }

    /** Gives out one-time keys. */
    interface Keys {

        UUID next();
    }
}
