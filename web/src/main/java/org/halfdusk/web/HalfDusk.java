package org.halfdusk.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class HalfDusk {
    public static void main(String[] args) {
        try {
            SpringApplication.run(HalfDusk.class, args);
        } catch (RuntimeException e) {
            // Said already, in a sentence, by StartReport; whatever else it was, Spring has logged.
            System.exit(StartReport.refusal(e).map(StartRefused::getExitCode).orElse(StartRefused.OTHER));
        }
    }
}
