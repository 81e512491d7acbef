package app.velvetcrock.core.bench;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Strength;
import java.util.Optional;

/**
 * The spirit chosen.
 *
 * @param strength as it goes on the herb
 */
public record SpiritChoice(Optional<Stock.OfSupply> lot, Optional<Strength> strength, Dosing dosing) {}
