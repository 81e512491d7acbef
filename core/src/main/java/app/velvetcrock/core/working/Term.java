package app.velvetcrock.core.working;

/** One line of a worked sum: what it is, its figure and where that comes from. */
public record Term(String name, Figure figure, Origin origin) {}
