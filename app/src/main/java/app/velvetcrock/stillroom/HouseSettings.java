package app.velvetcrock.stillroom;

import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.measure.Temperature;
import java.time.ZoneId;

/**
 * What a household sets for itself.
 *
 * @param currency ISO 4217 code
 */
public record HouseSettings(
        String name, HouseholdUnits units, String currency, ZoneId zone, Temperature pantry, Temperature room) {}
