package org.halfdusk.web;

import org.halfdusk.web.command.Commands;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application; or does one of the commands that need no server, see {@link Commands}. */
@SpringBootApplication(proxyBeanMethods = false)
public class HalfDusk {
    public static void main(String[] args) {
        if (Commands.meant(args)) {
            System.exit(Commands.run(args));
        }
        try {
            SpringApplication.run(HalfDusk.class, args);
        } catch (SpringApplication.AbandonedRunException e) {
            // Only looked at, to work out the wiring while building.
            throw e;
        } catch (RuntimeException e) {
            // Said already, in a sentence, by StartReport; whatever else it was, Spring has logged.
            System.exit(StartReport.refusal(e).map(StartRefused::getExitCode).orElse(StartRefused.OTHER));
        }
    }
}
