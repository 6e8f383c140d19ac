package org.halfdusk.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class HalfDusk {
    public static void main(String[] args) {
        SpringApplication.run(HalfDusk.class, args);
    }
}
