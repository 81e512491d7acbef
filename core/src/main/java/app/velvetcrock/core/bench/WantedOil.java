package app.velvetcrock.core.bench;

import app.velvetcrock.core.planning.Wanted;
import java.util.Optional;

/** The oil that was worked back from what is wanted, and what is to be made of it where that was wanted. */
public record WantedOil(Wanted wanted, Optional<WantedMaking> making) {}
