package app.velvetcrock.door;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.web.Fields;
import jakarta.servlet.http.HttpServletRequest;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Currency;
import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;

/** Household settings as typed. */
record HouseForm(
        @Nullable String household,
        @Nullable String system,
        @Nullable String cups,
        @Nullable String scale,
        @Nullable String currency,
        @Nullable String zone,
        @Nullable String pantry,
        @Nullable String room) {

    /** Countries whose kitchens weigh in ounces and bake in degrees Fahrenheit. */
    private static final Set<String> IN_OUNCES = Set.of("US", "LR", "BS", "KY", "PW", "FM", "MH");

    private static final String AUSTRALIA = "AU";

    private static final double COLDEST_PANTRY = -5;
    private static final double WARMEST_PANTRY = 40;

    static HouseForm usual() {
        return of(House.usual().settings()).named("");
    }

    /** As whoever reads that language of that country usually has it; as usual where the browser names none. */
    static HouseForm guessed(HttpServletRequest request) {
        HouseForm usual = usual();
        String country = request.getHeader(HttpHeaders.ACCEPT_LANGUAGE) == null
                ? ""
                : request.getLocale().getCountry();
        if (country.isEmpty()) {
            return usual;
        }
        boolean ounces = IN_OUNCES.contains(country);
        HouseholdUnits units = new HouseholdUnits(
                ounces ? UnitSystem.US : UnitSystem.METRIC,
                ounces ? CupSystem.US : country.equals(AUSTRALIA) ? CupSystem.AUSTRALIAN : CupSystem.METRIC,
                ounces ? TemperatureScale.FAHRENHEIT : TemperatureScale.CELSIUS);
        HouseSettings as = House.usual().settings();
        return of(new HouseSettings(as.name(), units, money(country, as.currency()), as.zone(), as.pantry(), as.room()))
                .named("");
    }

    private static String money(String country, String otherwise) {
        try {
            return Optional.ofNullable(Currency.getInstance(
                            new Locale.Builder().setRegion(country).build()))
                    .map(Currency::getCurrencyCode)
                    .orElse(otherwise);
        } catch (IllegalArgumentException | IllformedLocaleException noCountry) {
            return otherwise;
        }
    }

    /** A form sent without any of these fields is one in which nothing was filled in. */
    static HouseForm orBlank(@Nullable HouseForm sent) {
        return sent == null ? new HouseForm(null, null, null, null, null, null, null, null) : sent;
    }

    static HouseForm of(HouseSettings settings) {
        return new HouseForm(
                settings.name(),
                settings.units().system().name(),
                settings.units().cups().name(),
                settings.units().scale().name(),
                settings.currency(),
                settings.zone().getId(),
                settings.units().temperature(settings.pantry()),
                settings.units().temperature(settings.room()));
    }

    /** What the question of whose cups can be answered with. */
    public List<Fields.Option> cupSystems() {
        return Stream.of(CupSystem.values())
                .map(cups -> new Fields.Option(
                        cups.name(),
                        "%s (cup of %.0f mL)".formatted(cups.word(), cups.cup().millilitres())))
                .toList();
    }

    public List<Fields.Option> systems() {
        return List.of(
                new Fields.Option(UnitSystem.METRIC.name(), "grams and millilitres"),
                new Fields.Option(UnitSystem.US.name(), "ounces and cups"));
    }

    public List<Fields.Option> scales() {
        return List.of(
                new Fields.Option(TemperatureScale.CELSIUS.name(), "°C"),
                new Fields.Option(TemperatureScale.FAHRENHEIT.name(), "°F"));
    }

    private HouseForm named(String name) {
        return new HouseForm(name, system, cups, scale, currency, zone, pantry, room);
    }

    /** Reads the settings; absent when a field has a trouble. */
    Optional<HouseSettings> read(Fields fields) {
        Optional<String> name = fields.words("house.household", household, 80);
        Optional<UnitSystem> units = fields.oneOf("house.system", UnitSystem.class, system);
        Optional<CupSystem> whose = fields.oneOf("house.cups", CupSystem.class, cups);
        Optional<TemperatureScale> degrees = fields.oneOf("house.scale", TemperatureScale.class, scale);
        Optional<String> money = currency(fields);
        Optional<ZoneId> place = zone(fields);
        Optional<Temperature> cool = temperature(fields, "house.pantry", pantry);
        Optional<Temperature> warm = temperature(fields, "house.room", room);
        if (!fields.isClear()) {
            return Optional.empty();
        }
        HouseholdUnits written = new HouseholdUnits(units.orElseThrow(), whose.orElseThrow(), degrees.orElseThrow());
        return Optional.of(new HouseSettings(
                name.orElseThrow(),
                written,
                money.orElseThrow(),
                place.orElseThrow(),
                cool.orElseThrow(),
                warm.orElseThrow()));
    }

    private Optional<Temperature> temperature(Fields fields, String field, @Nullable String typed) {
        return fields.amount(field, typed, Expect.TEMPERATURE)
                .map(read -> (Temperature) read.amount().middle())
                .filter(t -> {
                    boolean sensible = t.celsius() >= COLDEST_PANTRY && t.celsius() <= WARMEST_PANTRY;
                    if (!sensible) {
                        fields.trouble(
                                field,
                                "Understood as %s °C; a room is between −5 and 40 °C."
                                        .formatted(Math.round(t.celsius())),
                                "14 °C or 57 °F");
                    }
                    return sensible;
                });
    }

    private Optional<String> currency(Fields fields) {
        try {
            return Optional.of(Currency.getInstance(
                            currency == null ? "" : currency.strip().toUpperCase(Locale.ROOT))
                    .getCurrencyCode());
        } catch (IllegalArgumentException e) {
            fields.trouble(
                    "house.currency",
                    "“%s” is not a currency code.".formatted(currency),
                    "three letters, such as EUR or GBP");
            return Optional.empty();
        }
    }

    private Optional<ZoneId> zone(Fields fields) {
        try {
            return Optional.of(ZoneId.of(zone == null ? "" : zone.strip()));
        } catch (DateTimeException e) {
            fields.trouble(
                    "house.zone", "“%s” is not a time zone.".formatted(zone), "region and city, such as Europe/London");
            return Optional.empty();
        }
    }
}
