package app.velvetcrock.web;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.planning.Planner;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The core's reference data and planner, loaded once at the start; a bad line in the data stops the start. */
@Configuration
class CoreConfig {

    @Bean
    Materia materia() {
        return Materia.shipped();
    }

    @Bean
    Cautions cautions() {
        return Cautions.shipped();
    }

    @Bean
    Planner planner(Cautions cautions, Materia materia) {
        return new Planner(cautions, materia);
    }
}
