package org.umberloom.app;

import java.util.concurrent.TimeUnit;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.umberloom.app.web.Problems;
import org.umberloom.core.contract.Contract;

/** Starts the application. */
@SpringBootApplication
@EnableScheduling
@MapperScan(basePackageClasses = UmberLoom.class, annotationClass = Mapper.class)
public class UmberLoom {
    private static final long PAUSE_S = 1;

    public static void main(String[] arguments) {
        // Every view needs the contract; its style sheets are read beside what the start does anyway.
        Thread reading = new Thread(Contract::standard, "contract");
        reading.setDaemon(true);
        reading.start();
        while (!starts(arguments)) pause();
    }

    /** A database that goes away meanwhile is waited for: whoever starts both does not have to care which is there first. */
    private static boolean starts(String... arguments) {
        try {
            SpringApplication.run(UmberLoom.class, arguments);
            return true;
        } catch (RuntimeException e) {
            if (!Problems.isOutage(e)) throw e;
            LoggerFactory.getLogger(UmberLoom.class)
                    .warn("The database cannot be reached; starting again in {} s.", PAUSE_S);
            return false;
        }
    }

    private static void pause() {
        try {
            TimeUnit.SECONDS.sleep(PAUSE_S);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for the database", e);
        }
    }
}
