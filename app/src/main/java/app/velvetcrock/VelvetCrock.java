package app.velvetcrock;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication
public class VelvetCrock {

    public static void main(String[] args) {
        SpringApplication.run(VelvetCrock.class, args);
    }
}
