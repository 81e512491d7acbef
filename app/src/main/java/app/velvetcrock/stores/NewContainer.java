package app.velvetcrock.stores;

import app.velvetcrock.core.measure.Volume;

/** Containers to be stored: so many, each holding so much. */
public record NewContainer(String name, Volume holds, int pieces, Provenance provenance) {}
