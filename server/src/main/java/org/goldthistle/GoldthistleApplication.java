package org.goldthistle;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: sheets, surveys and calls over REST, and the front end beside them. */
@SpringBootApplication
@EnableScheduling
@ConfigurationPropertiesScan
public class GoldthistleApplication {

    /** Starts the server; its settings come from the environment. */
    public static void main(String[] arguments) {
        SpringApplication.run(GoldthistleApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
