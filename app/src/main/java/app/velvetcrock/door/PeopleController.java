package app.velvetcrock.door;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.Invitations;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Who belongs to the stillroom, who is asked in, and where one is signed in. */
@Controller
class PeopleController {

    private static final String PEOPLE = "/settings/people";

    private final People people;
    private final Invitations invitations;
    private final Sessions sessions;
    private final Households households;
    private final OwnAddress own;

    PeopleController(People people, Invitations invitations, Sessions sessions, Households households, OwnAddress own) {
        this.own = own;
        this.people = people;
        this.invitations = invitations;
        this.sessions = sessions;
        this.households = households;
    }

    /** A row of one of the page's tables: what it is, what is said of it, and what its button says. */
    record Row(String id, String name, String words, boolean isMine) {}

    @GetMapping("/settings/people")
    String page(Model model, HttpServletRequest request) {
        House house = households.current();
        SignedIn me = Current.person();
        List<People.Member> members = people.members();
        model.addAttribute(
                "members",
                members.stream()
                        .map(member -> new Row(
                                member.account().toString(),
                                member.name(),
                                "%s, here since %s".formatted(member.email(), house.date(house.dayOf(member.joined()))),
                                member.account().equals(me.account())))
                        .toList());
        model.addAttribute("isAlone", members.size() == 1);
        model.addAttribute(
                "gone",
                people.justLeft().stream()
                        .map(member -> new Row(
                                member.account().toString(),
                                member.name(),
                                "went %s; may be taken back for a day".formatted(house.moment(member.joined())),
                                false))
                        .toList());
        Map<UUID, String> names = people.namesHere();
        model.addAttribute(
                "open",
                invitations.open().stream()
                        .map(link -> new Row(
                                link.id().toString(),
                                "A link by " + names.getOrDefault(link.by(), "somebody"),
                                "leads in once, till " + house.moment(link.ends()),
                                false))
                        .toList());
        model.addAttribute(
                "devices",
                sessions.of(me.email(), request).stream()
                        .map(device -> new Row(
                                device.id(),
                                device.isHere() ? "This " + device.kind() : "A " + device.kind(),
                                "signed in %s, last seen %s"
                                        .formatted(house.moment(device.since()), house.moment(device.seen())),
                                device.isHere()))
                        .toList());
        return "door/people";
    }

    @PostMapping("/settings/people/invite")
    String invite(RedirectAttributes after, Reply reply) {
        return reply.tap(PEOPLE, () -> {
            String secret = invitations.invite();
            after.addFlashAttribute("address", own.of("/join/" + secret));
            return new Done(PEOPLE, "The link is made. It leads in once, within seven days.");
        });
    }

    @PostMapping("/settings/people/invitations/{id}/undo")
    String withdraw(@PathVariable UUID id, Reply reply) {
        return reply.tap(PEOPLE, () -> {
            invitations.withdraw(id);
            return new Done(PEOPLE, "That link leads nowhere now.");
        });
    }

    /** Somebody else is let go, or one goes oneself; either is signed out everywhere. */
    @PostMapping("/settings/people/{account}/remove")
    String remove(@PathVariable UUID account, Reply reply) {
        return reply.tap(PEOPLE, () -> {
            People.Gone gone = people.leave(account);
            sessions.endAll(gone.member().email());
            boolean myself = account.equals(Current.person().account());
            return myself
                    ? new Done("/sign-in?out", "You have left.")
                    : new Done(
                            PEOPLE,
                            ("%s does not belong here any more; what they wrote keeps their name. " + "%s")
                                    .formatted(gone.member().name(), String.join(" ", gone.withdrawn()))
                                    .strip(),
                            PEOPLE + "/" + account + "/undo");
        });
    }

    /** For a day; what was withdrawn with them stays so. */
    @PostMapping("/settings/people/{account}/undo")
    String takeBack(@PathVariable UUID account, Reply reply) {
        return reply.tap(PEOPLE, () -> {
            People.Member back = people.takeBack(account);
            return new Done(
                    PEOPLE,
                    "%s belongs here again. Links, addresses and tokens of theirs are to be made anew."
                            .formatted(back.name()));
        });
    }

    @PostMapping("/settings/devices/{device}/out")
    String signOut(@PathVariable String device, Reply reply) {
        return reply.tap(PEOPLE, () -> {
            if (!sessions.end(Current.person().email(), device)) {
                throw new NotHere("that device");
            }
            return new Done(PEOPLE, "That device is signed out.");
        });
    }
}
