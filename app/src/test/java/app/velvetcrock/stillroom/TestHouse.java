package app.velvetcrock.stillroom;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Base64;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Households for tests, made by the services rather than by a dozen pages each; found by the port their application listens on. */
@Component
public class TestHouse {

    private static final Map<Integer, TestHouse> BY_PORT = new ConcurrentHashMap<>();

    private final People people;
    private final Stores stores;
    private final Jars jars;
    private final Materia materia;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    TestHouse(
            People people,
            Stores stores,
            Jars jars,
            Materia materia,
            FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.people = people;
        this.stores = stores;
        this.jars = jars;
        this.materia = materia;
        this.sessions = sessions;
    }

    @EventListener
    void listening(WebServerInitializedEvent up) {
        BY_PORT.put(up.getWebServer().getPort(), this);
    }

    public static TestHouse at(int port) {
        return BY_PORT.get(port);
    }

    /** Signs Tove up with a stillroom of this name; the answer is what her session's cookie holds. */
    public String household(String name, boolean stocked) {
        SignedIn tove = signedUp(name, stocked);
        return Base64.getEncoder().encodeToString(session(sessions, tove).getBytes(StandardCharsets.UTF_8));
    }

    /** The same for work on the services, stocked. */
    public SignedIn person(String name) {
        return signedUp(name, true);
    }

    private SignedIn signedUp(String name, boolean stocked) {
        HouseSettings usual = House.usual().settings();
        HouseSettings named =
                new HouseSettings(name, usual.units(), usual.currency(), usual.zone(), usual.pantry(), usual.room());
        SignedIn tove = people.signUp(
                new People.NewPerson(UUID.randomUUID() + "@example.org", "five jars of oil", "Tove"), named, false);
        if (stocked) {
            Current.as(tove, () -> {
                stock();
                return true;
            });
        }
        return tove;
    }

    private static <S extends Session> String session(FindByIndexNameSessionRepository<S> sessions, SignedIn person) {
        S session = sessions.createSession();
        session.setAttribute(
                HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY,
                new SecurityContextImpl(
                        UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities())));
        sessions.save(session);
        return session.getId();
    }

    /** 200 g of dried nettle, a litre of rapeseed opened on 20 September and two half-litre jars, as they would be typed. */
    private void stock() {
        var nettle = materia.herb("nettle").orElseThrow();
        stores.add(new Arrival.Herb(
                nettle,
                nettle.part(),
                Cut.CUT_AND_SIFTED,
                Moisture.DRIED,
                Mass.ofGrams(200),
                LocalDate.of(2026, 6, 24),
                null,
                Provenance.UNSAID,
                "200 g"));
        var rapeseed = materia.carrier("rapeseed").orElseThrow();
        stores.add(new Arrival.Carrier(
                rapeseed,
                rapeseed.density().massOf(Volume.ofMillilitres(1000)),
                LocalDate.of(2026, 9, 20),
                null,
                Provenance.UNSAID,
                "1 L"));
        jars.add(new Vessel("500 mL jar", Volume.ofMillilitres(500), Length.ofMillimetres(84)), JarGlass.PLAIN, 2);
    }
}
