package org.goldthistle.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** An observer's own notes on characters. */
@RestController
class MemoryAidController {
    private final MemoryAids aids;

    MemoryAidController(MemoryAids aids) {
        this.aids = aids;
    }

    /** Keeps the observer's note on a character; an empty one forgets it. */
    @PutMapping("/api/memory-aids/{groupId}/{characterId}")
    @ForObservers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepMemoryAid(
            @PathVariable String groupId,
            @PathVariable String characterId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody Note body) {
        aids.keep(observer.id(), groupId, characterId, body.body());
    }

    /** The note, at most 500 letters. */
    record Note(@NotNull @Size(max = 500) String body) {}
}
