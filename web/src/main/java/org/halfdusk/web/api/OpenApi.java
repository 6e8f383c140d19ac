package org.halfdusk.web.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The description of the interface, written by hand beside this package and compared with it by a test. */
@RestController
class OpenApi {
    @GetMapping("/api/v1/openapi.json")
    ResponseEntity<Resource> description() {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(new ClassPathResource("openapi.json", OpenApi.class));
    }
}
