package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The household's jars, by their sizes. */
@Service
public class Jars {

    private final JarRepository jars;
    private final Clock clock;

    Jars(JarRepository jars, Clock clock) {
        this.jars = jars;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<OfJar> all() {
        return jars.all().stream().map(Jar::shown).toList();
    }

    /** Locks a jar's row, so that two batches started at once cannot both take the last of it. */
    @Transactional
    public OfJar lock(UUID id) {
        return jars.lock(id).orElseThrow(() -> new NotHere("that jar")).shown();
    }

    @Transactional
    public UUID add(Vessel vessel, JarGlass glass, int pieces) {
        return jars.save(new Jar(vessel, glass, pieces, clock.instant())).id;
    }

    /** Fails where there is no such jar here, before anything said of it is read. */
    @Transactional(readOnly = true)
    public void mustBeHere(UUID id) {
        jars.findById(id).orElseThrow(() -> new NotHere("that jar"));
    }

    /** Writes down how wide it really is; plans made before keep the width they were made with. */
    @Transactional
    public String measure(UUID id, Length width) {
        Jar jar = jars.lock(id).orElseThrow(() -> new NotHere("that jar"));
        jar.measure(width);
        return jar.name;
    }

    /** Takes back a jar; refused when a batch ever stood in it. */
    @Transactional
    public void takeBack(UUID id) {
        Jar jar = jars.lock(id).orElseThrow(() -> new NotHere("that jar"));
        try {
            jars.delete(jar);
            jars.flush();
        } catch (DataIntegrityViolationException used) {
            throw new Refused("A batch stood in “%s”, so it stays in the record.".formatted(jar.name));
        }
    }
}
