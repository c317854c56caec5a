package org.goldthistle.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.goldthistle.core.CodeOf;
import org.goldthistle.platform.ForAnybody;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a link that lets somebody in does. Its secret travels in the body, so that no log keeps it. */
@RestController
@RequestMapping("/api/welcome")
class WelcomeController {
    private final InvitationService invitations;

    WelcomeController(InvitationService invitations) {
        this.invitations = invitations;
    }

    /** Whom the link is for. */
    @PostMapping
    @ForAnybody
    GuestDto lookAtInvitation(@Valid @RequestBody TokenBody body) {
        Invitation invitation = invitations.find(body.token());
        return new GuestDto(invitation.callSign(), invitation.role().code(), invitation.resets() != null);
    }

    /** Uses the link up: the passphrase is theirs from now on. */
    @PutMapping
    @ForAnybody
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void acceptInvitation(@Valid @RequestBody AcceptBody body) {
        invitations.accept(body.token(), body.passphrase());
    }

    /** The secret of the link. */
    record TokenBody(@NotBlank @Size(max = 100) String token) {}

    /** The secret of the link, and the passphrase that was chosen. */
    record AcceptBody(
            @NotBlank @Size(max = 100) String token,
            @NotBlank @Size(max = 72) String passphrase) {}

    /** Whom a link is for; resets: it is for a new passphrase. */
    record GuestDto(String callSign, @CodeOf(Role.class) String role, boolean resets) {}
}
