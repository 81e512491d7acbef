package app.velvetcrock.core.measure;

/** A measured amount over one canonical unit. */
public sealed interface Quantity permits Mass, Volume, Temperature, Length, TimeSpan {}
