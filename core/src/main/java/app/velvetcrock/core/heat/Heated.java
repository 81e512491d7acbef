package app.velvetcrock.core.heat;

import app.velvetcrock.core.method.Stage;

/**
 * What is on the heat: a stage, and whether its herb is wet, which earns nothing below 40 °C.
 *
 * @param wet true for wilted, fresh and juicy herb
 */
public record Heated(Stage stage, boolean wet) {}
