package org.goldthistle.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Tokens for an observer's own scripts. */
@RestController
@RequestMapping("/api/tokens")
class TokenController {
    private final ApiTokens tokens;

    TokenController(ApiTokens tokens) {
        this.tokens = tokens;
    }

    /** The observer's tokens, without their secrets. */
    @GetMapping
    @ForObservers
    List<ApiTokens.Token> listTokens(@AuthenticationPrincipal SignedInObserver observer) {
        return tokens.of(observer.id());
    }

    /** Makes a token; its secret is told this once. */
    @PutMapping("/{tokenId}")
    @ForObservers
    MadeToken makeToken(
            @PathVariable UUID tokenId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewToken body) {
        return new MadeToken(tokens.make(tokenId, observer.id(), body.name(), body.scope(), body.surveyId()));
    }

    /** Takes a token back, which works no more from then on. */
    @DeleteMapping("/{tokenId}")
    @ForObservers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeTokenBack(@PathVariable UUID tokenId, @AuthenticationPrincipal SignedInObserver observer) {
        tokens.takeBack(tokenId, observer.id());
    }

    /**
     * A token that is asked for.
     *
     * @param name by which its observer knows it again
     * @param surveyId that it is for, with the scope survey; null with the scope reading
     */
    record NewToken(
            @NotBlank @Size(max = 80) String name,
            @NotNull @CodeOf(TokenScope.class) String scope,
            @Nullable UUID surveyId) {}

    /**
     * A token's secret.
     *
     * @param secret to be sent as the header Authorization: Bearer secret
     */
    record MadeToken(String secret) {}
}
