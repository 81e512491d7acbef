package app.velvetcrock.hours;

import app.velvetcrock.core.heat.WarmUp;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.core.timetable.Window;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.trip.Question;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When the household is home and awake, by its people's weeks and the days that are otherwise. */
@Service
public class Hours {

    private final ResidentRepository residents;
    private final HoursRead read;
    private final AbsenceRepository absences;
    private final Households households;
    private final Clock clock;

    Hours(
            ResidentRepository residents,
            HoursRead read,
            AbsenceRepository absences,
            Households households,
            Clock clock) {
        this.residents = residents;
        this.read = read;
        this.absences = absences;
        this.households = households;
        this.clock = clock;
    }

    /**
     * A person with the hours as typed, Monday first.
     *
     * @param version which state of them this is
     */
    public record OfResident(UUID id, int version, String name, List<String> week) {}

    /** Days that are otherwise, and whose. */
    public record OfAbsence(UUID id, String name, Presence.Otherwise otherwise) {}

    /** The household's hours; the usual ones until somebody has said theirs. */
    @Transactional(readOnly = true)
    public HomeHours home() {
        return known().home();
    }

    /** The hours, and whether anybody said them. */
    private record Known(HomeHours home, boolean said) {}

    private Known known() {
        return PerRequest.of("hours", Current.person(), this::read);
    }

    /** Asks for what hours are worked out of. */
    public Question<?> question() {
        return read.question();
    }

    private Known read() {
        var zone = households.current().settings().zone();
        HoursRead.All all = read.all();
        List<Presence> week = all.people().isEmpty() ? HomeHours.usual(zone).people() : all.people();
        return new Known(
                new HomeHours(week, zone, households.heatAlone(), WarmUp.learned(all.warmUps())),
                !all.people().isEmpty());
    }

    /** Tells whether anybody has said theirs. */
    @Transactional(readOnly = true)
    public boolean areSaid() {
        return known().said();
    }

    /** Tells whether slow heat may run on while nobody is there or awake. */
    @Transactional(readOnly = true)
    public boolean heatMayRunAlone() {
        return households.heatAlone();
    }

    @Transactional
    public void letHeatRunAlone(boolean may) {
        households.letHeatAlone(may);
    }

    @Transactional(readOnly = true)
    public List<OfResident> people() {
        return residents.all().stream()
                .map(person -> new OfResident(person.id, person.version, person.name, person.typed()))
                .toList();
    }

    /** Days that are otherwise and not past. */
    @Transactional(readOnly = true)
    public List<OfAbsence> exceptions(LocalDate today) {
        Map<UUID, String> names =
                residents.all().stream().collect(Collectors.toMap(person -> person.id, person -> person.name));
        return absences.all().stream()
                .filter(absence -> !absence.lastDay.isBefore(today) && names.containsKey(absence.residentId))
                .map(absence -> new OfAbsence(
                        absence.id, Objects.requireNonNull(names.get(absence.residentId)), absence.otherwise()))
                .toList();
    }

    @Transactional
    public UUID add(String name, List<List<Window>> days) {
        return residents.saveAndFlush(new Resident(name, days, clock.instant())).id;
    }

    /**
     * Changes a person's week.
     *
     * @param version the state it was read from
     * @throws ObjectOptimisticLockingFailureException when somebody has changed it since
     */
    @Transactional
    public void change(UUID id, int version, String name, List<List<Window>> days) {
        Resident person = person(id);
        if (person.version != version) {
            throw new ObjectOptimisticLockingFailureException(Resident.class, id);
        }
        person.set(name, days);
    }

    /** Takes a person out, or puts one back. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        person(id).removedAt = removed ? clock.instant() : null;
    }

    @Transactional
    public UUID except(UUID person, Presence.Otherwise otherwise) {
        person(person);
        return absences.saveAndFlush(new Absence(person, otherwise, clock.instant())).id;
    }

    /** Takes an exception back, or makes it again. */
    @Transactional
    public void removeException(UUID id, boolean removed) {
        absences.findHere(id).orElseThrow(() -> new NotHere("that exception")).removedAt =
                removed ? clock.instant() : null;
    }

    private Resident person(UUID id) {
        return residents.findHere(id).orElseThrow(() -> new NotHere("that person"));
    }
}
