package org.goldthistle.account;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.platform.ForAnybody;
import org.goldthistle.platform.ForContractors;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

    private final AccountService accounts;
    private final SignInGuard guard;
    private final HouseRules rules;
    private final SecurityContextRepository contexts;
    private final Device device;

    SessionController(
            AccountService accounts,
            SignInGuard guard,
            HouseRules rules,
            SecurityContextRepository contexts,
            Device device) {
        this.accounts = accounts;
        this.guard = guard;
        this.rules = rules;
        this.contexts = contexts;
        this.device = device;
    }

    /** Who is signed in; no content when nobody is. */
    @GetMapping
    @ForAnybody
    @ApiResponse(responseCode = "200")
    @ApiResponse(responseCode = "204", content = @Content)
    ResponseEntity<ObserverDto> showSession(@AuthenticationPrincipal SignedInObserver observer) {
        return observer == null ? ResponseEntity.noContent().build() : ResponseEntity.ok(dto(observer, 0));
    }

    /** Signs in and starts a session. */
    @PostMapping
    @ForAnybody
    ObserverDto signIn(@Valid @RequestBody SignInDto body, HttpServletRequest request, HttpServletResponse response) {
        Optional<String> known = device.of(request);
        AccountService.SignIn signedIn = accounts.signIn(
                body.callSign(), body.passphrase(), new SignInGuard.Source(request.getRemoteAddr(), known));
        SignedInObserver observer = signedIn.observer();
        String secret = known.orElseGet(Device::fresh);
        guard.know(observer.id(), secret);
        device.remember(secret, response);
        HttpSession stranger = request.getSession(false);
        if (stranger != null) {
            stranger.invalidate(); // a session that somebody planted beforehand must not become this observer's
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                observer,
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + observer.role().name()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        request.getSession().setMaxInactiveInterval((int) rules.idle().toSeconds());
        return dto(observer, signedIn.failures());
    }

    /** Notes what the observer lacks: such checks are offered last and count a quarter. */
    @PutMapping("/lacking")
    @ForObservers
    ObserverDto changeLacking(@AuthenticationPrincipal SignedInObserver observer, @Valid @RequestBody LackingDto body) {
        Set<Faculty> lacking = EnumSet.noneOf(Faculty.class);
        for (String code : body.lacking()) {
            lacking.add(Coded.find(Faculty.values(), code)
                    .orElseThrow(() -> Problem.unfit(
                            ProblemType.NO_SUCH_FACULTY,
                            "What can be lacking is " + Coded.codes(Faculty.values()) + ", but \"" + code
                                    + "\" was sent. Nothing was changed.")));
        }
        accounts.changeLacking(observer.id(), lacking);
        return dto(observer, 0);
    }

    private ObserverDto dto(SignedInObserver observer, int failures) {
        return new ObserverDto(
                observer.id(),
                observer.callSign(),
                observer.role().code(),
                accounts.lacking(observer.id()).stream().map(Faculty::code).toList(),
                notices(observer, failures));
    }

    /** What an observer is to know of their own account: who tried it, and who had its passphrase replaced. */
    private List<String> notices(SignedInObserver observer, int failures) {
        List<String> told = new ArrayList<>();
        if (failures > 0) {
            told.add("Somebody tried to sign in as " + observer.callSign() + " with a wrong passphrase, "
                    + (failures == 1 ? "once" : failures + " times") + ". If that was not you, tell your lead.");
        }
        accounts.resetLately(observer.id())
                .ifPresent(reset -> told.add("Your passphrase was replaced on "
                        + DAY.format(reset.at().atZone(ZoneOffset.UTC)) + " by a link that " + reset.by()
                        + " made. If you did not ask for that, tell another lead: whoever had the link can have signed as"
                        + " you."));
        return told;
    }

    /** Signs out; nothing happens if nobody is signed in. */
    @DeleteMapping
    @ForAnybody
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    /** Signs out on every device. */
    @DeleteMapping("/everywhere")
    @ForContractors
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(@AuthenticationPrincipal SignedInObserver observer, HttpServletRequest request) {
        accounts.endSessions(observer.id());
        signOut(request);
    }

    /** What is needed to sign in. */
    record SignInDto(
            @NotBlank @Size(max = 80) String callSign,
            @NotBlank @Size(max = 72) String passphrase) {}

    /** Codes of what the observer lacks. */
    record LackingDto(@NotNull @CodeOf(Faculty.class) List<@NotNull String> lacking) {}

    /**
     * The observer as the browser sees them, with the codes of what they lack.
     *
     * @param notices what they are to know of their own account, in words; those of failed tries come once, at signing in
     */
    record ObserverDto(
            UUID id,
            String callSign,
            @CodeOf(Role.class) String role,
            @CodeOf(Faculty.class) List<String> lacking,
            List<String> notices) {}
}
