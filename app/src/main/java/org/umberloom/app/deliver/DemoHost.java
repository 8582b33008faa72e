package org.umberloom.app.deliver;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.publish.PublishService;

/** Makes the simulated host of the demo known, wherever it answers today; at first two sites stand there, one of them live. */
@Component
@Order(3)
class DemoHost implements ApplicationRunner {
    private static final String NAME = "Harbour host";
    private static final Pattern DOOR = Pattern.compile("([^@]+)@([^:]+):(\\d+)");
    private static final List<String> SITES = List.of("crossings", "galley");

    private final HostService hosts;
    private final DeliveryService deliveries;
    private final PublishService publishing;
    private final AccountService accounts;
    private final String door;
    private final String web;
    private final String key;
    private final String password;
    private final String email;

    DemoHost(
            HostService hosts,
            DeliveryService deliveries,
            PublishService publishing,
            AccountService accounts,
            @Value("${umberloom.demo-host.door}") String door,
            @Value("${umberloom.demo-host.web}") String web,
            @Value("${umberloom.demo-host.key}") String key,
            @Value("${umberloom.demo-host.password}") String password,
            @Value("${LOOM_LEAD_EMAIL:lead@localhost}") String email) {
        this.hosts = hosts;
        this.deliveries = deliveries;
        this.publishing = publishing;
        this.accounts = accounts;
        this.door = door;
        this.web = web;
        this.key = key;
        this.password = password;
        this.email = email;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        Matcher at = DOOR.matcher(door);
        if (!at.matches()) return;
        HostWanted wanted = new HostWanted(
                NAME,
                "sftp",
                at.group(2),
                Integer.parseInt(at.group(3)),
                at.group(1),
                "",
                web,
                "password",
                password,
                "",
                key);
        Account lead = accounts.get(email);
        List<HostService.HostView> known = hosts.all().hosts();
        for (HostService.HostView host : known)
            if (host.name().equals(NAME)) {
                hosts.change(host.id(), wanted);
                return;
            }
        if (!known.isEmpty()) return;
        long host = hosts.add(wanted, lead).hosts().get(0).id();
        for (String site : SITES) deliveries.serve(site, host, "");
        String first = SITES.get(0);
        deliveries.start(first, publishing.build(first, lead).builds().get(0).number(), lead);
    }
}
