package org.goldthistle.account;

import java.util.UUID;
import org.goldthistle.platform.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** On the very first start, makes the lead whose call sign and passphrase the start command handed over. */
@Component
class FirstLead implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLead.class);

    private final AccountService accounts;
    private final String callSign;
    private final String passphrase;

    FirstLead(AccountService accounts, Settings settings) {
        this.accounts = accounts;
        this.callSign = settings.lead().callSign().strip();
        this.passphrase = settings.lead().passphrase();
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!callSign.isEmpty() && !accounts.hasObservers()) {
            accounts.create(UUID.randomUUID(), callSign, passphrase, Role.LEAD);
            LOG.info("made the first lead, {}", callSign);
        }
    }
}
