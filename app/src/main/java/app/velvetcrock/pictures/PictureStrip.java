package app.velvetcrock.pictures;

import app.velvetcrock.pictures.Pictures.AtWhat;
import app.velvetcrock.pictures.Pictures.Kept;
import app.velvetcrock.pictures.Pictures.Of;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page show what was photographed of its subject; read when the page asks for it. */
@ControllerAdvice(annotations = Controller.class)
class PictureStrip {

    private final Pictures pictures;
    private final Households households;

    PictureStrip(Pictures pictures, Households households) {
        this.pictures = pictures;
        this.households = households;
    }

    @ModelAttribute("pictures")
    Strips strips(HttpServletRequest request) {
        return new Strips(pictures, households, request.getRequestURI());
    }

    /** One in a strip. */
    record Shown(UUID id, String href, String small, String words, String when, int width, int height) {}

    /**
     * Those of one subject, and where more are sent to.
     *
     * @param to where a new one goes
     * @param what with which doing it is taken
     * @param back the page it is shown on
     */
    record Strip(String to, String what, String back, List<Shown> shown, boolean ofSkin) {}

    /** By what a page names as its subject. */
    record Strips(Pictures pictures, Households households, String here) {

        public Strip of(String of, UUID about, String what) {
            Of which = Of.valueOf(of);
            List<Kept> kept = Current.signedIn().isEmpty() ? List.of() : pictures.of(which, about);
            House house = households.current();
            return new Strip(
                    "/pictures/of/%s/%s".formatted(of, about),
                    what,
                    here,
                    kept.stream().map(one -> shown(one, house, here)).toList(),
                    which == Of.REACTION);
        }
    }

    static Shown shown(Kept one, House house, String back) {
        String when = "%s, %s".formatted(one.what().words(), house.moment(one.taken()));
        return new Shown(
                one.id(),
                "/pictures/%s?back=%s".formatted(one.id(), back),
                "/pictures/%s/small.jpg".formatted(one.id()),
                described(one, when),
                when,
                one.width(),
                one.height());
    }

    /** For whoever cannot see it: in somebody's words, or at least what it is a picture of. */
    private static String described(Kept one, String when) {
        return one.words().isEmpty() ? "Picture " + when + ", not described yet" : one.words();
    }

    /** With which doing a picture may be taken that is of that. */
    static boolean fits(Of of, AtWhat what) {
        return (of == Of.REACTION) == (what == AtWhat.REACTION);
    }
}
