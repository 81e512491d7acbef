package app.velvetcrock.stillroom;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.core.timetable.Span;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Origin;
import app.velvetcrock.core.working.Working;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The current household as pages see it: its settings, and how it writes weights, volumes, degrees and dates. */
public record House(
        HouseSettings settings, int version, Display display, @Nullable Instant demoSince, Optional<LocalDate> today) {

    /** What a household starts from until it says otherwise. */
    public static House usual() {
        HouseSettings settings = new HouseSettings(
                "Stillroom",
                HouseholdUnits.METRIC,
                "EUR",
                ZoneId.of("Europe/London"),
                Temperature.ofCelsius(14),
                Temperature.ofCelsius(20));
        return new House(settings, 0, Display.USUAL, null, Optional.empty());
    }

    /** Reads when something was done. */
    public WhenReader past(Instant now) {
        return WhenReader.ofThePast(LocalDateTime.ofInstant(now, settings.zone()));
    }

    /** Reads when something is to be. */
    public WhenReader future(Instant now) {
        return WhenReader.ofTheFuture(LocalDateTime.ofInstant(now, settings.zone()));
    }

    public AmountReader reader() {
        return new AmountReader(settings.units());
    }

    /** How amounts, days and moments are written here. */
    public Wording wording() {
        return new Wording(settings.units(), settings.zone(), today);
    }

    public LocalDate dayOf(Instant instant) {
        return wording().dayOf(instant);
    }

    /** The instant of something done on a day: now if that is today, else noon there. */
    public Instant instantOn(LocalDate day, Instant now) {
        return day.equals(dayOf(now))
                ? now
                : day.atTime(12, 0).atZone(settings.zone()).toInstant();
    }

    public String mass(Mass mass) {
        return settings.units().mass(mass);
    }

    public String volume(Volume volume) {
        return settings.units().volume(volume);
    }

    /** An estimated volume, with "about" before it. */
    public String about(Volume volume) {
        return "about " + settings.units().aboutVolume(volume);
    }

    /** An estimated weight, with "about" before it. */
    public String about(Mass mass) {
        return "about " + settings.units().aboutMass(mass);
    }

    public String range(Volume low, Volume high) {
        return settings.units().outward(low, high);
    }

    public String length(Length length) {
        return settings.units().length(length);
    }

    /** Writes a density, which is the same in every household. */
    public static String density(Density density) {
        return Decimals.upTo(density.gramsPerMillilitre(), 3) + " g/mL";
    }

    public String temperature(Temperature temperature) {
        return settings.units().temperature(temperature);
    }

    /** Two temperatures as somebody types them: "40 to 52 °C". */
    public String temperatures(Temperature low, Temperature high) {
        return Linear.first(temperature(low), " ?°.$", "") + " to " + temperature(high);
    }

    /** A sentence with its degrees as this household reads them. */
    public String degrees(String words) {
        return settings.units().degrees(words);
    }

    public String day(LocalDate date) {
        return wording().day(date);
    }

    /** A day by its weekday: "Thu". */
    public String weekday(LocalDate date) {
        return wording().weekday(date);
    }

    /** A day without its weekday: "24 Nov". */
    public String shortDay(LocalDate date) {
        return wording().shortDay(date);
    }

    /** The time of day there: "08:30". */
    public String time(Instant instant) {
        return wording().time(instant);
    }

    /** A day and the time: "Tue 24 Nov 08:30". */
    public String dayAndTime(Instant instant) {
        return wording().dayAndTime(instant);
    }

    public String stretch(Span span) {
        return wording().stretch(span.startInclusive(), span.endExclusive());
    }

    public String longDay(LocalDate date) {
        return wording().longDay(date);
    }

    public String date(LocalDate date) {
        return wording().date(date);
    }

    public String moment(Instant instant) {
        return wording().moment(instant);
    }

    public String ratio(double ratio) {
        return "1 : " + Decimals.upTo(ratio, 1);
    }

    public Currency money() {
        return Currency.getInstance(settings.currency());
    }

    /** Writes a sum of money: "4.50 EUR". */
    public String money(long minor) {
        int places = Math.max(0, money().getDefaultFractionDigits());
        return BigDecimal.valueOf(minor, places).toPlainString() + " " + settings.currency();
    }

    public String percent(double fraction) {
        return Decimals.upTo(fraction * 100, 0) + " %";
    }

    public String days(long days) {
        return days == 1 ? "1 day" : days + " days";
    }

    /** A line of a worked sum: what it is, whose figure that is, and the figure. */
    public record SumLine(String name, String whose, String figure, String mark) {}

    /** The lines of a worked sum. */
    public List<SumLine> sum(Working working) {
        return working.terms().stream()
                .map(term -> new SumLine(
                        term.name(),
                        switch (term.origin()) {
                            case ESTIMATE -> " (estimate)";
                            case OWN -> " (your own)";
                            default -> "";
                        },
                        figure(term.figure()),
                        term.origin() == Origin.WORKED_OUT ? "worked" : ""))
                .toList();
    }

    /** Writes a figure of a worked sum. */
    public String figure(Figure figure) {
        return switch (figure.kind()) {
            case MASS -> mass(Mass.ofGrams(figure.value()));
            case VOLUME -> volume(Volume.ofMillilitres(figure.value()));
            case DENSITY -> density(Density.ofGramsPerMillilitre(figure.value()));
            case LENGTH -> length(Length.ofMillimetres(figure.value()));
            case FACTOR -> "× " + Decimals.upTo(figure.value(), 2);
            case PER_GRAM -> Decimals.upTo(figure.value(), 2) + " mL";
            case PERCENT -> Decimals.upTo(figure.value(), 0) + " %";
            case DAYS -> days((long) figure.value());
            case DATE -> date(figure.date());
            case WORDS -> figure.text();
        };
    }
}
