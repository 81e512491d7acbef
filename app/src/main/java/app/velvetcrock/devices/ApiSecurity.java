package app.velvetcrock.devices;

import app.velvetcrock.readings.Devices;
import app.velvetcrock.stillroom.People;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;

/** Devices come in by a token alone: no session, no sign-in page. */
@Configuration
class ApiSecurity {

    static final String PATH = "/api/";

    @Bean
    @Order(1)
    SecurityFilterChain api(HttpSecurity http, Devices devices, People people, SpeakingLimit limit) throws Exception {
        return http.securityMatcher(PATH + "**")
                .authorizeHttpRequests(requests -> requests.anyRequest().authenticated())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .addFilterBefore(new BearerFilter(devices, people, limit), AnonymousAuthenticationFilter.class)
                .build();
    }
}
