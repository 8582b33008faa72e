package org.umberloom.e2e;

import java.util.Random;

/** Something that goes wrong while an act is on its way. */
interface Interruption {
    /** It will go wrong soon, or has. */
    void begin() throws Exception;

    /** All is as it should be again. */
    void end() throws Exception;

    /** The line to the database is cut after some byte. */
    static Interruption cuts(CuttingProxy line, Random random) {
        return new Interruption() {
            private static final int LONGEST_ACT = 60_000;

            @Override
            public void begin() {
                line.cutAfter(random.nextInt(LONGEST_ACT));
            }

            @Override
            public void end() {
                line.mend();
            }
        };
    }

    /** The application and its database are killed in turn. */
    static Interruption kills(Servers servers, Random random) {
        return new Interruption() {
            private static final int LONGEST_ACT_MS = 200;
            private boolean database;
            private Thread killer;

            @Override
            public void begin() {
                database = !database;
                int after = random.nextInt(LONGEST_ACT_MS);
                killer = new Thread(() -> {
                    try {
                        Thread.sleep(after);
                        servers.kill(database);
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                });
                killer.start();
            }

            @Override
            public void end() throws Exception {
                killer.join();
                servers.startAgain(database);
            }
        };
    }
}
