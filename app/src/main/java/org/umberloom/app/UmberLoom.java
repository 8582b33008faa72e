package org.umberloom.app;

import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.umberloom.core.contract.Contract;

/** Starts the application. */
@SpringBootApplication
@EnableScheduling
@MapperScan(basePackageClasses = UmberLoom.class, annotationClass = Mapper.class)
public class UmberLoom {
    public static void main(String[] arguments) {
        // Every view needs the contract; its style sheets are read beside what the start does anyway.
        Thread reading = new Thread(Contract::standard, "contract");
        reading.setDaemon(true);
        reading.start();
        SpringApplication.run(UmberLoom.class, arguments);
    }
}
