package org.umberloom.app.account;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.distributed.BucketProxy;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.stereotype.Component;
import org.umberloom.app.web.TooManyTries;

/**
 * Slows down who guesses: each wrong try takes from what an account, an address, and both together have left, kept in the
 * database for all processes; a right one takes nothing. Nobody else can lock an account from everywhere: from an address that
 * did not guess it stays open until it was guessed at very often.
 */
@Component
class Throttle {
    /** Wrong tries at once, and how soon one more is given. */
    private record Allowance(int burst, Duration oneMoreIn) {
        BucketConfiguration configuration() {
            return BucketConfiguration.builder()
                    .addLimit(Bandwidth.builder()
                            .capacity(burst)
                            .refillGreedy(1, oneMoreIn)
                            .build())
                    .build();
        }
    }

    private static final Allowance ACCOUNT_AT_ADDRESS = new Allowance(8, Duration.ofMinutes(1));
    private static final Allowance ADDRESS = new Allowance(30, Duration.ofSeconds(20));
    /** Source: NIST SP 800-63B-4, 3.2.2: no more than 100 wrong tries in a row for one account. */
    private static final Allowance ACCOUNT = new Allowance(90, Duration.ofMinutes(2));

    private static final int IPV6_NETWORK_GROUPS = 4;

    private final BucketTable buckets;

    Throttle(DataSource database) {
        buckets = new BucketTable(database);
    }

    /** Does what needs an account's password. @throws TooManyTries before it, when there were too many wrong tries */
    <T> T signingIn(String email, String address, Supplier<T> trying) {
        String account = UUID.nameUUIDFromBytes(AccountService.address(email).getBytes(StandardCharsets.UTF_8))
                .toString();
        String network = network(address);
        return guarded(
                List.of(
                        bucket("pair " + account + " " + network, ACCOUNT_AT_ADDRESS),
                        bucket("address " + network, ADDRESS),
                        bucket("account " + account, ACCOUNT)),
                trying);
    }

    /** Does what needs a secret word. @throws TooManyTries before it */
    <T> T guarded(String what, String address, Supplier<T> trying) {
        return guarded(List.of(bucket(what + " " + network(address), ADDRESS)), trying);
    }

    private <T> T guarded(List<BucketProxy> all, Supplier<T> trying) {
        List<BucketProxy> taken = new ArrayList<>();
        for (BucketProxy bucket : all) {
            ConsumptionProbe probe = bucket.tryConsumeAndReturnRemaining(1);
            if (!probe.isConsumed()) {
                taken.forEach(one -> one.addTokens(1));
                throw new TooManyTries(Duration.ofNanos(probe.getNanosToWaitForRefill()));
            }
            taken.add(bucket);
        }
        boolean wrong = false;
        try {
            return trying.get();
        } catch (BadCredentialsException | AccountService.WrongPassword | NoSuchElementException e) {
            wrong = true;
            throw e;
        } finally {
            if (!wrong) taken.forEach(one -> one.addTokens(1));
        }
    }

    private BucketProxy bucket(String key, Allowance allowance) {
        return buckets.builder().build(key, allowance::configuration);
    }

    /** Of IPv6 the network of one customer: a single one has more addresses than could be counted (RFC 6177). */
    private static String network(String address) {
        if (address.indexOf(':') < 0) return address;
        String[] groups = address.split("%")[0].split(":", -1);
        StringBuilder network = new StringBuilder();
        for (int i = 0; i < Math.min(IPV6_NETWORK_GROUPS, groups.length); i++)
            network.append(groups[i]).append(':');
        return network.toString();
    }

    @Scheduled(fixedDelay = 10, initialDelay = 5, timeUnit = TimeUnit.MINUTES)
    void clean() {
        buckets.clean();
    }
}
