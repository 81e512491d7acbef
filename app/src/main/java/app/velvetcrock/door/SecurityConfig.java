package app.velvetcrock.door;

import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.DispatcherType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Who may see what, and the headers every page carries. */
@Configuration
class SecurityConfig {

    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
                    + "connect-src 'self'; form-action 'self'; manifest-src 'self'; base-uri 'none'; frame-ancestors 'none'";

    private static final String[] OPEN = {
        "/sign-in",
        "/sign-in/kept",
        "/kept",
        "/sign-up",
        "/",
        "/set-up",
        "/demo-entry",
        "/join/*",
        "/error",
        "/actuator/health",
        "/actuator/health/liveness",
        "/actuator/health/readiness",
        "/css/**",
        "/js/**",
        "/vendor/**",
        "/fonts/**",
        "/favicon.svg",
        "/icon-192.png",
        "/icon-512.png",
        "/manifest.json",
        "/sw.js",
        "/feed/*",
        "/trust",
        "/trust/authority.crt"
    };

    @Bean
    PasswordEncoder passwordEncoder(@Value("${crock.password-rounds}") int rounds) {
        return new BCryptPasswordEncoder(rounds);
    }

    /** Puts whose a form is beside its token. */
    @Bean
    static BeanPostProcessor formOwners() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof RequestDataValueProcessor tokens ? new FormOwner(tokens) : bean;
            }
        };
    }

    @Bean
    SecurityFilterChain pages(
            HttpSecurity http,
            SignInLimit limit,
            Entrance entrance,
            KeptController kept,
            @Value("${crock.authority}") String authority)
            throws Exception {
        // Whoever opened a stream was let in then; that it ends is another pass of the same request.
        return http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(OPEN)
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in")
                        .usernameParameter("email")
                        .failureUrl("/sign-in?again")
                        .successHandler((request, response, authentication) -> {
                            limit.cameIn(SignInFilter.email(request), request.getRemoteAddr());
                            boolean isSomewhere = authentication.getPrincipal() instanceof SignedIn person
                                    && !entrance.turnsAway(person, request);
                            response.sendRedirect(request.getContextPath() + (isSomewhere ? "/shelf" : "/set-up"));
                        }))
                .exceptionHandling(denied -> denied.accessDeniedHandler(kept))
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .addFilterBefore(new SignInFilter(limit), UsernamePasswordAuthenticationFilter.class)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                        // A name of a house is used for other things too, and its certificate may be taken away again:
                        // a browser is not
                        // told to ask for https under it for a year.
                        .httpStrictTransportSecurity(strict -> {
                            if (!authority.isBlank()) {
                                strict.disable();
                            }
                        })
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }
}
