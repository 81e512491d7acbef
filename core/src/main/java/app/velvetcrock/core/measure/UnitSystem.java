package app.velvetcrock.core.measure;

/** Which weights and volumes a household reads most easily. */
public enum UnitSystem {
    METRIC,
    US
}
